import { expect, test } from '@jest/globals';
import { QueryClient } from '@tanstack/react-query';
import { whenQuiet } from './when-quiet.ts';

const nextTurn = () => new Promise((resolve) => setTimeout(resolve));

test('what can wait begins once all that was asked has been answered, or refused', async () => {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  let [answer, refuse]: (() => void)[] = [];
  const engines = queries.query({
    queryKey: ['engines'],
    queryFn: () => new Promise<string>((resolve) => (answer = () => resolve('all'))),
  });
  const shop = queries.query({
    queryKey: ['shop'],
    queryFn: () => new Promise<string>((_, reject) => (refuse = () => reject(new Error('away')))),
  });
  let isQuiet = false;
  void whenQuiet(queries, new AbortController().signal).then(() => (isQuiet = true));
  await nextTurn();
  answer!();
  await engines;
  await nextTurn();
  expect(isQuiet).toBe(false);
  refuse!();
  await shop.catch(() => undefined);
  await nextTurn();
  expect(isQuiet).toBe(true);
});

test('where nothing was asked it begins at once, and nothing is watched on', async () => {
  const queries = new QueryClient();
  await whenQuiet(queries, new AbortController().signal);
  expect(queries.getQueryCache().hasListeners()).toBe(false);
});

test('a page that is left waits no more', () => {
  const queries = new QueryClient();
  void queries.query({ queryKey: ['engines'], queryFn: () => new Promise<string>(() => undefined) });
  const leaving = new AbortController();
  void whenQuiet(queries, leaving.signal);
  expect(queries.getQueryCache().hasListeners()).toBe(true);
  leaving.abort();
  expect(queries.getQueryCache().hasListeners()).toBe(false);
});
