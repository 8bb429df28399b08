/** What is sold for an ignition, in the order it is asked for. */
export const PART_KINDS = ['plug', 'coil', 'lead-set', 'cap', 'rotor'] as const;
export type PartKind = (typeof PART_KINDS)[number];

/** What else stands on the shelf: a thing no engine asks for, and a kit that is put down as the parts in it. */
export const SHELF_KINDS = ['sundry', 'kit'] as const;

/** Whether a kind is one that is sold, not a number to order by or one nobody holds. */
export const isPartKind = (kind: string): kind is PartKind => PART_KINDS.some((one) => one === kind);

/** What several of them are called, and one. */
export const KIND_WORDS: Readonly<Record<PartKind, readonly [many: string, one: string]>> = {
  plug: ['Plugs', 'plug'],
  coil: ['Coils', 'coil'],
  'lead-set': ['Leads', 'lead set'],
  cap: ['Caps', 'cap'],
  rotor: ['Rotors', 'rotor'],
};
