/** Currencies a shop may keep its prices in: those of a hundred small ones to the large, as every amount here is counted. */
export const CURRENCIES = [
  'GBP',
  'EUR',
  'USD',
  'CHF',
  'DKK',
  'NOK',
  'SEK',
  'PLN',
  'CZK',
  'AUD',
  'CAD',
  'NZD',
  'ZAR',
] as const;
export type Currency = (typeof CURRENCIES)[number];

/** How figures and dates may be written. The words stay English. */
export const LOCALES = ['en-GB', 'en-IE', 'en-US', 'en-CA', 'en-AU', 'en-NZ', 'en-ZA'] as const;
export type Locale = (typeof LOCALES)[number];

function writersOf(currency: Currency, locale: Locale) {
  const style = { style: 'currency', currency, currencyDisplay: 'narrowSymbol' } as const;
  const priced = new Intl.NumberFormat(locale, style);
  return {
    priced,
    bare: new Intl.NumberFormat(locale, { minimumFractionDigits: 2, maximumFractionDigits: 2 }),
    sign: priced.formatToParts(0).find(({ type }) => type === 'currency')!.value,
  };
}

/** One process, and one page, serves one shop: its money is told to this module once, before the first amount is written. */
let told: Parameters<typeof writersOf> = ['GBP', 'en-GB'];
// Made for the first amount: to ask how a locale writes costs a page's beginning 75 ms on a busy machine.
let made: ReturnType<typeof writersOf> | undefined;
const writers = () => (made ??= writersOf(...told));

/** From here on amounts are written in this currency, as this locale has it. */
export function writeMoneyIn(currency: Currency, locale: Locale): void {
  told = [currency, locale];
  made = undefined;
}

/** Minor units as the counter says a price; a dash where there is none. */
export const printPrice = (minor: number | null): string =>
  minor === null ? '–' : writers().priced.format(minor / 100);

/** Without the sign, for columns whose head carries it. */
export const printAmount = (minor: number | null): string =>
  minor === null ? '–' : writers().bare.format(minor / 100);

/** The currency's sign. */
export const moneySign = (): string => writers().sign;

/** A label that is written with a pound's sign, with the shop's own. */
export const inOurMoney = (label: string): string => label.replace('£', writers().sign);
