import type { HasHere } from './comeback.ts';

/** Parts besides plugs that are read when they come off. */
export const READ_PARTS = ['coil', 'lead', 'cap', 'rotor'] as const;
export type ReadPart = (typeof READ_PARTS)[number];

interface PartSign {
  readonly part: ReadPart;
  readonly says: string;
  readonly likely: string;
  /** What is done before anything is sold: the new one would go the way of the old. */
  readonly first: string;
  /** What may be sold then; null for nothing. */
  readonly sells: string | null;
}

const sign = (part: ReadPart, says: string, likely: string, first: string, sells: string | null): PartSign => ({
  part,
  says,
  likely,
  first,
  sells,
});

/** What is seen on a coil, lead, cap or rotor, what it likely comes from, and what comes before a sale. Old parts: Others. */
export const PART_SIGNS = {
  'coil-cracked': sign(
    'coil',
    'cracked body',
    'heat, or it was levered off',
    'Look for what stands hot beside it.',
    'coil',
  ),
  'coil-pins': sign(
    'coil',
    'burnt pins',
    'a connector that did not grip',
    'Look at the connector’s own pins: it burns the next coil as well.',
    'coil and pigtail',
  ),
  'coil-browned': sign(
    'coil',
    'browned or tracked boot',
    'the gap was wider than the boot stands',
    'Read the plug’s gap: a worn one tracks the new boot too.',
    'boot, and the plugs where their gap is past its limit',
  ),
  'coil-swollen': sign(
    'coil',
    'boot swollen with oil',
    'a cover seal that lets oil into the well',
    'The seal first; a new boot in oil swells the same.',
    'cover seal and boot',
  ),
  'coil-water': sign(
    'coil',
    'water in the well',
    'a drain or cover that lets rain in',
    'Find where it comes from.',
    null,
  ),
  'lead-chafed': sign(
    'lead',
    'chafed through',
    'it lay on metal',
    'Reroute it in its clips, clear of edges and of what moves.',
    'lead, or the set by the shop’s rule, and clips',
  ),
  'lead-melted': sign(
    'lead',
    'melted',
    'it lay on something hot',
    'Reroute it clear of the manifold before a new one goes on.',
    'lead, or the set by the shop’s rule, and clips',
  ),
  'lead-tracks': sign(
    'lead',
    'tracks on its boot',
    'damp, dirt or a wide gap',
    'Read plug and tower: each tracks the other.',
    'lead, or the set by the shop’s rule',
  ),
  'lead-loose': sign('lead', 'loose clip in its end', 'pulled by the cable', 'Look at the tower for burning.', 'lead'),
  'cap-tracks': sign(
    'cap',
    'tracks inside',
    'moisture, or a rotor that stood too far off',
    'Let the vent breathe; rotor and cap of one pairing.',
    'cap and rotor',
  ),
  'cap-burnt': sign(
    'cap',
    'burnt or corroded contacts',
    'its time, or a gap to the rotor that is too wide',
    'Rotor and cap are changed together.',
    'cap and rotor',
  ),
  'cap-moist': sign('cap', 'moist', 'a seal or vent', 'Dry it, find the way in; sound without tracks.', null),
  'rotor-burnt': sign('rotor', 'burnt tip', 'its time', 'Rotor and cap are changed together.', 'cap and rotor'),
  'rotor-through': sign(
    'rotor',
    'burnt through to the shaft',
    'a lead or plug that was open',
    'Find the open lead: it burns the next rotor through.',
    'cap and rotor',
  ),
} as const satisfies Readonly<Record<string, PartSign>>;
export type PartSignId = keyof typeof PART_SIGNS;
export const PART_SIGN_IDS = Object.keys(PART_SIGNS) as readonly PartSignId[];

export const PART_WORDS: Readonly<Record<ReadPart, string>> = {
  coil: 'Coil',
  lead: 'Lead',
  cap: 'Cap',
  rotor: 'Rotor',
};

/** Signs of the parts an engine has: one of coils on the plugs has no cap to look into. */
export const partSignsHere = (has: Pick<HasHere, 'coils' | 'leads' | 'cap'>): readonly PartSignId[] => {
  const here: Readonly<Record<ReadPart, boolean>> = { coil: has.coils, lead: has.leads, cap: has.cap, rotor: has.cap };
  return PART_SIGN_IDS.filter((id) => here[PART_SIGNS[id].part]);
};

/** What was seen on a part, in words: `coil 2, 3 tracks`. */
export const saySeen = (sign: PartSignId, cylinders: readonly number[]): string =>
  [PART_WORDS[PART_SIGNS[sign].part].toLowerCase(), cylinders.join(', '), PART_SIGNS[sign].says]
    .filter(Boolean)
    .join(' ');
