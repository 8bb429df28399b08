import type { Verdict } from '../fitment/verdict.ts';
import { taxOn } from '../money/tax.ts';

export interface Totals {
  readonly goodsMinor: number;
  readonly taxMinor: number;
  readonly totalMinor: number;
}

interface PricedLine {
  readonly kind: 'sale' | 'customers-own';
  readonly quantity: number;
  readonly unitPriceMinor: number | null;
  /** What is refused for the engine now on the slip is not sold, whatever it was put down as. */
  readonly verdict: Verdict | null;
}

/** Goods, tax at a rate in basis points, and what is to be paid, in minor units. Only what is sold is priced; tax is rounded once, half away from zero. */
export function totalsOf(lines: readonly PricedLine[], taxBasisPoints: number): Totals {
  const goodsMinor = lines
    .filter(({ kind, verdict }) => kind === 'sale' && verdict !== 'refuse')
    .reduce((sum, { quantity, unitPriceMinor }) => sum + quantity * (unitPriceMinor ?? 0), 0);
  const taxMinor = taxOn(goodsMinor, taxBasisPoints);
  return { goodsMinor, taxMinor, totalMinor: goodsMinor + taxMinor };
}
