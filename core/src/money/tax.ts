/** Standard rate of value added tax, in basis points, on prices that are quoted without it. */
const TAX_BASIS_POINTS = 2000;

/** Tax on an amount without it, both in minor units; rounded once, half up. */
export const taxOn = (minor: number): number => Math.round((minor * TAX_BASIS_POINTS) / 10_000);

/** An amount without tax, with it. Both in minor units. */
export const withTax = (minor: number): number => minor + taxOn(minor);
