import { printMoment as printMomentOn } from '@brackenfell/core/words/moments';

/** A moment as the counter writes it today. */
export const printMoment = (iso: string): string => printMomentOn(iso, new Date());
