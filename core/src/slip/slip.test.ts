import { describe, expect, test } from '@jest/globals';
import { SOUND_LINE as sound } from '../testing/sound-line.ts';
import { openMatters, type LineStanding } from './open-matters.ts';
import { isFinal, mayBecome, SLIP_STATES } from './slip-states.ts';
import { changesWhatIsAsked, copiedDetails, detailsToWrite } from './details.ts';
import { countOn, kitAmiss, MOST_PIECES, packAmiss, usualQuantity } from './line-quantity.ts';
import { totalsOf } from './totals.ts';
import { mayChooseOnSlip, mayTakeOver, mayWrite, whyNotEnd, whyNotTakeOver, whyNotWrite } from './who-may.ts';

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
    const line = { kind: 'sale', quantity: 3, unitPriceMinor: 111, verdict: 'sell' } as const;
    const own = { kind: 'customers-own', quantity: 9, unitPriceMinor: 100, verdict: 'sell' } as const;
    expect(totalsOf([line, own, { ...line, verdict: 'refuse' }], 2000)).toEqual({
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

describe('a part put on a slip', () => {
  const serving = { placesServed: 4, engines: 2, withSpare: false };
  test('is as many as the job takes: places in each engine, a spare with plugs by rule, one where no engine is known', () => {
    expect(usualQuantity('plug', serving)).toBe(8);
    expect(usualQuantity('plug', { ...serving, withSpare: true })).toBe(9);
    expect(usualQuantity('coil', { ...serving, withSpare: true })).toBe(8);
    expect(usualQuantity('plug', undefined)).toBe(1);
  });

  test('twice is no second set: its line is counted up only where that is meant, and never past what a line takes', () => {
    expect(countOn(undefined, 4, false)).toEqual({ kind: 'new-line', quantity: 4 });
    expect(countOn(1, 4, false)).toEqual({ kind: 'already-there', says: expect.stringMatching(/^1 is on it: count/) });
    expect(countOn(4, 4, true)).toEqual({ kind: 'counted-up', quantity: 8 });
    expect(countOn(MOST_PIECES - 1, 2, true).kind).toBe('too-many');
  });
});

describe('the details of a slip', () => {
  test('for another engine forget the build and the coils of the last, unless they are told with it', () => {
    expect(detailsToWrite({ engineId: 'b' })).toEqual({ engineId: 'b', build: null, staying: null });
    expect(detailsToWrite({ engineId: 'b', build: 'late' })).toEqual({ engineId: 'b', build: 'late', staying: null });
    expect(detailsToWrite({ customer: 'Ling Moor Farm', vehicle: undefined })).toEqual({ customer: 'Ling Moor Farm' });
  });

  test('ask for a new judgement where they change what is asked, and not for a name', () => {
    expect(changesWhatIsAsked({ duty: 'sustained' })).toBe(true);
    expect(changesWhatIsAsked({ build: null })).toBe(true);
    expect(changesWhatIsAsked({ customer: 'Windle Quarry', engineCount: 2 })).toBe(false);
  });

  test('go over into a copy but for the part that lay on the counter that day', () => {
    const details = {
      customer: 'Windle Quarry',
      phone: '',
      vehicle: 'generator 1',
      cameFor: 'service',
      engineId: 'pellworth-pg66',
      build: null,
      staying: null,
      duty: '',
      engineCount: 1,
      inHandPartId: '7',
    };
    const { inHandPartId, ...kept } = details;
    expect(copiedDetails(details)).toEqual(kept);
    expect(inHandPartId).toBe('7');
  });
});

describe('a slip that somebody may not write on says what to do instead', () => {
  const slip = { docket: 4205, state: 'open', holderId: '1', holder: 'Wren' } as const;
  const colleague = { id: '2', role: 'starter' };
  test.each([
    ['held by a colleague', whyNotWrite(slip, colleague), 'not-now', /Wren holds slip 4205: take it over first/],
    ['parked', whyNotWrite({ ...slip, state: 'parked' }, colleague), 'not-now', /is parked: take it up first/],
    ['final', whyNotWrite({ ...slip, state: 'collected' }, colleague), 'not-now', /final: copy it to a new slip/],
    ['not a starter’s to take over', whyNotTakeOver(slip, colleague), 'not-this-role', /ask a specialist/],
    ['ended already', whyNotEnd({ ...slip, state: 'ended' }, { id: '1', role: 'supervisor' }), 'not-now', /final/],
  ])('%s', (_, hindrance, kind, says) => {
    expect(hindrance).toEqual({ kind, says: expect.stringMatching(says) });
  });

  test('and a parked one is ended by whoever may take it up', () => {
    expect(whyNotEnd({ ...slip, state: 'parked' }, colleague)).toBeUndefined();
    expect(whyNotEnd(slip, colleague)?.says).toMatch(/take it over/);
  });
});

describe('what keeps a slip open besides a verdict', () => {
  const HELD = { says: 'Old plugs: two causes.', by: 'plugs' } as const;
  test('a thing no engine asks for needs no verdict; a part of one does', () => {
    expect(kinds({ verdict: null, isSundry: true })).toEqual([]);
    expect(kinds({ verdict: null })).toEqual(['not-judged']);
    expect(kinds({ verdict: null, isSundry: true, onHand: 0 })).toEqual(['not-on-shelf']);
  });
  test('old parts that are not told apart hold it, whatever its verdict; a customer’s own part never', () => {
    expect(kinds({ heldByReading: HELD })).toEqual(['plugs-first']);
    expect(kinds({ heldByReading: HELD, verdict: 'refuse' })).toEqual(['plugs-first', 'refused']);
    expect(kinds({ heldByReading: HELD, kind: 'customers-own' })).not.toContain('plugs-first');
  });
});

test('what is sold in packs is put down in whole packs, over places, engines and a spare', () => {
  const serving = { placesServed: 6, engines: 1, withSpare: false };
  expect(usualQuantity('plug', serving, 4)).toBe(8);
  expect(usualQuantity('plug', { ...serving, engines: 2 }, 4)).toBe(12);
  expect(usualQuantity('plug', { ...serving, engines: 2, withSpare: true }, 4)).toBe(16);
  expect(usualQuantity('plug', { ...serving, withSpare: true })).toBe(7);
  expect(usualQuantity('plug', undefined, 4)).toBe(4);
  expect([packAmiss(8, 4), packAmiss(6, 4), packAmiss(3, 4), packAmiss(3, 1)]).toEqual([
    undefined,
    'Sold in packs of 4: 4 or 8.',
    'Sold in packs of 4: 4.',
    undefined,
  ]);
});

test('a kit holds as many as the job takes, for all its engines, or it is no set for it', () => {
  const serving = { placesServed: 8, engines: 1, withSpare: true };
  expect(kitAmiss(8, serving, 'KN 417T-59IR', 'KN-SET 6600')).toBeUndefined();
  expect(kitAmiss(6, serving, 'KN 417T-59IR', 'KN-SET 6600')).toMatch(/holds 6 .* takes 8/);
  expect(kitAmiss(8, { ...serving, engines: 2 }, 'KN 417T-59IR', 'KN-SET 6600')).toMatch(/takes 16/);
  expect(kitAmiss(6, undefined, 'KN 417T-59IR', 'KN-SET 6600')).toBeUndefined();
});
