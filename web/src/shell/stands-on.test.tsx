/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { useHandOver } from '../hand-over/use-hand-over.ts';
import { useSetUp } from '../set-up/use-set-up.ts';
import { line, slip } from '../testing/slips.ts';
import { useTray } from '../tray/use-tray.ts';

beforeEach(() => void jest.useFakeTimers());
afterEach(() => {
  cleanup();
  jest.useRealTimers();
});

/** A server that answers with how often it was asked, refuses, or is out of reach. */
function server() {
  const state: { is: 'there' | 'away' | 'refusing'; asked: number } = { is: 'there', asked: 0 };
  globalThis.fetch = jest.fn((address: unknown) => {
    if (state.is === 'away') return Promise.reject(new TypeError('Failed to fetch'));
    if (address === '/api/health') return Promise.resolve({ ok: true, status: 200 } as Response);
    state.asked += 1;
    const refusal = { code: 'gone', title: 'It is gone.', detail: 'Somebody took it off.' };
    const bare = { rows: [], sources: [], places: [], fitted: [] };
    const answer = { ...bare, engineId: '7', kind: 'plug', nth: state.asked };
    return Promise.resolve({
      ...{ ok: state.is === 'there', status: state.is === 'there' ? 200 : 404 },
      json: () => Promise.resolve(state.is === 'there' ? answer : refusal),
    } as Response);
  });
  return state;
}

const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

function watch<T>(useShown: (version: number) => T) {
  const client = new QueryClient({ defaultOptions: { queries: { networkMode: 'always' } } });
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  return renderHook(({ version }) => useShown(version), { wrapper, initialProps: { version: 1 } });
}

const PLUGS = line();
const useSetUpOf = (version: number): unknown => useSetUp(slip({ version, lines: [PLUGS] }), PLUGS, '7').data;
const useCardOf = (version: number): unknown => useHandOver(slip({ version, engineId: '7' })).card;
const useTrayOf = (most: number): unknown => useTray('7', { most }).data;

test.each([
  ['what a plug is set up by', useSetUpOf],
  ['what a fitter leaves with', useCardOf],
  ['a judged tray', useTrayOf],
] as const)(
  '%s stands on while the server is out of reach, though what it follows from changed, and is laid anew when it is back',
  async (_, useShown) => {
    const state = server();
    const { result, rerender } = watch(useShown);
    await pass(0);
    expect(result.current).toHaveProperty('nth', 1);
    state.is = 'away';
    rerender({ version: 2 });
    await pass(20_000);
    expect(result.current).toHaveProperty('nth', 1);
    state.is = 'there';
    await pass(2000);
    expect(result.current).toHaveProperty('nth', 2);
  },
);

test.each([
  ['how a plug is set up in another engine', (engine: number): unknown => useSetUp(slip(), PLUGS, String(engine)).data],
  ['a card of another engine', (engine: number): unknown => useHandOver(slip({ engineId: String(engine) })).card],
  ['a tray judged for another build', (build: number): unknown => useTray('7', { build: String(build) }).data],
] as const)('%s does not stand in while the server is out of reach', async (_, useShown) => {
  const state = server();
  const { result, rerender } = watch(useShown);
  await pass(0);
  expect(result.current).toHaveProperty('nth', 1);
  state.is = 'away';
  rerender({ version: 2 });
  await pass(20_000);
  expect(result.current).toBeUndefined();
  state.is = 'there';
  await pass(2000);
  expect(result.current).toHaveProperty('nth', 2);
});

test('what cannot be had says why from the first, and is had once the server is back; a refusal is not asked again', async () => {
  const state = server();
  state.is = 'away';
  const { result, rerender } = watch((version) => useHandOver(slip({ version, engineId: '7' })));
  await pass(1);
  expect(result.current.troubled).toContain('The server does not answer.');
  state.is = 'there';
  await pass(2000);
  expect(result.current.card).toHaveProperty('nth', 1);
  state.is = 'refusing';
  rerender({ version: 2 });
  await pass(10_000);
  expect(result.current).toMatchObject({ card: undefined, troubled: expect.stringContaining('It is gone.') });
  expect(state.asked).toBe(2);
});
