import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { AwayError, call, ProblemError } from './call.ts';
import { onServerReturn } from './server-presence.ts';

interface Sent {
  readonly url: string;
  readonly init: RequestInit & { headers: Record<string, string> };
}
let sent: Sent[] = [];
let answers: (() => Response)[] = [];
const json =
  (body: unknown, status = 200) =>
  () =>
    new Response(JSON.stringify(body), { status });
const gone = () => {
  throw new TypeError('Failed to fetch');
};

beforeEach(async () => {
  jest.useFakeTimers();
  globalThis.fetch = ((url: string, init: Sent['init']) => {
    sent.push({ url, init });
    return Promise.resolve().then(() => (answers.shift() ?? json({ ok: true }))());
  }) as unknown as typeof fetch;
  answers = [];
  // An answer ends whatever absence the test before has left behind.
  await call('health', {});
  sent = [];
});
afterEach(() => {
  jest.useRealTimers();
});

describe('a call to the server', () => {
  test('fills the path and leaves out what is not asked', async () => {
    await call('getTray', { params: { engineId: 'skerrow-sc20' }, query: { units: 'metric', most: 100 } });
    expect(sent[0]!.url).toBe('/api/engines/skerrow-sc20/tray?units=metric&most=100');
    expect(sent[0]!.init).toMatchObject({ method: 'GET' });
  });

  test('escapes what people type', async () => {
    await call('ask', { query: { q: 'KN 419/63 & co' } });
    expect(sent[0]!.url).toBe('/api/ask?q=KN+419%2F63+%26+co');
  });

  test('gives every write a key, its own or a fresh one', async () => {
    await call('createSlip', { body: {} });
    await call('createSlip', { body: {} }, { key: 'the-same' });
    expect(sent[0]!.init.headers['idempotency-key']).toMatch(/^[0-9a-f-]{36}$/);
    expect(sent[1]!.init.headers['idempotency-key']).toBe('the-same');
  });

  test('that is refused throws the problem as the server told it', async () => {
    answers = [
      json({ title: 'There is no such thing here.', detail: 'Check it.', code: 'not-found', status: 404 }, 404),
    ];
    await expect(call('getPart', { params: { partId: '9' }, query: {} })).rejects.toThrow(ProblemError);
  });

  test.each([
    ['out of reach', gone],
    ['without its database', json({}, 503)],
    ['behind a proxy that has lost it', json({}, 502)],
  ])('to a server %s says that nothing was changed', async (_, answer) => {
    answers = [answer];
    await expect(call('whoAmI', {})).rejects.toThrow(AwayError);
  });

  test('that finds the server gone asks for it until it answers, then says so once', async () => {
    const heard = jest.fn();
    const release = onServerReturn(heard);
    answers = [gone, gone, json({ ok: true })];
    await expect(call('whoAmI', {})).rejects.toThrow(AwayError);
    await jest.advanceTimersByTimeAsync(1600);
    expect(heard).not.toHaveBeenCalled();
    await jest.advanceTimersByTimeAsync(1600);
    await jest.advanceTimersByTimeAsync(5000);
    expect(heard).toHaveBeenCalledTimes(1);
    expect(sent.filter((s) => s.url === '/api/health')).toHaveLength(2);
    release();
  });

  test('that was called off is not taken for an absent server', async () => {
    answers = [
      () => {
        throw new DOMException('Aborted', 'AbortError');
      },
    ];
    await expect(call('whoAmI', {})).rejects.not.toThrow(AwayError);
  });
});
