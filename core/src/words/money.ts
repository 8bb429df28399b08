const pounds = new Intl.NumberFormat('en-GB', { style: 'currency', currency: 'GBP' });
const amounts = new Intl.NumberFormat('en-GB', { minimumFractionDigits: 2, maximumFractionDigits: 2 });

/** Minor units as the counter says a price; a dash where there is none. */
export const printPrice = (minor: number | null): string => (minor === null ? '–' : pounds.format(minor / 100));

/** Without the sign, for columns whose head carries it. */
export const printAmount = (minor: number | null): string => (minor === null ? '–' : amounts.format(minor / 100));
