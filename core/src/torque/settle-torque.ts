import type { Sourced } from '../facts/facts.ts';
import type { TorqueRange } from '../quantities/general-torques.ts';
import type { TorqueStatement } from '../facts/torque-statements.ts';

/** A nominal figure without a tolerance is taken this much either way, for comparing only. Torque: Settling sources. */
const NOMINAL_SHARE = 0.1;
/** From the general table the aim is a quarter of the way up. Torque: Settling sources. */
const GENERAL_AIM = 0.25;

/** One maker's own sheets, brought to one range. */
export interface MakersTorque extends TorqueRange {
  /** What the sheet aims at; its figure where it prints only one. */
  readonly nominalNm: number | undefined;
  readonly condition: TorqueStatement['condition'];
  /** How several sheets of one maker were brought to one; absent where there is one. */
  readonly settledBy?: 'newer' | 'overlap' | 'lower';
}

const isNominalOnly = ({ lowNm, highNm }: TorqueRange): boolean => lowNm === highNm;
const common = (a: TorqueRange, b: TorqueRange): TorqueRange | undefined => {
  const [lowNm, highNm] = [Math.max(a.lowNm, b.lowNm), Math.min(a.highNm, b.highNm)];
  return lowNm <= highNm ? { lowNm, highNm } : undefined;
};
const widened = (range: TorqueRange): TorqueRange =>
  isNominalOnly(range)
    ? { lowNm: range.lowNm * (1 - NOMINAL_SHARE), highNm: range.highNm * (1 + NOMINAL_SHARE) }
    : range;
const middle = ({ lowNm, highNm }: TorqueRange): number => (lowNm + highNm) / 2;

const asOne = ({ lowNm, highNm, nominalNm, condition }: TorqueStatement): MakersTorque => ({
  lowNm,
  highNm,
  nominalNm: nominalNm ?? (lowNm === highNm ? lowNm : undefined),
  condition,
});

/**
 * Two figures of one maker: the newer sheet where both are dated, else what they have in common, else the lower; never an
 * average. Undefined without a sheet. Torque: Settling sources.
 */
export function settleOneMaker(sheets: readonly TorqueStatement[]): MakersTorque | undefined {
  const [first, ...others] = sheets;
  if (!first) return undefined;
  if (others.length === 0) return asOne(first);
  const dated = [...sheets].sort((a, b) => (a.dated ?? '').localeCompare(b.dated ?? ''));
  const [newest, before] = [dated.at(-1)!, dated.at(-2)!];
  if (sheets.every((sheet) => sheet.dated !== undefined) && newest.dated !== before.dated)
    return { ...asOne(newest), settledBy: 'newer' };
  const overlap = sheets.reduce<TorqueRange | undefined>((so, sheet) => so && common(so, sheet), first);
  // Of two with one middle the narrower: its top is the lower.
  const lowest = [...sheets].sort((a, b) => middle(a) - middle(b) || a.highNm - b.highNm)[0]!;
  if (!overlap) return { ...asOne(lowest), settledBy: 'lower' };
  return { ...asOne({ ...lowest, ...overlap }), settledBy: 'overlap' };
}

/** The torque a plug is tightened to here: the range, where in it to aim, who said so, and whether they agree. */
export interface TorqueAnswer extends TorqueRange {
  readonly aimNm: number;
  readonly from: 'both' | 'engine-maker' | 'plug-maker' | 'general-table';
  /** The makers' own ranges have nothing in common. */
  readonly conflict: boolean;
  readonly condition: TorqueStatement['condition'];
  readonly ofEngine?: MakersTorque;
  readonly ofPlug?: MakersTorque;
}

/**
 * The half of the engine maker's range that is nearer the plug maker's: where the two have nothing in common it is never
 * outside the engine maker's own.
 */
function nearerHalf(engine: TorqueRange, plug: TorqueRange): TorqueRange {
  const mid = middle(engine);
  return middle(plug) < mid ? { lowNm: engine.lowNm, highNm: mid } : { lowNm: mid, highNm: engine.highNm };
}

function answerOfBoth(engine: MakersTorque, plug: MakersTorque): TorqueRange & { readonly conflict: boolean } {
  const conflict = common(widened(engine), widened(plug)) === undefined;
  if (isNominalOnly(engine)) return { lowNm: engine.lowNm, highNm: engine.highNm, conflict };
  const shared = common(engine, plug) ?? common(engine, widened(plug));
  return { ...(shared ?? nearerHalf(engine, plug)), conflict };
}

const lies = (nm: number | undefined, { lowNm, highNm }: TorqueRange): nm is number =>
  nm !== undefined && nm >= lowNm && nm <= highNm;

/**
 * One torque from what the engine maker, the plug maker and the general table say (`general` only where neither maker
 * speaks). Ranges in N·m. Undefined where nobody says anything. Torque: Settling sources.
 */
export function settleTorque(
  engineSheets: readonly TorqueStatement[],
  plugSheets: readonly TorqueStatement[],
  general: TorqueRange | undefined,
): TorqueAnswer | undefined {
  const [ofEngine, ofPlug] = [settleOneMaker(engineSheets), settleOneMaker(plugSheets)];
  if (!ofEngine && !ofPlug) {
    if (!general) return undefined;
    const aimNm = general.lowNm + (general.highNm - general.lowNm) * GENERAL_AIM;
    return { ...general, aimNm, from: 'general-table', conflict: false, condition: 'dry' };
  }
  const { conflict, ...range } =
    ofEngine && ofPlug ? answerOfBoth(ofEngine, ofPlug) : { ...rangeOf((ofEngine ?? ofPlug)!), conflict: false };
  const nominal = [ofEngine?.nominalNm, ofPlug?.nominalNm].find((nm) => lies(nm, range));
  return {
    ...range,
    aimNm: nominal ?? middle(range),
    from: ofEngine && ofPlug ? 'both' : ofEngine ? 'engine-maker' : 'plug-maker',
    conflict,
    condition: (ofEngine ?? ofPlug)!.condition,
    ...(ofEngine ? { ofEngine } : {}),
    ...(ofPlug ? { ofPlug } : {}),
  };
}

const rangeOf = ({ lowNm, highNm }: TorqueRange): TorqueRange => ({ lowNm, highNm });

/** The statements that stand in a sheet's entry, without their sources. */
export const statementsIn = <T>(entry: { readonly ruling: readonly Sourced<T>[] } | undefined): readonly T[] =>
  entry?.ruling.map(({ value }) => value) ?? [];
