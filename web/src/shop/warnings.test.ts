import { expect, test } from '@jest/globals';
import type { ShopState } from '@brackenfell/contract/shop';
import { warnings } from './warnings.ts';

const NOW = Date.parse('2026-11-28T12:00:00Z');
const HOUR = 3_600_000;
const before = (ms: number) => new Date(NOW - ms).toISOString();
const GB = 1_000_000_000;

/** A shop that stands well. */
const state = (more: Partial<ShopState> = {}): ShopState => ({
  now: before(0),
  databaseBytes: GB,
  lastMigration: 'the last',
  jobs: [{ kind: 'audit', state: 'done', count: 3 }],
  failedLately: 0,
  queue: [],
  backup: { at: before(10 * HOUR), tables: 60, rows: 1000 },
  server: { since: before(HOUR), memoryBytes: GB, pages: 3, disk: { freeBytes: 50 * GB, bytes: 100 * GB } },
  slow: [],
  ...more,
});
const job = (more: Partial<ShopState['queue'][number]> = {}): ShopState['queue'][number] => ({
  jobId: '1',
  kind: 'audit',
  state: 'waiting',
  askedBy: 'Isolde',
  askedAt: before(10 * 60_000),
  progress: 0,
  doing: '',
  tries: 1,
  ...more,
});
const disk = (freeBytes: number, bytes: number) => ({ ...state().server, disk: { freeBytes, bytes } });

test('a shop that stands well has nothing to see to, and none is made up where a system does not tell its disk', () => {
  expect(warnings(state(), 0, NOW)).toEqual([]);
  expect(warnings(state({ server: { ...state().server, disk: null } }), 0, NOW)).toEqual([]);
});

test.each([
  ['no backup', state({ backup: null }), 'no backup yet'],
  ['one that is three days old', state({ backup: { at: before(75 * HOUR), tables: 1, rows: 1 } }), '3 days old'],
  ['a disk that is nine tenths full', state({ server: disk(9 * GB, 100 * GB) }), 'nearly full'],
  [
    'less free than the database is large',
    state({ databaseBytes: 20 * GB, server: disk(15 * GB, 100 * GB) }),
    'nearly full',
  ],
  ['a job that waits while none runs', state({ queue: [job()] }), 'worker may have died'],
  ['a job that was taken up again', state({ queue: [job({ state: 'running', tries: 3 })] }), 'taken up 3 times'],
  ['a job that failed', state({ failedLately: 2 }), '2 jobs failed'],
])('%s is seen to', (_, of, says) => {
  expect(warnings(of, 0, NOW)).toEqual([expect.stringContaining(says)]);
});

test('a job that waits behind one that runs, or was asked for just now, is no cause for alarm', () => {
  expect(warnings(state({ queue: [job({ jobId: '2', state: 'running' }), job()] }), 0, NOW)).toEqual([]);
  expect(warnings(state({ queue: [job({ askedAt: before(60_000) })] }), 0, NOW)).toEqual([]);
  expect(warnings(state(), 2, NOW)[0]).toContain('2 writes of this computer');
});
