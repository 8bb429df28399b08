import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { FactSheet } from '../facts/facts.ts';
import { judgePart } from '../fitment/judge-part.ts';
import { sayIn } from '../fitment/say.ts';
import { COIL_CHECKS } from './coil-checks.ts';
import { coilDistance } from './coil-distance.ts';

const sheetOf = (facts: Readonly<Record<string, unknown>>): FactSheet =>
  Object.fromEntries(
    Object.entries(facts).map(([fact, value]) => [
      fact,
      { ruling: [{ value, source: { rank: 'part-maker', name: 'A catalogue' } }] },
    ]),
  );
const ASKED = sheetOf({
  'coilAsked.topology': 'on-plug',
  'coilAsked.connector': 'oval-top',
  'coilAsked.pinsCount': 3,
  'coilAsked.builtInDriver': true,
  'coilAsked.bootLengthMm': 118,
  'coilAsked.bootAngleDeg': 0,
  'coilAsked.grips': 'solid',
  'coilAsked.mounting': { holes: 1, spacingMm: 0, threadMm: 6 },
});
const RIGHT = {
  'coil.topology': 'on-plug',
  'coil.connector': 'oval-top',
  'coil.pinsCount': 3,
  'coil.builtInDriver': true,
  'coil.bootLengthMm': 118,
  'coil.bootAngleDeg': 0,
  'coil.grips': 'solid',
  'coil.mounting': { holes: 1, spacingMm: 0, threadMm: 6 },
  'coil.supply': { state: 'active' },
};
const off = (facts: Readonly<Record<string, unknown>>) => coilDistance(sheetOf(facts), ASKED);

test('a coil that is as asked is at no distance; what is not known is half as far as what is another', () => {
  expect(off(RIGHT)).toBe(0);
  const { 'coil.grips': _, ...unseen } = RIGHT;
  expect([off(unseen), off({ ...RIGHT, 'coil.grips': 'stud' })]).toEqual([0.5, 1]);
});

test('a boot too short is further off than one as much too long', () => {
  expect(off({ ...RIGHT, 'coil.bootLengthMm': 116 })).toBe(1);
  expect(off({ ...RIGHT, 'coil.bootLengthMm': 123 })).toBe(0.5);
  expect(coilDistance(sheetOf(RIGHT), sheetOf({}))).toBe(0);
});

test('whatever their facts, a coil of which nothing speaks against it is nearer than any that is refused', () => {
  const some = fc.record({
    'coil.builtInDriver': fc.boolean(),
    'coil.bootLengthMm': fc.integer({ min: 112, max: 126 }),
    'coil.bootAngleDeg': fc.constantFrom(0, 90),
    'coil.grips': fc.constantFrom('solid', 'stud'),
    'coil.pinsCount': fc.constantFrom(3, 4),
  });
  const outcomesOf = (facts: object) => {
    const part = { ...sheetOf({ ...RIGHT, ...facts }), ...ASKED };
    const { findings } = judgePart(COIL_CHECKS, part, { named: false, listed: true }, sayIn('metric'));
    return findings.map(({ outcome }) => outcome);
  };
  const boot = fc.integer({ min: 116, max: 123 }).map((mm) => ({ 'coil.bootLengthMm': mm }));
  fc.assert(
    fc.property(boot, some, (fits, other) => {
      expect(outcomesOf(fits)).not.toContain('refuse');
      fc.pre(outcomesOf(other).includes('refuse'));
      expect(off({ ...RIGHT, ...fits })).toBeLessThanOrEqual(off({ ...RIGHT, ...other }));
    }),
  );
});
