/** The sixteen checks of a plug in the order a hand meets it; also the tray's columns. docs/domain, Plugs. */
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

/** Checks of a coil, from its form to its supply. docs/domain, Coils. */
export const COIL_CHECK_IDS = [
  'topology',
  'towers',
  'connector',
  'driver',
  'mounting',
  'boot',
  'boot-angle',
  'grip',
  'primary',
  'secondary',
  'spark-polarity',
  'revision',
  'supply',
] as const;

/** Checks of a set of leads. Leads: Giving leads to routes. */
export const LEAD_CHECK_IDS = [
  'lead-count',
  'lead-lengths',
  'plug-boots',
  'source-ends',
  'lead-resistance',
  'supply',
] as const;

/** Checks of a distributor cap, and of the rotor that turns in it. docs/domain, Cap and rotor. */
export const CAP_CHECK_IDS = [
  'cap-towers',
  'tower-form',
  'cap-fixing',
  'cap-index',
  'contact-radius',
  'pair',
  'supply',
] as const;
export const ROTOR_CHECK_IDS = ['shaft', 'tip-radius', 'rotor-height', 'rotor-resistance', 'pair', 'supply'] as const;

/** Every check of every kind of part. */
export const ALL_CHECK_IDS = [
  ...new Set([...CHECK_IDS, ...COIL_CHECK_IDS, ...LEAD_CHECK_IDS, ...CAP_CHECK_IDS, ...ROTOR_CHECK_IDS]),
];
export type CheckId = (typeof ALL_CHECK_IDS)[number];
