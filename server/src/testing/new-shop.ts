/** The code that a shop of a test's own is begun with. */
export const FIRST_CODE = 'KXWM-4T7P';

/** What a shop is called and how it counts, as whoever begins one says it. */
export const SHOP_DETAILS = {
  name: 'Harrowmere Ignition',
  address: '3 Tannery Yard',
  currency: 'EUR',
  taxBasisPoints: 1350,
  locale: 'en-IE',
  timeZone: null,
  units: 'metric',
};
export const MAUD = { name: 'Maud', initials: 'ma', password: 'peat and heather burn', pin: '4711' };

/** All that begins a shop. */
export const BEGIN = { ...SHOP_DETAILS, code: FIRST_CODE, supervisor: MAUD };
