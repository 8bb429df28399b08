import { describe, expect, test } from '@jest/globals';
import { openMatters, type LineStanding } from './open-matters.ts';
import { isFinal, mayBecome, SLIP_STATES } from './slip-states.ts';
import { totalsOf } from './totals.ts';
import { mayChooseOnSlip, mayTakeOver, mayWrite } from './who-may.ts';

const sound: LineStanding = {
  lineId: '1',
  partId: '7',
  printed: 'KN 419G-63DR',
  kind: 'sale',
  quantity: 4,
  verdict: 'sell',
  isReleased: false,
  questions: [],
  batch: null,
  heldOnShelf: 0,
  onHand: 4,
};
const kinds = (...lines: Partial<LineStanding>[]) =>
  openMatters(lines.map((line, i) => ({ ...sound, lineId: String(i), ...line }))).map(({ kind }) => kind);

describe('what keeps a slip from being collected', () => {
  test('nothing, where all is judged, told and on the shelf', () => {
    expect(kinds({})).toEqual([]);
    expect(kinds({ verdict: 'sell-with-advice' })).toEqual([]);
    expect(kinds({ verdict: 'needs-supervisor', isReleased: true })).toEqual([]);
  });

  test.each([
    ['a part that was not judged', { verdict: null }, ['not-judged']],
    ['a refused part, released or not', { verdict: 'refuse', isReleased: true }, ['refused']],
    ['what waits for the supervisor', { verdict: 'needs-supervisor' }, ['waits-for-supervisor']],
    ['an open question, which nobody can release', { verdict: 'ask-first', isReleased: true }, ['question']],
    ['a held batch', { batch: { code: 'A1', isHeld: true, onHand: 9 }, onHand: 9 }, ['batch-held']],
    ['a batch not named while one is held', { heldOnShelf: 1, onHand: 9 }, ['batch-not-named']],
    ['more than is on the shelf', { quantity: 5 }, ['not-on-shelf']],
    [
      'more than is left beside what is held',
      { batch: null, onHand: 6, heldOnShelf: 3 },
      ['batch-not-named', 'not-on-shelf'],
    ],
    [
      'more than is left of its batch',
      { batch: { code: 'A1', isHeld: false, onHand: 3 }, onHand: 9 },
      ['not-on-shelf'],
    ],
  ] as const)('%s', (_, line, expected) => {
    expect(kinds(line)).toEqual(expected);
  });

  test('each question is its own matter, with the facts that settle it', () => {
    const questions = [
      { facts: ['plug.reachMm'], says: 'Measure the reach.' },
      { facts: ['plug.seat'], says: 'Look at the seat.' },
    ];
    expect(openMatters([{ ...sound, verdict: 'ask-first', questions }]).map(({ facts }) => facts)).toEqual([
      ['plug.reachMm'],
      ['plug.seat'],
    ]);
  });

  test('pieces are counted over all lines of a part', () => {
    expect(kinds({ quantity: 2 }, { quantity: 2 })).toEqual([]);
    expect(kinds({ quantity: 2 }, { quantity: 3 })).toEqual(['not-on-shelf', 'not-on-shelf']);
  });

  test('a customer’s own part never does, and alone is no sale', () => {
    const own = { kind: 'customers-own', verdict: 'refuse', onHand: 0 } as const;
    expect(kinds({}, own)).toEqual([]);
    expect(kinds(own)).toEqual(['nothing-sold']);
  });
});

describe('a slip', () => {
  test('that was collected or ended becomes nothing else', () => {
    expect(SLIP_STATES.filter(isFinal)).toEqual(['collected', 'ended']);
    expect(mayBecome('parked', 'collected')).toBe(false);
    expect(mayBecome('open', 'collected')).toBe(true);
  });

  test('is written on by its holder alone, and only while it is open', () => {
    const held = { state: 'open', holderId: '1' } as const;
    expect(mayWrite(held, { id: '1', role: 'starter' })).toBe(true);
    expect(mayWrite(held, { id: '2', role: 'supervisor' })).toBe(false);
    expect(mayWrite({ ...held, state: 'parked' }, { id: '1', role: 'specialist' })).toBe(false);
  });

  test('that a colleague holds open is not taken over by a new starter, one that is parked is', () => {
    const starter = { id: '2', role: 'starter' };
    expect(mayTakeOver({ state: 'open', holderId: '1' }, starter)).toBe(false);
    expect(mayTakeOver({ state: 'open', holderId: '1' }, { id: '2', role: 'specialist' })).toBe(true);
    expect(mayTakeOver({ state: 'parked', holderId: '1' }, starter)).toBe(true);
    expect(mayTakeOver({ state: 'collected', holderId: '2' }, starter)).toBe(false);
  });

  test('costs what is sold on it, taxed once', () => {
    const line = { kind: 'sale', quantity: 3, unitPriceMinor: 111 } as const;
    expect(totalsOf([line, { kind: 'customers-own', quantity: 9, unitPriceMinor: 100 }])).toEqual({
      goodsMinor: 333,
      taxMinor: 67,
      totalMinor: 400,
    });
  });
});

describe('who settles a rule on a slip', () => {
  const as = (role: string) => ({ id: '1', role });
  test('is the supervisor for any, the specialist for how a part is fitted, a starter and an editor for none', () => {
    const [judging, fitting] = [{ decidesVerdict: true }, { decidesVerdict: false }];
    expect(mayChooseOnSlip(judging, as('supervisor'))).toBe(true);
    expect(mayChooseOnSlip(judging, as('specialist'))).toBe(false);
    expect(mayChooseOnSlip(fitting, as('specialist'))).toBe(true);
    for (const role of ['starter', 'editor']) expect(mayChooseOnSlip(fitting, as(role))).toBe(false);
  });
});
