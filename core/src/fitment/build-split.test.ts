import { describe, expect, test } from '@jest/globals';
import { COIL_CHECKS } from '../coils/coil-checks.ts';
import { judgeWhileBuildUnknown } from './build-split.ts';
import type { FactId, FactSheet } from '../facts/facts.ts';
import { judgeOverPositions, judgePart } from './judge-part.ts';
import { sayIn } from './say.ts';

const sheet = (facts: Partial<Record<FactId, unknown>>): FactSheet =>
  Object.fromEntries(
    Object.entries(facts).map(([id, value]) => [
      id,
      { ruling: [{ value, source: { rank: 'part-maker', name: 'x' } }] },
    ]),
  );
const evidence = { named: false, listed: true };
const ASK = 'When was it built?';

const engine = {
  'coilAsked.topology': 'on-plug',
  'coilAsked.towersCount': 1,
  'coilAsked.connector': 'flat-left',
  'coilAsked.pinsCount': 3,
  'coilAsked.builtInDriver': true,
  'coilAsked.bootLengthMm': 100,
  'coilAsked.grips': 'solid',
  'coilAsked.mounting': { holes: 1, spacingMm: 0, threadMm: 6 },
  'coilAsked.primaryOhm': 0.5,
  'coilAsked.sparkPolarity': 'negative',
} as const;
const coil = {
  'coil.topology': 'on-plug',
  'coil.towersCount': 1,
  'coil.connector': 'flat-left',
  'coil.pinsCount': 3,
  'coil.builtInDriver': true,
  'coil.bootLengthMm': 100,
  'coil.grips': 'solid',
  'coil.mounting': { holes: 1, spacingMm: 0, threadMm: 6 },
  'coil.primaryOhm': 0.5,
  'coil.secondary': { kind: 'not-measurable' },
  'coil.sparkPolarity': 'negative',
  'coil.revision': 'A',
  'coil.supply': { state: 'active' },
} as const;

function judge(own: Partial<Record<FactId, unknown>>, late: Partial<Record<FactId, unknown>>) {
  const forBuild = (build: string, asked: object) => ({
    build,
    judgement: judgeOverPositions([
      {
        labels: ['1'],
        judgement: judgePart(COIL_CHECKS, sheet({ ...engine, ...asked, ...coil, ...own }), evidence, sayIn('metric')),
      },
    ]),
  });
  return judgeWhileBuildUnknown([forBuild('to 2016', {}), forBuild('from 2017', late)], ASK, evidence);
}

describe('a coil for an engine whose build is not known', () => {
  test('is asked about where one build takes it and the other does not, and the sentence tells both', () => {
    const { verdict, findings } = judge({}, { 'coilAsked.pinsCount': 4 });
    expect(verdict).toBe('ask-first');
    const split = findings.find((f) => f.check === 'connector')!;
    expect(split).toMatchObject({ outcome: 'unknown', caseId: 'split', blocks: true });
    expect(split.told.says).toMatch(/to 2016: connector as asked\. from 2017: 3 pins where 4 are asked, refused\./);
    expect(split.told.toDo).toBe(ASK);
  });

  test('is sold where every build takes it', () => {
    expect(judge({}, {}).verdict).toBe('sell');
  });

  test('is refused, not asked about, where every build refuses it, though for different reasons', () => {
    const { verdict } = judge({ 'coil.pinsCount': 4 }, { 'coilAsked.pinsCount': 4, 'coilAsked.bootLengthMm': 130 });
    expect(verdict).toBe('refuse');
  });

  test('is asked about even where the builds differ in a caution alone', () => {
    expect(judge({}, { 'coilAsked.primaryOhm': 0.7 }).verdict).toBe('ask-first');
  });
});
