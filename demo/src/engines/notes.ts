import type { EngineEntry } from '@brackenfell/contract/catalogue-file';

type Note = NonNullable<EngineEntry['notes']>[number];
type More = Omit<Note, 'about' | 'says' | 'torqueNm'>;

const access = (says: string): Note => ({ about: 'access', says });
const breaks = (says: string, more: More = {}): Note => ({ about: 'breaks', says, ...more });
const procedure = (says: string): Note => ({ about: 'procedure', says });
const bared = (says: string, more: More = {}): Note => ({ about: 'bared', says, ...more });
const fastener = (says: string, lowNm: number, highNm: number, more: More = {}): Note => ({
  about: 'fastener',
  says,
  torqueNm: { low: lowNm, high: highNm },
  ...more,
});

/** What a fitter of each engine is told besides the plug: how to get there, what else is tightened, what breaks. */
export const notes: Readonly<Record<string, readonly Note[]>> = {
  'ostrel-ow12': [
    access('Cover pulls up off four rubbers; coils in line, five minutes a cylinder.'),
    fastener('Coil screw, M6', 8, 10, { count: 3, fate: 'again' }),
    breaks('Connector locks turn brittle: press the tongue, never pull the wires.', {
      count: 3,
      use: 'connector-lock',
      isHot: true,
    }),
    breaks('The cover seal drips into one well: mop the oil before the plug comes out, renew seal and boot.', {
      use: 'cover-seal',
    }),
  ],
  'ostrel-of16t': [
    access('Charge pipe off the cover first; six minutes a cylinder.'),
    fastener('Coil screw, M6', 8, 10, { count: 4, fate: 'again' }),
    fastener('Charge pipe clamp', 3, 4, { count: 2, isCaptive: true, where: 'the wide one at the throttle' }),
    breaks('Boots stick to the plug when they are old: twist before lifting, and look for the spring.', {
      count: 4,
      use: 'coil-boot',
      isHot: true,
    }),
    bared('The charge pipe’s own seal, while the pipe is off.', { use: 'charge-pipe-seal', everyKm: 120_000 }),
  ],
  'skerrow-sc20': [
    access('Pack and leads on top; four minutes a cylinder.'),
    fastener('Pack screw, M6', 8, 11, { count: 3, fate: 'again' }),
    breaks('Lead clips on the cam cover snap in the cold.', { count: 4, use: 'lead-clip' }),
  ],
  'skerrow-sc20g': [
    access('Gas rail crosses the plugs: the gas fitter takes it off and tests it after.'),
    fastener('Pack screw, M6', 8, 11, { count: 3, fate: 'again' }),
    breaks('Lead boots harden sooner on gas: renew them with the plugs.', { count: 4, use: 'lead-boot', isHot: true }),
  ],
  'skerrow-sh28': [
    access(
      'Front bank open, five minutes a cylinder; the rear bank lies under the intake, which comes off: 70 minutes.',
    ),
    access('A socket on a flexible joint, with extension and rubber insert, for the rear bank.'),
    procedure('Rags in the open ports, counted in and counted out; new intake gaskets, never the old ones again.'),
    fastener('Coil screw, M6', 8, 10, { count: 6, fate: 'again' }),
    fastener('Intake stud nut, M8', 18, 22, { count: 8, fate: 'renew', where: 'the four long studs at the rear' }),
    breaks('Intake studs come out with their nuts: turn the stud back in by hand before the nut is torqued.', {
      count: 8,
      use: 'intake-stud',
      isHot: true,
    }),
    breaks('Intake gaskets: never the old ones again.', { count: 6, use: 'intake-gasket', isRenewedAlways: true }),
    bared('Crankcase breather hose under the intake.', { use: 'breather-hose', everyKm: 150_000 }),
    bared('Knock sensor lead under the intake.'),
  ],
  'skerrow-tl24': [
    access('In line behind the heater pipes; 15 minutes a cylinder when they come, an hour when they do not.'),
    procedure('Plugs seize: the maker’s own sheet for soaking, turning back and forth, and torque limits comes first.'),
    fastener('Coil screw, M6', 7, 9, { count: 4, fate: 'again' }),
    breaks('The plug’s shell parts below the hex: have the extracting tool there before beginning.', {
      use: 'shell-extractor',
    }),
  ],
  'dunmarrow-dd70': [
    access('Cowl off for the rear cylinder; cooling fins are sharp.'),
    fastener('Cowl screw, M6', 6, 8, { count: 5, fate: 'again', where: 'the short one under the starter rope' }),
    breaks('Threads in the aluminium head: by hand until the seat is felt.', { use: 'thread-insert' }),
  ],
  'dunmarrow-hf22': [
    access('All four from above; the distributor low at the back.'),
    fastener('Distributor clamp, M8', 18, 22, { count: 1, fate: 'again' }),
    breaks('Cap clips: hook the lower one first.', { count: 2, use: 'cap-clip' }),
  ],
  'dunmarrow-h6': [
    access('Plugs over the hot manifold: let it cool; six minutes a cylinder.'),
    fastener('Heat shield, M8', 18, 22, { fate: 'again' }),
    breaks('Lead clips on the shield melt where they have come loose.', { count: 6, use: 'lead-clip', isHot: true }),
  ],
  'pellworth-pg66': [
    access('Inside the acoustic hood: prop it, lock the set against remote start.'),
    procedure('Gas isolated and proven by the gas fitter before anything is cranked.'),
    fastener('Cap screw, M5', 2, 3, { count: 3, fate: 'lock' }),
    fastener('Coil bracket, M8', 18, 22, { count: 2, fate: 'again' }),
    breaks('Cap screws are soft: renew them, with locking compound.', {
      count: 3,
      use: 'cap-screw',
      isRenewedAlways: true,
    }),
  ],
  'pellworth-pp20': [
    access('One plug in front; fuel tap off.'),
    fastener('Coil screw, M6', 7, 9, { count: 2, fate: 'again' }),
    breaks('The lead is cast into the coil: it is not renewed alone.'),
  ],
  'aldersyke-ak23s': [
    access('Cover and charge pipe; the fifth cylinder under the bulkhead, ten minutes.'),
    fastener('Coil screw, M6', 9, 11, { count: 5, fate: 'again' }),
    fastener('Charge pipe clamp', 3, 4, { count: 2, isCaptive: true }),
    breaks('Connector locks slide: push in, then slide, never lever.', {
      count: 5,
      use: 'connector-lock',
      isHot: true,
    }),
    bared('The supercharger’s belt, while the cover is off.', { use: 'charger-belt', everyKm: 90_000 }),
  ],
  'aldersyke-as22': [
    access('Cover off on six studs; five minutes a cylinder.'),
    fastener('Coil screw, M6', 9, 11, { count: 4, fate: 'again' }),
    fastener('Cover stud nut', 4, 5, { count: 6, fate: 'again' }),
    breaks('Coils of before and after serial number 408 212 look alike in their boxes: hold them side by side.', {
      use: 'coil-pigtail-3',
    }),
  ],
  'aldersyke-at20': [
    access('Eight plugs in two rows; exhaust side from below with a short extension.'),
    fastener('Pack screw, M6', 8, 10, { count: 4, fate: 'again' }),
    breaks('Exhaust-side boots burn first.', { count: 4, use: 'lead-boot', isHot: true }),
  ],
  'thrushgill-tc18': [
    access('Open engine bay; compression is logged before plugs are changed for tuning.'),
    fastener('Cap screw, M5', 2, 3, { count: 2, fate: 'again' }),
    breaks('Rotor is pressed on: pull straight, never lever.'),
  ],
  'thrushgill-tn17': [
    access('Two banks close together: short ratchet, joint under the hand; cylinder 4 stands against the bulkhead.'),
    fastener('Pack screw, M6', 7, 9, { count: 3, fate: 'again' }),
    breaks('Straight boots belong to the right bank, bent ones to the left: exchanged, they chafe through.', {
      count: 4,
      use: 'lead-boot',
    }),
  ],
};
