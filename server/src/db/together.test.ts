import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { openTestCounter, write, type TestCounter } from '../testing/counter.ts';
import { linesOf } from '../slip/line-store.ts';
import { notesOf, slipOf } from '../slip/store.ts';
import { foundOf } from '../reading/store.ts';
import { choicesOf } from '../ruling/store.ts';
import { inspectionsOf } from '../inspection/store.ts';
import { partRowsOf } from '../catalogue/part-store.ts';
import { readTogether } from './together.ts';

let counter: TestCounter;
let slipId: string;
beforeAll(async () => {
  counter = await openTestCounter();
  const agent = await counter.as('specialist');
  const begun = (await write(agent, 'post', '/api/slips', { engineId: 'skerrow-sc20' }).expect(201)).body as {
    slipId: string;
    version: number;
  };
  ({ slipId } = begun);
  const tray = (await agent.get('/api/engines/skerrow-sc20/tray').expect(200)).body as { rows: { partId: string }[] };
  let { version } = begun;
  for (const { partId } of tray.rows.slice(0, 2)) {
    const put = await write(agent, 'post', `/api/slips/${slipId}/lines`, { partId, version }).expect(201);
    ({ version } = put.body as { version: number });
  }
  await write(agent, 'post', `/api/slips/${slipId}/notes`, { text: 'Rings back at four', version }).expect(200);
});
afterAll(() => counter.close());

describe('several readings made together', () => {
  test('give the very rows that each gives by itself: keys, moments, findings, order', async () => {
    const readings = {
      slips: slipOf(counter.db, slipId),
      lines: linesOf(counter.db, slipId),
      notes: notesOf(counter.db, slipId),
      parts: partRowsOf(counter.db, ['1']),
      ...foundOf(counter.db, slipId),
    };
    const together = await readTogether(counter.db, readings);
    expect(together.lines).toHaveLength(2);
    expect(together.notes).toHaveLength(1);
    expect(together.slips).toEqual(await readings.slips.execute());
    expect(together.notes).toEqual(await readings.notes.execute());
    expect(together.parts).toEqual(await readings.parts.execute());
    // A sum comes as a number here and as text there; whoever reads it takes either.
    const asNumber = <R extends { held_on_shelf: unknown; kept_for_others: unknown }>(row: R) => ({
      ...row,
      held_on_shelf: Number(row.held_on_shelf),
      kept_for_others: Number(row.kept_for_others),
    });
    expect(together.lines.map(asNumber)).toEqual((await readings.lines.execute()).map(asNumber));
  });

  test('that find nothing give no rows', async () => {
    const nothing = await readTogether(counter.db, {
      slips: slipOf(counter.db, '999999'),
      lines: linesOf(counter.db, '999999'),
      inspections: inspectionsOf({ slipId: '999999' }),
      choices: choicesOf(),
    });
    expect(nothing).toEqual({ slips: [], lines: [], inspections: [], choices: [] });
  });
});
