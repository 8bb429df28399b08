/** Tax on an amount without it, at a rate in basis points (2000 is 20%); minor units, rounded once, half up. */
export const taxOn = (minor: number, taxBasisPoints: number): number => Math.round((minor * taxBasisPoints) / 10_000);

/** An amount without tax, with it. Both in minor units. */
export const withTax = (minor: number, taxBasisPoints: number): number => minor + taxOn(minor, taxBasisPoints);

/** 2000 as `Tax 20%`. */
export const printTax = (taxBasisPoints: number): string => `Tax ${taxBasisPoints / 100}%`;
