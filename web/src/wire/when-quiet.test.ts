import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { QueryClient } from '@tanstack/react-query';
import { whenQuiet } from './when-quiet.ts';

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

/** A client, a question of it that is answered or refused when it is told to be, and whether all is quiet. */
function counter() {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const leaving = new AbortController();
  const seen = { isQuiet: false };
  const ask = (what: string) => {
    let end: (isAnswered: boolean) => void = () => undefined;
    const queryFn = () =>
      new Promise<string>((resolve, reject) => {
        end = (isAnswered) => (isAnswered ? resolve('all') : reject(new Error('away')));
      });
    queries.query({ queryKey: [what], queryFn }).catch(() => undefined);
    return (isAnswered: boolean) => end(isAnswered);
  };
  const watch = () => void whenQuiet(queries, leaving.signal).then(() => (seen.isQuiet = true));
  return { queries, leaving, seen, ask, watch };
}
const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);

test('what can wait begins once all that was asked has been answered, or refused', async () => {
  const { seen, ask, watch } = counter();
  const [engines, shop] = [ask('engines'), ask('shop')];
  watch();
  await pass(5000);
  engines(true);
  await pass(5000);
  expect(seen.isQuiet).toBe(false);
  shop(false);
  await pass(5000);
  expect(seen.isQuiet).toBe(true);
});

test('what an answer leads to being asked is waited for too', async () => {
  const { seen, ask, watch } = counter();
  const shop = ask('shop');
  watch();
  shop(true);
  await pass(50);
  const engines = ask('engines');
  await pass(5000);
  expect(seen.isQuiet).toBe(false);
  engines(true);
  await pass(5000);
  expect(seen.isQuiet).toBe(true);
});

test('where nothing was asked it begins after a moment, and nothing is watched on', async () => {
  const { queries, seen, watch } = counter();
  watch();
  await pass(5000);
  expect(seen.isQuiet).toBe(true);
  expect(queries.getQueryCache().hasListeners()).toBe(false);
});

test('a page that is left waits no more', async () => {
  const { queries, leaving, seen, watch } = counter();
  watch();
  leaving.abort();
  await pass(5000);
  expect(seen.isQuiet).toBe(false);
  expect(queries.getQueryCache().hasListeners()).toBe(false);
});
