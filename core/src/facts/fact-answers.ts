import type { DisplayKind } from '../quantities/format-quantity.ts';
import type { FactId, FactTypes } from './facts.ts';

/** How a missing fact is answered at the counter, where its question stands. */
export type FactAnswer =
  /** A figure, typed or taken from a device; `within` is how near two readings must be to agree. */
  | {
      readonly kind: 'measure';
      readonly quantity: Exclude<DisplayKind, 'lead-length'>;
      readonly unit: 'mm' | 'kΩ';
      readonly device: 'gauge' | 'ohmmeter';
      readonly within: number;
      /** What a simulated device is told to hold. */
      readonly laidAs: string;
    }
  /** Something seen: one of a few forms. Seen once it holds, there is nothing to scatter. */
  | {
      readonly kind: 'choose';
      readonly options: readonly { readonly value: string | boolean | number; readonly says: string }[];
    };

const mm = (quantity: 'reach' | 'hex' | 'length' | 'thread' | 'gap', within: number, laidAs: string): FactAnswer => ({
  kind: 'measure',
  quantity,
  unit: 'mm',
  device: 'gauge',
  within,
  laidAs,
});
const choose = <K extends FactId>(
  ...options: readonly (readonly [value: FactTypes[K] & (string | boolean | number), says: string])[]
): FactAnswer => ({ kind: 'choose', options: options.map(([value, says]) => ({ value, says })) });
const yesNo = choose<'plug.nutCanBeFitted'>([true, 'Yes'], [false, 'No']);
const points = choose<'plug.hexPoints'>([6, 'Six points'], [12, 'Twelve points']);
const materials = choose<'plug.centreMaterial'>(
  ['nickel', 'Nickel: thick and plain'],
  ['silver', 'Silver'],
  ['platinum', 'Platinum'],
  ['iridium', 'Iridium'],
);

/** Repeatability of a slide gauge on a machined length, of a wire gauge in a gap, of a meter on a resistor. */
const LENGTH_MM = 0.15;
const GAP_MM = 0.03;
const RESISTOR_KOHM = 0.3;

/**
 * Which facts are answered in place, and how. What is not here is looked up (a maker's sheet, the class rules), chosen where
 * builds and batches are chosen, or asked of the maker; the question then says so.
 */
export const FACT_ANSWERS: Readonly<Partial<Record<FactId, FactAnswer>>> = {
  'plug.threadDiameterMm': mm('thread', LENGTH_MM, 'threadMm'),
  'plug.threadPitchMm': choose<'plug.threadPitchMm'>([1, '1.00 mm'], [1.25, '1.25 mm'], [1.5, '1.50 mm']),
  'plug.reachMm': mm('reach', LENGTH_MM, 'reachMm'),
  'plug.threadedLengthMm': mm('reach', LENGTH_MM, 'reachMm'),
  'plug.seat': choose<'plug.seat'>(
    ['gasket-fixed', 'Flat, its gasket held on'],
    ['gasket-loose', 'Flat, its gasket loose'],
    ['taper', 'A cone, no gasket'],
  ),
  'plug.hexMm': mm('hex', LENGTH_MM, 'hexMm'),
  'plug.hexPoints': points,
  'plug.lengthMm': mm('length', 0.4, 'lengthMm'),
  'plug.terminal': choose<'plug.terminal'>(
    ['solid', 'Solid'],
    ['nut', 'A nut screwed on'],
    ['stud', 'A bare stud'],
    ['cup', 'A cup'],
  ),
  'plug.nutCanBeFitted': yesNo,
  'plug.resistor': {
    kind: 'measure',
    quantity: 'plug-resistor',
    unit: 'kΩ',
    device: 'ohmmeter',
    within: RESISTOR_KOHM,
    laidAs: 'resistorKohm',
  },
  'plug.centreMaterial': materials,
  'plug.groundMaterial': materials,
  'plug.groundCount': choose<'plug.groundCount'>([1, 'One'], [2, 'Two'], [3, 'Three'], [4, 'Four']),
  'plug.groundForm': choose<'plug.groundForm'>(
    ['over-tip', 'Over the tip'],
    ['side', 'Beside the tip'],
    ['surface', 'None: the shell itself'],
  ),
  'plug.groundThicknessMm': mm('length', 0.1, 'groundThicknessMm'),
  'plug.projectionMm': mm('length', LENGTH_MM, 'projectionMm'),
  'plug.gapMm': mm('gap', GAP_MM, 'gapMm'),
  'plug.shell': choose<'plug.shell'>(['one-piece', 'One piece'], ['two-piece', 'A ring pressed on above the hex']),
  'plug.plating': choose<'plug.plating'>(
    ['nickel', 'Silvery-bright: nickel'],
    ['zinc', 'Dull grey-blue: zinc'],
    ['none', 'Bare dark steel'],
  ),
  'position.headMetal': choose<'position.headMetal'>(
    ['aluminium', 'The magnet falls off: aluminium'],
    ['cast-iron', 'It sticks: iron'],
  ),
  'position.hasBattery': choose<'position.hasBattery'>([true, 'A battery'], [false, 'None']),
  'position.reachMm': mm('reach', 0.3, 'reachMm'),
  'position.headThreadMm': mm('reach', 0.3, 'reachMm'),
  'position.seat': choose<'position.seat'>(['gasket', 'A flat face'], ['taper', 'A cone']),
  'position.hexPoints': points,
  'position.wellBoreMm': mm('length', 0.3, 'wellBoreMm'),
  'position.lengthLimitMm': mm('length', 0.5, 'lengthMm'),
  'position.oeDepthMm': mm('length', 0.3, 'depthMm'),
  'position.crownMm': mm('length', 0.3, 'crownMm'),
  'position.terminal': choose<'position.terminal'>(['solid', 'Solid'], ['stud', 'A bare stud'], ['cup', 'A cup']),
  'position.polarity': choose<'position.polarity'>(['forward', 'Forward'], ['reverse', 'In reverse']),
  'position.aspiration': choose<'position.aspiration'>(['natural', 'No'], ['forced', 'Yes: turbo or supercharger']),
  'position.fuel': choose<'position.fuel'>(['petrol', 'Petrol'], ['gas', 'Gas']),
  'position.shellFitted': choose<'position.shellFitted'>(['one-piece', 'One piece'], ['two-piece', 'Two pieces']),
};

export const isOfVehicle = (fact: FactId): boolean => fact.startsWith('position.');
