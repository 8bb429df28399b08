/** @jest-environment jsdom */
import { expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { useAnswer } from './use-answer.ts';

const NOTHING = {
  ...{ engines: [], vehicles: [], garage: [], slips: [], batches: [], measures: [], measured: null },
  ...{ onlyOf: [], remark: null },
};
const part = (partId: string, stage: string) => ({
  ...{ partId, kind: 'plug', number: `HX ${partId}`, printed: `HX ${partId}`, maker: 'Hexal', nameKind: 'catalogue' },
  ...{ stage, how: '', differs: [], sharedBy: 1, suitsEngine: null, onHand: 1, priceMinor: 100, succession: null },
});

/** The counter's answers; that of what is alike is given when `answerAlike` is called. */
function wire(hasAlike: boolean, parts: readonly object[]) {
  const asked: string[] = [];
  let answerAlike: (status: number, alike: readonly object[]) => void = () => undefined;
  const response = (status: number, body: object) =>
    ({ ok: status < 400, status, json: () => Promise.resolve(body) }) as Response;
  globalThis.fetch = jest.fn((address: Parameters<typeof fetch>[0]) => {
    const path = new URL(address as string, 'http://counter.test').pathname;
    asked.push(path);
    if (path.endsWith('/alike'))
      return new Promise<Response>((resolve) => {
        answerAlike = (status, alike) =>
          resolve(
            response(status, status < 400 ? { parts: alike } : { error: 'refused', message: 'The shelf is shut.' }),
          );
      });
    return Promise.resolve(response(200, { ...NOTHING, parts, hasAlike }));
  });
  return { asked, answerAlike: (status: number, alike: readonly object[]) => answerAlike(status, alike) };
}

const inCounter = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } })}>
    {children}
  </QueryClientProvider>
);
const asking = (text: string) => renderHook(() => useAnswer(text, undefined, 'metric'), { wrapper: inCounter }).result;
const numbers = (answer: { data: { parts: { partId: string }[] } | undefined }) =>
  answer.data?.parts.map(({ partId }) => partId);

test('what is near is shown at once; what is merely alike follows it, each part once, and then nothing more comes', async () => {
  const { answerAlike } = wire(true, [part('1', 'one-edit')]);
  const answer = asking('hx 99');
  await waitFor(() => expect(answer.current.full).toBeDefined());
  expect(numbers(answer.current)).toEqual(['1']);
  expect(answer.current.isWhole).toBe(false);
  answerAlike(200, [part('1', 'looser'), part('2', 'looser')]);
  await waitFor(() => expect(answer.current.isWhole).toBe(true));
  expect(numbers(answer.current)).toEqual(['1', '2']);
});

test('where an answer is near enough nothing alike is asked for', async () => {
  const { asked } = wire(false, [part('1', 'exact')]);
  const answer = asking('hx 1');
  await waitFor(() => expect(answer.current.isWhole).toBe(true));
  expect(asked).not.toContain('/api/ask/alike');
});

test('what is alike cannot be asked for: that is said, and what was found stays', async () => {
  const { answerAlike } = wire(true, [part('1', 'one-edit')]);
  const answer = asking('hx 99');
  await waitFor(() => expect(answer.current.full).toBeDefined());
  answerAlike(503, []);
  await waitFor(() => expect(answer.current.error).toBeTruthy());
  expect(answer.current.isWhole).toBe(true);
  expect(numbers(answer.current)).toEqual(['1']);
});
