import { within } from '../fitment/tolerance.ts';

/** Share of the asked resistance that coils are made within, and may be off. Coils: Resistance. */
export const RESISTANCE_MATCH = 0.1;
const ACCEPTABLE = 0.15;

/** How far a coil's resistance is off what is asked, and what that is worth. Both in one unit. */
export function judgeResistance(has: number, asked: number) {
  const offPercent = Number((((has - asked) / asked) * 100).toFixed(4));
  const size = Math.abs(offPercent) / 100;
  const outcome: 'match' | 'acceptable' | 'caution' = within(size, RESISTANCE_MATCH)
    ? 'match'
    : within(size, ACCEPTABLE)
      ? 'acceptable'
      : 'caution';
  return { offPercent, outcome, closeness: size / RESISTANCE_MATCH };
}

export const tellOff = (offPercent: number): string =>
  `${offPercent < 0 ? '−' : '+'}${Math.abs(offPercent).toFixed(0)}%`;
