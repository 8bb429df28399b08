import { setTimeout as sleep } from 'node:timers/promises';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import pino from 'pino';
import { silentLog } from '../context/log.ts';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';
import { askForAudit, askForAuditAfter, readJob } from '../audit/store.ts';
import { addImport } from '../imports/store.ts';
import { beat, claimJob, endJob } from './store.ts';
import { workJobs, workOneJob } from './work-jobs.ts';

let counter: TestCounter;
let staffId: string;
beforeAll(async () => {
  counter = await openTestCounter();
  ({ id: staffId } = await counter.db.selectFrom('staff').select('id').executeTakeFirstOrThrow());
});
afterAll(() => counter.close());
beforeEach(async () => {
  await counter.owner.deleteFrom('audit_finding').execute();
  await counter.owner.deleteFrom('job').execute();
});

const log = silentLog();
const asked = async () => (await counter.db.transaction().execute((trx) => askForAudit(trx, staffId))).id;
const stateOf = async (id: string) => (await readJob(counter.db, id))!;

describe('the worker of jobs', () => {
  test('does nothing where nothing waits', async () => {
    expect(await workOneJob(counter.db, log)).toBe(false);
  });

  test('rests after each step by how long that step was, whatever it rested before', async () => {
    await asked();
    const steps: number[] = [];
    const RESTED_MS = 200;
    const begun = performance.now();
    await workOneJob(counter.db, log, async (workedMs) => {
      steps.push(workedMs);
      await sleep(RESTED_MS);
    });
    const tookMs = performance.now() - begun;
    expect(steps.length).toBeGreaterThan(2);
    expect(Math.min(...steps)).toBeGreaterThan(0);
    expect(steps.reduce((sum, ms) => sum + ms, 0)).toBeLessThan(tookMs - (steps.length - 1) * RESTED_MS);
  });

  test('never shares a job with another worker', async () => {
    await asked();
    const claims = await Promise.all([1, 2, 3, 4].map(() => claimJob(counter.db)));
    expect(claims.filter((claim) => claim !== undefined)).toHaveLength(1);
  });

  test('begins an audit only when the one before it has ended: one that runs has not seen what is written since', async () => {
    const first = await asked();
    await claimJob(counter.db);
    const next = async () => (await counter.db.transaction().execute((trx) => askForAuditAfter(trx, staffId))).id;
    const second = await next();
    expect(second).not.toBe(first);
    // One that waits by now will see it too; who merely asks is content with the one that runs.
    expect(await next()).toBe(second);
    expect(await asked()).toBe(first);
    expect(await claimJob(counter.db)).toBeUndefined();
    await endJob(counter.db, first, 'done', 'Nothing found.');
    expect(await claimJob(counter.db)).toMatchObject({ id: second });
  });

  test('takes up a job whose worker fell silent, and leaves one that is alive', async () => {
    const id = await asked();
    await claimJob(counter.db);
    expect(await claimJob(counter.db)).toBeUndefined();
    await counter.owner
      .updateTable('job')
      .set({ beat_at: new Date(Date.now() - 120_000) })
      .execute();
    expect(await claimJob(counter.db)).toEqual({ id, kind: 'audit', importId: null, tries: 2 });
  });

  test('gives up a job that has taken three workers with it, says so, and is there for the next', async () => {
    const id = await asked();
    for (let worker = 1; worker <= 3; worker += 1) {
      expect(await claimJob(counter.db)).toMatchObject({ id, tries: worker });
      await counter.owner
        .updateTable('job')
        .set({ beat_at: new Date(Date.now() - 120_000) })
        .execute();
    }
    expect(await workOneJob(counter.db, log)).toBe(true);
    expect(await stateOf(id)).toMatchObject({ state: 'failed', outcome: expect.stringMatching(/stopped at a fault/) });
    expect(await workOneJob(counter.db, log)).toBe(false);
  });

  test('ends an audit at its next step when it is cancelled, and says how far it came', async () => {
    const id = await asked();
    await counter.owner.updateTable('job').set({ cancel_asked: true }).execute();
    expect(await workOneJob(counter.db, log)).toBe(true);
    expect(await stateOf(id)).toMatchObject({ state: 'cancelled', outcome: 'Cancelled; 0 found until then.' });
  });

  test('tells a fault as one, and is there for the next job', async () => {
    const id = await asked();
    await counter.owner.schema.alterTable('listing').renameTo('listing_away').execute();
    expect(await workOneJob(counter.db, log)).toBe(true);
    expect(await stateOf(id)).toMatchObject({ state: 'failed' });
    await counter.owner.schema.alterTable('listing_away').renameTo('listing').execute();
    const next = await asked();
    await workOneJob(counter.db, log);
    expect(await stateOf(next)).toMatchObject({ state: 'done', progress: 1 });
  });

  test('a file that cannot be read is told to whoever sent it, and is no fault in the log; a fault of ours is one', async () => {
    const written: { level: number }[] = [];
    const heard = pino({ level: 'info' }, { write: (line) => written.push(JSON.parse(line) as { level: number }) });
    await counter.db
      .transaction()
      .execute((trx) =>
        addImport(trx, { supplier: 'Eastgate', fileName: 'list.csv', bytes: Buffer.from('No;Net\n"KN 1;5'), staffId }),
      );
    await workOneJob(counter.db, heard);
    const told = await counter.db.selectFrom('list_import').select(['state', 'outcome']).executeTakeFirstOrThrow();
    expect(told).toMatchObject({ state: 'failed', outcome: expect.stringMatching(/quotation mark/) });
    expect(written.map(({ level }) => level)).toEqual([pino.levels.values.info]);
    await counter.owner.schema.alterTable('listing').renameTo('listing_away').execute();
    await asked();
    await workOneJob(counter.db, heard);
    await counter.owner.schema.alterTable('listing_away').renameTo('listing').execute();
    expect(written.at(-1)).toMatchObject({ level: pino.levels.values.error });
  });

  test('reports progress, and hears of a cancelling by it', async () => {
    const id = await asked();
    await claimJob(counter.db);
    expect(await beat(counter.db, id, 0.4, 'comparing')).toBe(false);
    expect(await stateOf(id)).toMatchObject({ progress: 0.4, doing: 'comparing' });
    expect(await beat(counter.db, '999999', 0.4, 'of nothing')).toBe(true);
    expect(await beat(counter.db, id, 0.2 + (0.8 * 3) / 3, 'all of it, by sums')).toBe(false);
    expect((await stateOf(id)).progress).toBe(1);
  });

  test('works what comes while it looks, until it is told to stop', async () => {
    const stop = new AbortController();
    const working = workJobs(counter.db, log, stop.signal);
    const id = await asked();
    while ((await stateOf(id)).state !== 'done') await new Promise((resolve) => setTimeout(resolve, 50));
    stop.abort();
    await working;
  });
});
