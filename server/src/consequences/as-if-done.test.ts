import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import { createContext } from '../context/context.ts';
import { silentLog } from '../context/log.ts';
import { bumpCatalogueVersion, readCatalogueVersion } from '../catalogue/version-store.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';
import { asIfDone } from './as-if-done.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const ENGINE = 'skerrow-sc20';
const question = { engineId: ENGINE, kind: 'plug', most: 20 } as const;
const withoutPlugs = async (trx: Parameters<typeof bumpCatalogueVersion>[0]) => {
  await sql`update engine_position set kind = 'coil' where engine_id = ${ENGINE} and kind = 'plug'`.execute(trx);
  await bumpCatalogueVersion(trx);
};

test('what is judged as if it were done is read anew, and nobody else is told of it', async () => {
  const context = createContext(counter.db, silentLog());
  const verdicts = async () =>
    (await judgeEngine(context, question, 'metric', counter.db))?.candidates.map(
      ({ part, judgement }) => `${part.printed} ${judgement.verdict}`,
    );
  const [was, version] = [await verdicts(), await readCatalogueVersion(counter.db)];
  const there = await asIfDone(context, withoutPlugs, (then) => judgeEngine(then.context, question, 'metric', then.db));
  expect(there).toBeUndefined();
  expect(await verdicts()).toEqual(was);
  expect(await readCatalogueVersion(counter.db)).toBe(version);
  // The version that was never committed comes about by another change: what was read under it then is not what stands now.
  await counter.db.transaction().execute((trx) => bumpCatalogueVersion(trx));
  expect(await verdicts()).toEqual(was);
});

test('a change or a judging that fails leaves nothing behind, and no connection taken', async () => {
  const context = createContext(counter.db, silentLog());
  const version = await readCatalogueVersion(counter.db);
  for (let i = 0; i < 12; i += 1) {
    await expect(
      asIfDone(
        context,
        () => Promise.reject(new Error('no such change')),
        () => Promise.resolve(),
      ),
    ).rejects.toThrow('no such change');
    await expect(asIfDone(context, withoutPlugs, () => Promise.reject(new Error('cannot be judged')))).rejects.toThrow(
      'cannot be judged',
    );
  }
  expect(await readCatalogueVersion(counter.db)).toBe(version);
});
