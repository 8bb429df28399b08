import type { Role } from '@brackenfell/contract/endpoint';

/** What stands on the demo's sign-in and papers. */
export const demoShop = { name: 'Sallowdale Factors', address: 'Cawdle' };

/** The demo counter's people. Their passwords and PINs are printed at every start: they guard invented data alone. */
export const demoStaff: readonly { name: string; initials: string; role: Role; password: string; pin: string }[] = [
  { name: 'Wren', initials: 'WA', role: 'specialist', password: 'bracken-and-heather', pin: '4201' },
  { name: 'Perrin', initials: 'PT', role: 'starter', password: 'first-week-at-cawdle', pin: '4202' },
  { name: 'Isolde', initials: 'IG', role: 'supervisor', password: 'three-tarns-at-dawn', pin: '4203' },
  { name: 'Corwin', initials: 'CM', role: 'editor', password: 'lists-that-disagree', pin: '4204' },
];
