import { rulingValue, type FactSheet } from '../facts/facts.ts';
import { withTax } from '../money/tax.ts';

/** A job as it is priced, all before tax: money in minor units. */
export interface PricedJob {
  readonly partsMinor: number;
  /** Tools that would be bought for it, and kept. What is lent costs nothing once it is back. */
  readonly toolsMinor: number;
  readonly minutes: number;
  readonly perHourMinor: number;
  /** What a workshop puts on parts, per cent. */
  readonly markUpPercent: number;
  readonly taxBasisPoints: number;
}

/** Both ways of having it done, with tax. */
export interface HomeOrWorkshop {
  readonly homeMinor: number;
  /** At home once the tools are there: what each later job comes to. */
  readonly laterMinor: number;
  readonly workshopMinor: number;
  /** After so many jobs the tools have paid for themselves; undefined where they never do. */
  readonly toolsPayAfter: number | undefined;
}

/** What a job comes to at home and in a workshop, tax on both. Service: Home or workshop. */
export function homeOrWorkshop({
  partsMinor,
  toolsMinor,
  minutes,
  perHourMinor,
  markUpPercent,
  taxBasisPoints,
}: PricedJob): HomeOrWorkshop {
  const laterMinor = withTax(partsMinor, taxBasisPoints);
  const workshopMinor = withTax(
    Math.round(partsMinor * (1 + markUpPercent / 100)) + Math.round((minutes / 60) * perHourMinor),
    taxBasisPoints,
  );
  const saved = workshopMinor - laterMinor;
  const tools = withTax(toolsMinor, taxBasisPoints);
  return {
    homeMinor: laterMinor + tools,
    laterMinor,
    workshopMinor,
    toolsPayAfter: saved <= 0 ? undefined : Math.max(1, Math.ceil(tools / saved)),
  };
}

/** Why it stays with a workshop whatever it costs. Service: Home or workshop. */
export function staysWithWorkshop(position: FactSheet): readonly string[] {
  return [
    ...(rulingValue(position, 'position.fuel') === 'gas'
      ? ['Gas: a licensed gas fitter works on anything that carries it.']
      : []),
    ...(rulingValue(position, 'position.seizesTwoPiece') === true
      ? [
          'Its plugs are known to seize and come out in two: the engine maker’s procedure, and its tools, are a workshop’s.',
        ]
      : []),
  ];
}
