import type { GarageLine } from '@brackenfell/contract/garage';

const weight = ({ due }: GarageLine): string =>
  due === null ? '3' : due.isPast ? `0${due.called}` : due.on === null ? '2' : `1${due.on}`;

/** Past dues first, then by day, then what has none. */
export const pressingLine = (a: GarageLine, b: GarageLine): number =>
  weight(a).localeCompare(weight(b)) || a.called.localeCompare(b.called);
