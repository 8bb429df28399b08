import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { chooseFigures } from './catalogue/figure-store.ts';
import type { Inspection, NotedEvidence } from '@brackenfell/contract/inspection';
import type { Slip } from '@brackenfell/contract/slip';
import type { Tray } from '@brackenfell/contract/tray';
import { openTestCounter, write, type Agent, type TestCounter } from './testing/counter.ts';

let counter: TestCounter;
let agent: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  agent = await counter.as('specialist');
});
afterAll(() => counter.close());

/** What a call asks the database once everything that is kept in memory is there. */
async function askedBy(call: () => Promise<unknown>): Promise<readonly string[]> {
  await call();
  counter.statements.length = 0;
  await call();
  return [...counter.statements];
}

describe('a question at the counter asks the database few things', () => {
  test.each([
    ['plugs', 'skerrow-sc20/tray'],
    ['coils', 'ostrel-of16t/tray?kind=coil'],
    ['lead sets', 'dunmarrow-hf22/tray?kind=lead-set'],
    ['caps', 'dunmarrow-hf22/tray?kind=cap'],
  ])('a tray of %s six at most: who asks, the version, the rules, the shelf', async (_, path) => {
    const asked = await askedBy(() => agent.get(`/api/engines/${path}`).expect(200));
    expect(asked.length).toBeLessThanOrEqual(6);
    // Nothing is asked twice.
    expect(new Set(asked).size).toBe(asked.length);
    // What a catalogue says is kept by its version: neither figures nor references are read again.
    expect(
      asked.filter((statement) => /\b(figure|reference|listing|named_number|engine_position)\b/.test(statement)),
    ).toEqual([]);
  });

  test.each([
    ['a number as it is written', 'KN 419G-63DR'],
    ['a worn stamping', 'KN 42GG-63DR'],
    ['an engine', 'sc20'],
    ['a customer', 'windle'],
  ])('%s in the ask line three at most', async (_, q) => {
    const asked = await askedBy(() => agent.get('/api/ask').query({ q }).expect(200));
    expect(asked.length).toBeLessThanOrEqual(3);
  });

  test('a part put on a slip eight at most: what it goes by is read at once, and written at once', async () => {
    const { slipId } = (await write(agent, 'post', '/api/slips', { engineId: 'skerrow-sc20' }).expect(201))
      .body as Slip;
    const { rows } = (await agent.get('/api/engines/skerrow-sc20/tray').expect(200)).body as Tray;
    const put = async (at: number, version: number) =>
      (await write(agent, 'post', `/api/slips/${slipId}/lines`, { partId: rows[at]!.partId, version }).expect(201))
        .body as Slip;
    const first = await put(0, 1);
    counter.statements.length = 0;
    const second = await put(1, first.version);
    const asked = counter.statements.filter((statement) => !/^(begin|commit)/.test(statement));
    expect(asked.length).toBeLessThanOrEqual(8);
    expect(second.lines).toHaveLength(2);
    expect(second.lines.map(({ verdict }) => verdict)).toEqual([rows[0]!.verdict, rows[1]!.verdict]);
    const entries = await counter.owner
      .selectFrom('change_entry')
      .select(['subject', 'action', 'subject_id'])
      .orderBy('id', 'desc')
      .limit(2)
      .execute();
    expect(entries).toEqual([
      { subject: 'slip line', action: 'add', subject_id: second.lines[1]!.lineId },
      { subject: 'slip', action: 'add line', subject_id: slipId },
    ]);
  });

  test('an answer to a tell four at most, and an inspection as it stands five, however many readings it holds', async () => {
    const part = (await agent.get('/api/part-numbers/IVX-C19-F10').expect(200)).body as { parts: { partId: string }[] };
    const begun = { partId: part.parts[0]!.partId, pieces: 8 };
    const { inspectionId, reference } = (await write(agent, 'post', '/api/inspections', begun).expect(201))
      .body as Inspection;
    const tells = reference!.content.tells;
    const note = (piece: number) =>
      write(agent, 'post', `/api/inspections/${inspectionId}/entries`, {
        entries: tells.map(({ id }) => ({ what: 'tell', subject: id, piece, answer: 'genuine-like' })),
      }).expect(200);
    for (let piece = 1; piece < 8; piece += 1) await note(piece);
    counter.statements.length = 0;
    const { body } = await note(8);
    const asked = counter.statements.filter((statement) => !/^(begin|commit)/.test(statement));
    expect(asked.length).toBeLessThanOrEqual(4);
    const { journal } = body as NotedEvidence;
    expect(journal).toHaveLength(8 * tells.length);
    counter.statements.length = 0;
    const whole = (await agent.get(`/api/inspections/${inspectionId}`).expect(200)).body as Inspection;
    expect(counter.statements.length).toBeLessThanOrEqual(5);
    expect(whole.journal).toEqual(journal);
  });

  test('a figure that changes is in the next tray all the same, of a coil too', async () => {
    const tray = async () =>
      (await agent.get('/api/engines/ostrel-of16t/tray?kind=coil').expect(200)).body as {
        rows: { partId: string; verdict: string }[];
      };
    const { rows } = await tray();
    const sold = rows.find(({ verdict }) => verdict !== 'refuse')!;
    await counter.owner.transaction().execute(async (trx) => {
      await trx
        .updateTable('figure')
        .set({ value: JSON.stringify('canister') })
        .where('part_id', '=', sold.partId)
        .where('attribute', '=', 'coil.topology')
        .execute();
      await chooseFigures(trx, [sold.partId], []);
    });
    expect((await tray()).rows.find(({ partId }) => partId === sold.partId)!.verdict).toBe('refuse');
  });
});
