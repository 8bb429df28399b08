/** The sixteen checks in the order a hand meets the plug; also the tray's columns. Domain section 4. */
export const CHECK_IDS = [
  'thread',
  'reach',
  'seat',
  'depth',
  'hex-and-well',
  'length',
  'terminal',
  'gap',
  'electrode',
  'polarity',
  'grounds',
  'heat',
  'resistor',
  'shell',
  'class-list',
  'supply',
] as const;

export type CheckId = (typeof CHECK_IDS)[number];
