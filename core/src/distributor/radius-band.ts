import { within } from '../fitment/tolerance.ts';

/** Of the air gap between rotor tip and cap contact, some 0.8 mm wide. Our own default, said so in docs/decisions.md. */
const MATCH_MM = 0.3;
const ACCEPTABLE_MM = 0.5;

/** What a radius off by so much does: inwards the tip strikes, outwards the spark jumps a wider gap. */
export function judgeRadius(hasMm: number, askedMm: number, strikesWhen: 'larger' | 'smaller') {
  const differenceMm = Number((hasMm - askedMm).toFixed(6));
  const size = Math.abs(differenceMm);
  const closeness = size / MATCH_MM;
  const strikes = strikesWhen === 'larger' ? differenceMm > 0 : differenceMm < 0;
  const figures = { hasMm, askedMm, differenceMm };
  if (within(size, MATCH_MM)) return { outcome: 'match', caseId: 'same', figures, closeness } as const;
  if (within(size, ACCEPTABLE_MM)) return { outcome: 'acceptable', caseId: 'near', figures, closeness } as const;
  return strikes
    ? ({ outcome: 'refuse', caseId: 'strikes', figures, closeness } as const)
    : ({ outcome: 'caution', caseId: 'wide', figures, closeness } as const);
}
