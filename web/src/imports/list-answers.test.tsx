/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ImportView } from '@brackenfell/contract/imports';
import { list, NONE } from '../testing/lists.ts';
import { ListAnswers } from './list-answers.tsx';

afterEach(cleanup);

const MAKERS = { makers: [{ makerId: 'kestrane', name: 'Kestrane', parts: 68, ratings: 7, numbering: null }] };
const answers = (status: number, body: object) => {
  globalThis.fetch = (() =>
    Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) })) as unknown as typeof fetch;
};
const ask = (view: ImportView, mayChange = true) => {
  const onAnswer = jest.fn();
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <ListAnswers view={view} mayChange={mayChange} onAnswer={onAnswer} />
    </QueryClientProvider>,
  );
  return onAnswer;
};
const maker = () => screen.findByRole('combobox', { name: 'Its numbers are of' });

describe('what a person says of a list', () => {
  test('is whose it is, where no column names a maker', async () => {
    answers(200, MAKERS);
    ask(list({ ofMaker: 'kestrane' }));
    expect((await maker()).textContent).toContain('Kestrane');
  });

  test('is not whose it is where a column says so', async () => {
    answers(200, MAKERS);
    ask(list({ columns: [{ heading: 'Brand', use: 'maker', first: 'Kestrane', asked: null }] }));
    await screen.findByLabelText('This list is everything they have');
    // By then the makers have long come, where they are asked for.
    await act(() => new Promise((done) => setTimeout(done, 200)));
    expect(screen.queryByRole('combobox', { name: 'Its numbers are of' })).toBeNull();
  });

  test('whose it is cannot be asked while the makers cannot be read: that is said, and the rest still answers', async () => {
    answers(500, { title: 'Something failed here.', detail: 'The makers could not be read.' });
    const onAnswer = ask(list());
    expect((await screen.findByRole('alert')).textContent).toBe('Something failed here. The makers could not be read.');
    await userEvent.click(screen.getByLabelText('This list is everything they have'));
    expect(onAnswer).toHaveBeenCalledWith({ isComplete: true });
  });

  test('can no more be said of a list that is written; what was not taken is still a sheet', () => {
    answers(200, MAKERS);
    ask(list({ state: 'written', counts: { ...NONE, invalid: 1, doubtful: 2 } }), false);
    expect(screen.queryByRole('combobox')).toBeNull();
    expect(screen.getByRole<HTMLInputElement>('checkbox').disabled).toBe(true);
    expect(screen.getByRole('link', { name: /^3 not taken, as CSV/ }).getAttribute('href')).toBe(
      '/api/imports/1/rejected.csv',
    );
  });
});
