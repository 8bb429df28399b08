import { describe, expect, test } from '@jest/globals';
import { compareReading, MEASURED } from './measured.ts';
import { answerOfReading, logRatioOf, type MeasuredId } from './tell.ts';
import { printChance, sayConclusion, sayMissing } from './say-conclusion.ts';
import { judgeInspection, type InspectionMatter } from './inspection.ts';

describe('a reading against the catalogue', () => {
  // Nominal, and how far off it may be to agree and to be near.
  const rows: readonly (readonly [MeasuredId, number, agrees: number, near: number])[] = [
    ['reachMm', 19, 0.3, 0.5],
    ['lengthMm', 50.5, 1, 3],
    ['hexMm', 16, 0.25, 0.25],
    ['threadMm', 14, 0.3, 0.5],
  ];
  test.each(rows)('%s agrees, is near and contradicts on both sides of %d', (id, nominal, agrees, near) => {
    for (const side of [-1, 1]) {
      expect(compareReading(id, nominal + side * agrees, nominal)).toBe('agrees');
      if (near > agrees) expect(compareReading(id, nominal + side * (agrees + 0.02), nominal)).toBe('near');
      expect(compareReading(id, nominal + side * near, nominal)).not.toBe('contradicts');
      expect(compareReading(id, nominal + side * (near + 0.02), nominal)).toBe('contradicts');
    }
  });
  test.each(['gapMm', 'resistorKohm', 'weightG', 'primaryOhm'] as const)('%s is evidence and blocks nothing', (id) => {
    expect(compareReading(id, 99, 1)).toBe('not-known');
    expect(MEASURED[id].limit).toBeUndefined();
  });
  test('an M14 thread that measures 13.8 is an M14', () => {
    expect(compareReading('threadMm', 13.8, 14)).toBe('agrees');
  });
});

describe('a measured tell', () => {
  test('differs just outside its tolerance, whatever the binary rounding', () => {
    expect(answerOfReading(1.05 + 0.05, 1.05, 0.05)).toBe('genuine-like');
    expect(answerOfReading(1.101, 1.05, 0.05)).toBe('differs');
    expect(answerOfReading(0.999, 1.05, 0.05)).toBe('differs');
  });
});

describe('an answer’s worth', () => {
  const tell = { differs: { ifGenuine: 0.05, ifFake: 0.6 } };
  test('is 12 to 1 against where it differs, 0.4 over 0.95 where it is as genuine, nothing where it cannot be seen', () => {
    expect(Math.exp(logRatioOf(tell, 'differs'))).toBeCloseTo(12, 9);
    expect(Math.exp(logRatioOf(tell, 'genuine-like'))).toBeCloseTo(0.4 / 0.95, 9);
    expect(logRatioOf(tell, 'cannot-see')).toBe(0);
  });
});

describe('what is said of a chance', () => {
  test('has no more digits than it supports, and is never none or all', () => {
    expect([0.0004, 0.004, 0.0512, 0.099, 0.104, 0.5, 0.9949, 0.9951].map(printChance)).toEqual([
      '<0.1%',
      '0.4%',
      '5.1%',
      '9.9%',
      '10%',
      '50%',
      '99%',
      '>99%',
    ]);
  });

  const tells = ['weld', 'crown', 'print', 'hex'].map((id) => ({
    id,
    title: id,
    group: id,
    aspect: 'physical' as const,
    place: 'print' as const,
    look: '',
    genuine: '',
    suspect: '',
    differs: { ifGenuine: 0.05, ifFake: 0.6 },
    source: 'example',
    minutes: 1,
    seen: 1,
  }));
  const judge = (answers: Record<string, string>, more: Partial<InspectionMatter> = {}) =>
    judgeInspection({
      channel: 'wholesale',
      record: { settled: 0, notGenuine: 0 },
      paper: [],
      tells,
      pieces: 1,
      batchSize: 1,
      askedFor: null,
      part: { partId: '1', names: ['EX 1'] },
      catalogue: {},
      bearers: {},
      decoded: {},
      decodedAgainst: [],
      journal: Object.entries(answers).map(([subject, answer]) => ({
        what: 'tell',
        subject,
        piece: 1,
        answer,
        value: null,
      })),
      ...more,
    });
  const alike = { weld: 'genuine-like', crown: 'genuine-like', print: 'genuine-like' };

  test('a conclusion names its evidence and accuses nobody', () => {
    const said = sayConclusion(
      judge({ weld: 'differs', crown: 'differs', print: 'genuine-like', hex: 'differs' }),
      tells,
    ).join(' ');
    expect(said).toMatch(/Suspect: do not fit or sell.*not a finding against anybody/);
    expect(said).toContain('Differs: weld, crown, hex.');
    expect(said).toContain('As genuine: print.');
    expect(said).toContain('4 physical groups seen');
  });

  test('it says when too few were looked at to speak for the batch, or for all in hand', () => {
    expect(sayConclusion(judge(alike, { batchSize: 9 }), tells).join(' ')).toContain(
      'too few to speak for the whole batch',
    );
    expect(sayConclusion(judge(alike, { pieces: 4, batchSize: 4 }), tells).join(' ')).toContain(
      '1 of the 4 in hand were looked at',
    );
    expect(sayConclusion(judge(alike), tells).join(' ')).not.toMatch(/too few|in hand were/);
  });

  test('it says what is missing: groups first, then what the chance lies between', () => {
    const missing = (answers: Record<string, string>, channel: InspectionMatter['channel'] = 'wholesale') =>
      sayMissing(judge(answers, { channel }).worst);
    expect(missing({ weld: 'genuine-like' })).toContain('2 more physical groups');
    expect(missing({ weld: 'genuine-like', crown: 'genuine-like' })).toContain('1 more physical group to');
    expect(missing({ weld: 'differs', crown: 'genuine-like', print: 'genuine-like' }, 'marketplace')).toContain(
      'between 5% and 50%',
    );
    expect(missing(alike)).toBeUndefined();
  });
});
