/** @jest-environment jsdom */
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { DrillCaseView } from '@brackenfell/contract/drill';
import { DrillCase } from './drill-case.tsx';

afterEach(cleanup);

const DEALT: DrillCaseView = {
  caseId: '7',
  topic: 'verdict',
  asks: 'What do you say of Example EX 1?',
  facts: [{ label: 'Offered', says: 'Example EX 1', isCode: true }],
  rows: [
    { title: 'Thread', asked: 'M14 × 1.25', has: 'M14 × 1.25' },
    { title: 'Reach', asked: '19.0 mm', has: 'not known: reach' },
    { title: 'Heat', asked: '63', has: '45' },
  ],
  choices: [
    { id: 'sell', says: 'Sell' },
    { id: 'ask-first', says: 'Ask first' },
    { id: 'refuse', says: 'Refuse' },
  ],
  dealtAt: new Date().toISOString(),
  answer: null,
};
const answered = (given: string | null, points = given === 'ask-first' ? 2 : 0): DrillCaseView => ({
  ...DEALT,
  answer: {
    given,
    right: 'ask-first',
    isRight: given === 'ask-first',
    seconds: 9,
    points,
    why: ['Nothing refuses, and something that could refuse is not known.'],
    rows: [
      { outcome: 'match', says: 'The same thread.' },
      { outcome: 'unknown', says: 'Not known: reach.' },
      { outcome: 'caution', says: 'Two steps colder.' },
    ],
  },
});
function show(shown: DrillCaseView) {
  const acts: (string | null)[] = [];
  render(
    <DrillCase
      shown={shown}
      isBusy={false}
      onAnswer={(choice) => acts.push(choice)}
      onNext={() => acts.push('next')}
    />,
  );
  return acts;
}
const choice = (name: RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });

describe('a practice case', () => {
  test('shows no outcome before it is answered, and its answers are buttons, one of them that one cannot tell', async () => {
    const acts = show(DEALT);
    expect(screen.queryByText('What it comes to')).toBeNull();
    expect(screen.queryByRole('status')).toBeNull();
    await userEvent.click(choice(/Ask first/));
    await userEvent.click(choice(/Cannot tell/));
    expect(acts).toEqual(['ask-first', null]);
  });

  test('once answered takes no other answer, and marks what was right beside what was said', async () => {
    const acts = show(answered('sell'));
    for (const name of [/Sell/, /Ask first/, /Refuse/]) expect(choice(name).disabled).toBe(true);
    expect(within(choice(/Ask first/)).getByRole('img', { name: 'right' })).toBeTruthy();
    expect(within(choice(/Sell/)).getByRole('img', { name: 'not right' })).toBeTruthy();
    expect(screen.getByRole('status').textContent).toContain('No: Ask firstno points');
    await userEvent.click(choice(/Next case/));
    expect(acts).toEqual(['next']);
  });

  test('says what each check comes to: a match in one word, what is not known once, all else with its reason', () => {
    show(answered('ask-first'));
    expect(screen.getByRole('status').textContent).toContain('Rightright in time: 2 points');
    const told = screen
      .getAllByRole('row')
      .slice(1)
      .map((row) => within(row).getAllByRole('cell').at(-1)!.textContent);
    expect(told).toEqual([' match', ' Not known: reach.', ' caution: Two steps colder.']);
  });

  test('that nobody could tell is told what it is, not that they were wrong', () => {
    show(answered(null));
    expect(screen.getByRole('status').textContent).toContain('It is: Ask first');
  });

  test.each([
    ['within its time', 10, false],
    ['past it', 60, true],
  ])('counts the seconds since it was dealt, and shows when it is %s', (_, ago, isPast) => {
    show({ ...DEALT, dealtAt: new Date(Date.now() - ago * 1000).toISOString() });
    const clock = screen.getByRole('timer');
    expect(clock.textContent).toBe(`${ago} s of 45`);
    expect(clock.querySelector('.text-madder') !== null).toBe(isPast);
  });
});
