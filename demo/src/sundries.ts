import type { KitEntry, ListingEntry, SundryEntry } from '@brackenfell/contract/catalogue-file';

const sundry = (
  maker: 'beckstone' | 'harrock',
  number: string,
  title: string,
  use: string,
  priceMinor: number,
  onHand: number,
): SundryEntry => ({
  maker,
  number,
  title,
  use,
  priceMinor,
  onHand,
  bin: maker === 'beckstone' ? 'T1' : 'S1',
});

/** Tools, and what is used up with a job or breaks on the way: no engine asks for any of it. */
export const sundries: readonly SundryEntry[] = [
  sundry('beckstone', 'BECK 0140', 'Plug socket 14 mm, thin wall', 'socket-14', 1450, 2),
  sundry('beckstone', 'BECK 0160', 'Plug socket 16 mm or 5/8 in, thin wall', 'socket-16', 1290, 4),
  sundry('beckstone', 'BECK 0161', 'Plug socket 16 mm, on a joint', 'socket-16', 2350, 1),
  sundry('beckstone', 'BECK 0208', 'Plug socket 20.8 mm or 13/16 in', 'socket-20.8', 1290, 3),
  sundry('beckstone', 'BECK 0250', 'Extension 250 mm, 3/8 in square', 'extension', 980, 5),
  sundry('beckstone', 'BECK 0550', 'Torque wrench 5 to 50 N·m, 3/8 in square', 'torque-wrench', 6900, 1),
  sundry('beckstone', 'BECK 0910', 'Wire gauge 0.5 to 1.5 mm', 'gap-gauge', 640, 6),
  sundry('beckstone', 'BECK 0920', 'Extracting tool for two-piece shells', 'shell-extractor', 8900, 1),
  sundry('beckstone', 'BECK 0930', 'Thread insert kit M14 × 1.25', 'thread-insert', 3850, 1),
  sundry('beckstone', 'BECK 0940', 'Eye protection', 'eye-protection', 450, 12),
  sundry('beckstone', 'BECK 0950', 'Battery pole cover', 'battery-cover', 380, 4),
  sundry('harrock', 'HARR 110', 'Dielectric grease, sachet', 'dielectric-grease', 120, 60),
  sundry('harrock', 'HARR 111', 'Dielectric grease, tube 50 g', 'dielectric-grease', 780, 5),
  sundry('harrock', 'HARR 120', 'Anti-seize compound, sachet', 'anti-seize', 140, 40),
  sundry('harrock', 'HARR 130', 'Lead labels, sheet of 24', 'lead-labels', 260, 8),
  sundry('harrock', 'HARR 210', 'Connector lock, 3-pin', 'connector-lock', 190, 18),
  sundry('harrock', 'HARR 215', 'Coil pigtail, 3-pin', 'coil-pigtail-3', 1240, 3),
  sundry('harrock', 'HARR 220', 'Coil boot with spring', 'coil-boot', 560, 12),
  sundry('harrock', 'HARR 225', 'Lead boot, straight', 'lead-boot', 310, 20),
  sundry('harrock', 'HARR 230', 'Lead clip', 'lead-clip', 90, 30),
  sundry('harrock', 'HARR 235', 'Distributor cap clip', 'cap-clip', 210, 4),
  sundry('harrock', 'HARR 240', 'Cap screw M5', 'cap-screw', 60, 20),
  sundry('harrock', 'HARR 250', 'Cover seal, three-cylinder', 'cover-seal', 1890, 2),
  sundry('harrock', 'HARR 255', 'Intake gasket', 'intake-gasket', 420, 12),
  sundry('harrock', 'HARR 260', 'Intake stud with nut, M8', 'intake-stud', 230, 16),
  sundry('harrock', 'HARR 265', 'Charge pipe seal', 'charge-pipe-seal', 640, 2),
  sundry('harrock', 'HARR 270', 'Breather hose', 'breather-hose', 1480, 1),
  sundry('harrock', 'HARR 275', 'Supercharger belt', 'charger-belt', 3260, 0),
];

/** Sets under one number. The last holds six plugs and is listed for an engine that takes eight. */
export const kits: readonly KitEntry[] = [
  {
    maker: 'marlspark',
    number: 'MS-K 481',
    holds: [one('MS-D 481'), one('MS-R 481'), { number: 'HARR 240', quantity: 3 }],
  },
  { maker: 'hexley', number: 'HX 79.402', holds: [one('HX 75.402'), one('HX 76.402')] },
  { maker: 'kestrane', number: 'KN-SET 6600', holds: [{ number: 'KN 417T-59IR', quantity: 6 }, one('HARR 110')] },
];

function one(number: string): { number: string; quantity: number } {
  return { number, quantity: 1 };
}

const listed = (engineId: string, number: string, source: string): ListingEntry => ({
  engineId,
  number,
  source,
  statedOn: '2025-03-10',
});

export const kitListings: readonly ListingEntry[] = [
  listed('pellworth-pg66', 'MS-K 481', 'Marlspark application list'),
  listed('pellworth-pg66', 'KN-SET 6600', 'Kestrane set list'),
  listed('dunmarrow-hf22', 'HX 79.402', 'Hexley application list'),
];
