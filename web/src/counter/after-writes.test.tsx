/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { slipCall } from './slip-call.ts';
import { sawSlip } from './slip-outbox.ts';
import { useAfterWrites, useSlipWrite } from './use-slip-write.ts';
import { slip } from '../testing/slips.ts';

const WREN = { id: '1', name: 'Wren', initials: 'WR', role: 'specialist' };

beforeEach(() => void jest.useFakeTimers());
afterEach(() => {
  cleanup();
  localStorage.clear();
  jest.useRealTimers();
});

test('a paper is not printed ahead of what was written on its slip before: it waits, and says so when that does not arrive', async () => {
  let arrive: (answer: Response) => void = () => undefined;
  globalThis.fetch = jest.fn(
    () =>
      new Promise<Response>((resolve) => {
        arrive = resolve;
      }),
  );
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  client.setQueryData(['session'], WREN);
  const { result, rerender } = renderHook(
    () => ({ write: useSlipWrite(), here: useAfterWrites('7'), elsewhere: useAfterWrites('8') }),
    {
      wrapper: ({ children }: { children: ReactNode }) => (
        <QueryClientProvider client={client}>{children}</QueryClientProvider>
      ),
    },
  );
  sawSlip(slip({ slipId: '7', version: 3 }));
  act(() =>
    result.current.write.mutate(slipCall('addNote', { params: { slipId: '7' }, body: { text: 'gauged' } }, 'a note')),
  );
  const print = jest.fn(() => Promise.resolve('printed'));
  expect(await result.current.elsewhere(print)).toBe('printed');

  const tooEarly = expect(result.current.here(print)).rejects.toThrow('is not stored yet');
  await jest.advanceTimersByTimeAsync(10_500);
  await tooEarly;
  expect(print).toHaveBeenCalledTimes(1);

  // A colleague's write waits for the colleague, and holds nobody up.
  client.setQueryData(['session'], { id: '2', name: 'Isolde', initials: 'IS', role: 'supervisor' });
  rerender();
  expect(await result.current.here(print)).toBe('printed');
  client.setQueryData(['session'], WREN);
  rerender();

  const waiting = result.current.here(print);
  await jest.advanceTimersByTimeAsync(1000);
  expect(print).toHaveBeenCalledTimes(2);
  const stored = slip({ slipId: '7', version: 4 });
  arrive({ ok: true, status: 200, json: () => Promise.resolve(stored) } as Response);
  expect(await waiting).toBe('printed');
});
