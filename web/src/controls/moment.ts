import { printMoment as printMomentOn } from '@brackenfell/core/words/moments';

/** A moment as the counter writes it today. */
export const printMoment = (iso: string): string => printMomentOn(iso, new Date());

/** Today at this till, YYYY-MM-DD. */
export const todayHere = (): string => {
  const now = new Date();
  return [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((n) => String(n).padStart(2, '0')).join('-');
};
