import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dayAfter, daysBetween } from '../words/calendar.ts';
import { SOUND_LINE } from '../testing/sound-line.ts';
import { openMatters, type LineStanding } from './open-matters.ts';
import {
  heldUntil,
  isFinal,
  isOver,
  LIVE_STATES,
  MAY_BECOME,
  sayWaiting,
  SLIP_STATES,
  WAITING_STATES,
} from './slip-states.ts';
import { mayTakeOver, mayWrite, whyNotEnd, whyNotMove, whyNotWrite } from './who-may.ts';

const TODAY = '2026-03-14';
const wren = { id: '1', role: 'specialist' };
const perrin = { id: '2', role: 'starter' };
const slip = (more: object = {}) =>
  ({ docket: 4241, state: 'open', holderId: '1', holder: 'Wren', heldUntil: null, ...more }) as Parameters<
    typeof whyNotMove
  >[0];

describe('the states of a slip', () => {
  test('end in two that lead nowhere, and every other can still be ended or leads to one that can', () => {
    expect(SLIP_STATES.filter(isFinal)).toEqual(['collected', 'ended']);
    for (const state of LIVE_STATES) expect(MAY_BECOME[state]).toContain('ended');
    // What waits can always be taken up again.
    for (const state of WAITING_STATES) expect(MAY_BECOME[state]).toContain('open');
    // A sale is never made from a slip that waits for a part, or that was laid aside.
    expect(SLIP_STATES.filter((state) => MAY_BECOME[state].includes('collected'))).toEqual(['open', 'quoted', 'ready']);
  });

  test('only an open one is written on, and only by its holder, whatever it is called', () => {
    for (const state of SLIP_STATES) {
      expect(mayWrite({ state, holderId: '1' }, wren)).toBe(state === 'open');
      expect(mayWrite({ state, holderId: '1' }, perrin)).toBe(false);
    }
    expect(whyNotWrite(slip({ state: 'ready' }), wren)).toMatchObject({
      kind: 'not-now',
      says: expect.stringContaining('take it up first'),
    });
  });

  test('what waits anybody at the counter takes up; an open one of a colleague’s a starter does not', () => {
    for (const state of WAITING_STATES) expect(mayTakeOver({ state, holderId: '1' }, perrin)).toBe(true);
    expect(mayTakeOver({ state: 'open', holderId: '1' }, perrin)).toBe(false);
    for (const state of WAITING_STATES) expect(whyNotEnd(slip({ state }), perrin)).toBeUndefined();
  });
});

describe('the next step of a slip', () => {
  test('of an open one is its holder’s; of a quote or what is ready anybody’s', () => {
    expect(whyNotMove(slip(), wren, 'quoted', TODAY)).toBeUndefined();
    expect(whyNotMove(slip(), perrin, 'quoted', TODAY)?.says).toContain('Wren holds slip 4241');
    expect(whyNotMove(slip({ state: 'ready', heldUntil: TODAY }), perrin, 'collected', TODAY)).toBeUndefined();
  });
  test('is refused past its day, in words that say what to do, and on its last day is not', () => {
    const quoted = slip({ state: 'quoted', heldUntil: '2026-03-13' });
    expect(whyNotMove(quoted, wren, 'collected', TODAY)?.says).toBe(
      'The quote on slip 4241 held to 13 Mar 2026: take it up, and it is priced anew.',
    );
    expect(whyNotMove({ ...quoted, heldUntil: TODAY }, wren, 'collected', TODAY)).toBeUndefined();
    expect(whyNotMove(slip({ state: 'ready', heldUntil: '2026-03-13' }), wren, 'collected', TODAY)?.says).toContain(
      'kept to 13 Mar',
    );
  });
  test('that the table has not is refused: an order is not collected, what is done is not quoted', () => {
    expect(whyNotMove(slip({ state: 'ordered' }), wren, 'collected', TODAY)?.says).toContain('take it up first');
    expect(whyNotMove(slip({ state: 'collected' }), wren, 'quoted', TODAY)?.says).toContain('final');
  });
  test('holds for fourteen days, over the end of a month and of a year', () => {
    expect([heldUntil('2026-02-20'), heldUntil('2026-12-27')]).toEqual(['2026-03-06', '2027-01-10']);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 36_000 }), (days) => {
        const day = dayAfter('2001-01-01', days);
        const until = heldUntil(day);
        expect(daysBetween(day, until)).toBe(14);
        expect([isOver(until, day), isOver(until, until), isOver(day, until)]).toEqual([false, false, true]);
      }),
    );
  });
  test.each([
    [{ state: 'quoted', heldUntil: TODAY, linesShort: 0 }, 'prices held to 14 Mar 2026'],
    [{ state: 'quoted', heldUntil: '2026-03-01', linesShort: 0 }, 'quote past since 1 Mar 2026: price it anew'],
    [{ state: 'ordered', heldUntil: null, linesShort: 2 }, 'waits for 2 lines'],
    [{ state: 'ordered', heldUntil: null, linesShort: 0 }, 'all of it is here: make it ready'],
    [{ state: 'ready', heldUntil: '2026-03-13', linesShort: 0 }, 'not collected by 13 Mar 2026: take it up'],
    [{ state: 'collected', heldUntil: null, linesShort: 0 }, ''],
  ] as const)('%j: the list of the day says “%s”', (waiting, says) => expect(sayWaiting(waiting, TODAY)).toBe(says));
});

describe('pieces that are kept for slips that are ready', () => {
  const line = (more: Partial<LineStanding>): LineStanding => ({ ...SOUND_LINE, onHand: 6, ...more });
  test('are not sold to another, with a batch named or not, and the sentence says how many are kept', () => {
    const [matter] = openMatters([line({ keptForOthers: 4 })]);
    expect(matter).toMatchObject({
      kind: 'not-on-shelf',
      says: expect.stringContaining('4 kept for slips that are ready'),
    });
    const named = line({ keptForOthers: 4, batch: { code: 'F4', isHeld: false, onHand: 6 } });
    expect(openMatters([named]).map(({ kind }) => kind)).toEqual(['not-on-shelf']);
    expect(openMatters([line({ keptForOthers: 2 })])).toEqual([]);
  });
  test('never make more free than there is, whatever is held and kept', () => {
    const n = fc.integer({ min: 0, max: 20 });
    fc.assert(
      fc.property(n, n, n, fc.integer({ min: 1, max: 20 }), (onHand, heldOnShelf, keptForOthers, quantity) => {
        const open = openMatters([line({ onHand, heldOnShelf, keptForOthers, quantity, batch: null })]);
        const isShort = open.some(({ kind }) => kind === 'not-on-shelf');
        expect(isShort).toBe(quantity > Math.max(0, onHand - heldOnShelf - keptForOthers));
      }),
    );
  });
});
