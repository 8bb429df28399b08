import { appendFileSync } from 'node:fs';

/** One measured figure and what it is held against. Ratios have no unit. */
export interface Figure {
  readonly what: string;
  readonly value: number;
  readonly target: number;
  /** What it was when the target was set; left out for what was not measured then. */
  readonly before?: number | undefined;
  readonly unit?: string;
  /** The target is a least, not a most. */
  readonly atLeast?: boolean;
}

const isReached = ({ value, target, atLeast = false }: Figure): boolean =>
  atLeast ? value >= target : value <= target;

const said = (value: number): string =>
  value >= 100 ? Math.round(value).toLocaleString('en-GB') : String(Number(value.toFixed(value < 1.1 ? 3 : 1)));

/** A figure that misses its target by less than is usually told is told closer. */
const measured = (figure: Figure): string =>
  !isReached(figure) && said(figure.value) === said(figure.target) ? figure.value.toPrecision(4) : said(figure.value);

/** A figure as the row of a table: what, before, measured, target, reached or not. */
export function cellsOf(figure: Figure): readonly [string, string, string, string, string] {
  const { what, target, before, unit, atLeast = false } = figure;
  return [
    unit ? `${what}, ${unit}` : what,
    before === undefined ? '–' : said(before),
    measured(figure),
    `${atLeast ? '≥' : '≤'} ${said(target)}`,
    isReached(figure) ? 'reached' : '**not reached**',
  ];
}

/** Says a figure, and keeps it for the one table of a run that is asked for one. */
export function hold(figure: Figure): void {
  console.log(`  ${cellsOf(figure).join(' | ')}`);
  const kept = process.env.BRACKENFELL_FIGURES;
  if (kept) appendFileSync(kept, `${JSON.stringify(figure)}\n`);
}
