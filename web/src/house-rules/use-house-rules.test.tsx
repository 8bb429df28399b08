/** @jest-environment jsdom */
import { afterEach, expect, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, renderHook, waitFor } from '@testing-library/react';
import { useChooseRule, useHouseRules } from './use-house-rules.ts';

afterEach(cleanup);

test('two rules chosen one upon the other are both chosen: nobody is told that they stood in their own way', async () => {
  let version = 3;
  globalThis.fetch = (async (_: string, { body }: RequestInit) => {
    await new Promise((done) => setTimeout(done, 20));
    const asked = body === undefined ? undefined : (JSON.parse(body as string) as { version: number });
    const isLate = asked !== undefined && asked.version !== version;
    if (asked && !isLate) version += 1;
    const told = { version, rules: [], judgedAgain: 0, toldOtherwise: 0, flagged: 0 };
    return { ok: !isLate, status: isLate ? 409 : 200, json: () => Promise.resolve(told) };
  }) as unknown as typeof fetch;
  const queries = new QueryClient();
  const { result } = renderHook(() => ({ rules: useHouseRules(), choose: useChooseRule() }), {
    wrapper: ({ children }) => <QueryClientProvider client={queries}>{children}</QueryClientProvider>,
  });
  await waitFor(() => expect(result.current.rules.data?.version).toBe(3));
  const choose = (school: string) =>
    result.current.choose.mutateAsync({ params: { rule: 'electrodeUpgrade' }, body: { school } });
  const chosen = await Promise.all([choose('as-designed'), choose('allowed')]);
  expect(chosen.map((told) => told.version)).toEqual([4, 5]);
});
