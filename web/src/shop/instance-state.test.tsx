/** @jest-environment jsdom */
import { afterEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import type { ShopState } from '@brackenfell/contract/shop';
import { InstanceState } from './instance-state.tsx';

afterEach(cleanup);

const STATE: ShopState = {
  now: '2026-11-28T12:00:00Z',
  databaseBytes: 2_400_000_001,
  lastMigration: '2026-12-17-live',
  jobs: [{ kind: 'audit', state: 'done', count: 3 }],
  failedLately: 0,
  queue: [],
  backup: { at: '2026-11-28T02:00:00Z', tables: 61, rows: 123_456 },
  server: {
    since: '2026-11-28T01:00:00Z',
    memoryBytes: 236_000_000,
    pages: 40,
    disk: { freeBytes: 50_900_000_000, bytes: 100_000_000_000 },
  },
  slow: [],
};

function show(status: number, body: object) {
  globalThis.fetch = jest.fn(() =>
    Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as Response),
  );
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <InstanceState />
    </QueryClientProvider>,
  );
}
const of = (name: string) => screen.getByRole(name === 'To see to' ? 'list' : 'region', { name });

test('a shop that stands well says so, with every figure in the unit a person reads', async () => {
  show(200, STATE);
  await waitFor(() => expect(of('To see to').textContent).toBe('Nothing needs seeing to.'));
  const all = of('How it stands').textContent;
  expect(all).toMatch(/2[\s,]401 MB/);
  expect(all).toContain('50 GB free of 100 GB');
  expect(all).toMatch(/123[\s,]456 rows of 61 tables, read back/);
  expect(all).toContain('236 MB');
  expect(of('Queue of jobs').textContent).toContain('No job waits or runs.');
  expect(of('Slow calls').textContent).toContain('No call took longer than a second.');
});

test('what runs says how far it is and who asked; what was slow says why', async () => {
  show(200, {
    ...STATE,
    queue: [
      {
        jobId: '1',
        kind: 'import',
        state: 'running',
        askedBy: 'Corwin',
        askedAt: '2026-11-28T11:58:00Z',
        progress: 0.424,
        doing: 'writing the rows',
        tries: 2,
      },
      {
        jobId: '2',
        kind: 'audit',
        state: 'waiting',
        askedBy: 'Isolde',
        askedAt: STATE.now,
        progress: 0,
        doing: '',
        tries: 0,
      },
    ],
    slow: [{ at: STATE.now, route: '/api/ask', method: 'GET', status: 503, ms: 3120, why: 'It waited its turn.' }],
  });
  await waitFor(() => expect(of('Queue of jobs').textContent).toContain('42%: writing the rows'));
  const [first, second] = within(of('Queue of jobs')).getAllByRole('listitem');
  expect(first!.textContent).toContain('Asked by Corwin');
  expect(first!.textContent).toContain('taken up 2 times');
  expect(second!.textContent).toContain('Audit, waiting.');
  expect(second!.textContent).not.toContain('taken up');
  expect(of('To see to').textContent).toContain('a worker died at it');
  expect(of('Slow calls').textContent).toContain('3.1 s: GET /api/ask, answered 503');
  expect(of('Slow calls').textContent).toContain('It waited its turn.');
});

test('who may not see it, or asks while it cannot be told, is told that, and no figure is made up', async () => {
  show(403, { title: 'Not for you.', detail: 'Hand over to a supervisor.', code: 'role-not-allowed' });
  await waitFor(() => expect(of('How it stands').textContent).toContain('Hand over to a supervisor.'));
  expect(screen.queryByRole('list', { name: 'To see to' })).toBeNull();
});
