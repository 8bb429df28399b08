import { describe, expect, test } from '@jest/globals';
import type { JudgedInspection, JudgedPiece } from './inspection.ts';
import type { PieceJudgement } from './judge-piece.ts';
import { printChance, sayConclusion, sayMissing } from './say-conclusion.ts';
import type { Tell, TellAnswer } from './tell.ts';

const tells = ['Weld seam', 'Crown', 'Print'].map((title) => ({ id: title, title }) as Tell);

const piece = (judgement: Partial<PieceJudgement>, answers: Readonly<Record<string, TellAnswer>> = {}): JudgedPiece =>
  ({
    ...{ piece: 1, label: 'A', answers, readings: [], next: [], blocks: [] },
    judgement: { band: 'not-proven', chance: 0.2, physicalGroups: 1, physicalDifferences: 0, ...judgement },
  }) as unknown as JudgedPiece;

const judged = (worst: JudgedPiece, more: Partial<JudgedInspection> = {}): JudgedInspection =>
  ({
    ...{ pieces: [worst], worst, blocks: [], numbers: [], set: [] },
    ...{ band: worst.judgement.band, batchBand: worst.judgement.band },
    ...more,
  }) as unknown as JudgedInspection;

describe('a chance is told', () => {
  test.each([
    [0, '<0.1%'],
    [0.0009, '<0.1%'],
    [0.001, '0.1%'],
    [0.0994, '9.9%'],
    [0.1, '10%'],
    [0.125, '13%'],
    [0.994, '99%'],
    [0.995, '>99%'],
    [0.996, '>99%'],
    [1, '>99%'],
  ])('%f as %s', (chance, says) => {
    expect(printChance(chance)).toBe(says);
  });
});

describe('what an inspection found', () => {
  test('is told with what differs and what is as genuine, and nothing besides', () => {
    const found = piece({ chance: 0.2 }, { 'Weld seam': 'differs', Crown: 'genuine-like', Print: 'cannot-see' });
    expect(sayConclusion(judged(found), tells)).toEqual([
      'Neither genuine nor fake is proven.',
      'Chance of not being genuine: 20% for piece A; 1 physical group seen.',
      'Differs: weld seam.',
      'As genuine: crown.',
    ]);
    expect(sayConclusion(judged(piece({ band: 'consistent', physicalGroups: 3, chance: 0.01 })), tells)).toEqual([
      'What was seen is consistent with genuine.',
      'Chance of not being genuine: 1.0% for piece A; 3 physical groups seen.',
    ]);
  });

  test('tells no chance where nothing was looked at, and accuses nobody where it is suspect', () => {
    expect(sayConclusion(judged(piece({ band: 'not-inspected' })), tells)).toEqual(['Nothing was looked at yet.']);
    expect(sayConclusion(judged(piece({ band: 'suspect', chance: 0.97 })), tells)[0]).toBe(
      'Suspect: do not fit or sell. This is evidence about these pieces, not a finding against anybody.',
    );
  });

  test('says how many of those in hand were looked at, and where they are too few for the batch', () => {
    const good = piece({ band: 'consistent', chance: 0.01, physicalGroups: 3 });
    const unseen = piece({ band: 'not-inspected' });
    const said = (more: Partial<JudgedInspection>) => sayConclusion(judged(good, more), tells).slice(2);
    expect(said({ pieces: [good, unseen, unseen] })).toEqual(['1 of the 3 in hand were looked at.']);
    expect(said({ pieces: [good, good], batchBand: 'not-proven' })).toEqual([
      '2 looked at are too few to speak for the whole batch.',
    ]);
    expect(said({ pieces: [good, good] })).toEqual([]);
    expect(sayConclusion(judged(piece({}), { batchBand: 'suspect' }), tells)).toHaveLength(2);
  });

  test('names what blocks whatever the chance', () => {
    expect(sayConclusion(judged(piece({}), { blocks: ['Reach 26.5 mm'] }), tells).at(-1)).toBe(
      'Blocked whatever the chance: Reach 26.5 mm.',
    );
  });
});

describe('what is still missing', () => {
  test.each([
    [{ band: 'consistent' }, undefined],
    [{ band: 'suspect' }, undefined],
    [{ physicalGroups: 2 }, '1 more physical group to see before it can be called consistent.'],
    [{ physicalGroups: 1 }, '2 more physical groups to see before it can be called consistent.'],
    [
      { physicalGroups: 3, chance: 0.5 },
      'The chance is high, but nothing on the piece itself differs: it is not called suspect.',
    ],
    [{ physicalGroups: 3, chance: 0.49 }, 'The chance lies between 5% and 50%.'],
    [{ physicalGroups: 3, chance: 0.6, physicalDifferences: 1 }, 'The chance lies between 5% and 50%.'],
  ] as const)('of %j', (judgement, says) => {
    expect(sayMissing(piece(judgement))).toBe(says);
  });
});
