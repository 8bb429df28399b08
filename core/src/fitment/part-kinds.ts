/** What is sold for an ignition, in the order it is asked for. */
export const PART_KINDS = ['plug', 'coil', 'lead-set', 'cap', 'rotor'] as const;
export type PartKind = (typeof PART_KINDS)[number];

/** What several of them are called, and one. */
export const KIND_WORDS: Readonly<Record<PartKind, readonly [many: string, one: string]>> = {
  plug: ['Plugs', 'plug'],
  coil: ['Coils', 'coil'],
  'lead-set': ['Leads', 'lead set'],
  cap: ['Caps', 'cap'],
  rotor: ['Rotors', 'rotor'],
};
