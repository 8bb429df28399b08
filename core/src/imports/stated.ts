import { RESISTOR_KOHM } from '../facts/fact-answers.ts';
import type { PlugResistor } from '../facts/plug-facts.ts';
import type { RecordedFactId, RecordedValue } from '../facts/facts.ts';
import { FIGURE_USE_IDS, isFigureUse, type FigureUse } from './columns.ts';
import type { ReadRow } from './read-row.ts';
import { TOLD_USES, type Stated, type ToldUse } from './told.ts';

/** Columns that state something of a plug. */
export type StatingUse = FigureUse | ToldUse;
export const STATING_USES: readonly StatingUse[] = [...FIGURE_USE_IDS, ...TOLD_USES];

/** What each column states. */
export const FACTS_OF = {
  gap: ['plug.gapMm'],
  reach: ['plug.reachMm'],
  hex: ['plug.hexMm'],
  thread: ['plug.threadDiameterMm', 'plug.threadPitchMm'],
  seat: ['plug.seat'],
  heat: ['plug.heat'],
  electrode: ['plug.centreMaterial'],
  resistor: ['plug.resistor'],
} as const satisfies Readonly<Record<StatingUse, readonly RecordedFactId[]>>;
export const STATED_FACTS: readonly RecordedFactId[] = STATING_USES.flatMap((use) => FACTS_OF[use]);

/** What a row states of its part in a column, as it is recorded; nothing where the cell is blank. */
export function statedIn(row: Pick<ReadRow, 'figuresMm' | 'told'>, use: StatingUse): readonly Stated[] {
  if (!isFigureUse(use)) return row.told?.[use] ?? [];
  const mm = row.figuresMm[use];
  return mm === undefined ? [] : [[FACTS_OF[use][0], mm]];
}

/** All that a row states of its part. */
export const statedOf = (row: Pick<ReadRow, 'figuresMm' | 'told'>): readonly Stated[] =>
  STATING_USES.flatMap((use) => statedIn(row, use));

const AGREE_MM = 0.005;
/** A flat seat, whether its gasket is held on or not. */
const isFlat = (seat: unknown): boolean => seat === 'gasket-fixed' || seat === 'gasket-loose';

/** Whether two recorded values of a fact say the same, as far as a list tells it. */
export function agree(fact: RecordedFactId, a: unknown, b: unknown): boolean {
  switch (fact) {
    case 'plug.seat':
      return a === b || (isFlat(a) && isFlat(b));
    case 'plug.heat': {
      const [one, other] = [a, b] as [RecordedValue<'plug.heat'>, RecordedValue<'plug.heat'>];
      return one.maker === other.maker && one.code === other.code;
    }
    case 'plug.resistor': {
      const [one, other] = [a, b] as [PlugResistor, PlugResistor];
      if (one.kind === 'none' || other.kind === 'none') return one.kind === other.kind;
      // That there is one says nothing against its value.
      return one.kind !== 'value' || other.kind !== 'value' || Math.abs(one.kohm - other.kohm) <= RESISTOR_KOHM;
    }
    default:
      return typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) <= AGREE_MM : a === b;
  }
}

const RESISTOR_SAYS = { none: 'none', present: 'yes' } as const;

/** What a column states, in few words: `M14 × 1.25`, `taper`, `5 kΩ`, `0.90 mm`. */
export function sayStated(use: StatingUse, stated: readonly Stated[]): string {
  const of = <K extends RecordedFactId>(fact: K) =>
    stated.find(([one]) => one === fact)?.[1] as RecordedValue<K> | undefined;
  switch (use) {
    case 'thread': {
      const [diameter, pitch] = [of('plug.threadDiameterMm'), of('plug.threadPitchMm')];
      const cut = pitch === undefined ? '' : `× ${pitch.toFixed(2)}`;
      return diameter === undefined ? cut : `M${diameter} ${cut}`.trim();
    }
    case 'seat':
      return of('plug.seat') === 'taper' ? 'taper' : of('plug.seat') === 'gasket-loose' ? 'flat, gasket loose' : 'flat';
    case 'heat':
      return of('plug.heat')!.code;
    case 'electrode':
      return of('plug.centreMaterial')!;
    case 'resistor': {
      const resistor = of('plug.resistor')!;
      return resistor.kind === 'value' ? `${resistor.kohm} kΩ` : RESISTOR_SAYS[resistor.kind];
    }
    default:
      return `${(stated[0]![1] as number).toFixed(2)} mm`;
  }
}
