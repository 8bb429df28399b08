import supertest from 'supertest';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { judgeInspection } from '@brackenfell/core/authenticity/inspection';
import type { Inspection, NotedEvidence } from '@brackenfell/contract/inspection';
import { matterOf } from '@brackenfell/contract/inspection-matter';
import type { Batch, BatchLine } from '@brackenfell/contract/quarantine';
import type { ProofReference } from '@brackenfell/contract/proof-reference';
import type { Slip } from '@brackenfell/contract/slip';
import { MARKETPLACE_BATCH, ODD_BOX_BATCH, RETURNED_BATCH } from '@brackenfell/demo/proof/past';
import { demoStaff } from '@brackenfell/demo/staff';
import { createApp } from '../app.ts';
import { createContext } from '../context/context.ts';
import { silentLog } from '../context/log.ts';
import { openTestCounter, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let [wren, corwin, isolde]: Agent[] = [];
beforeAll(async () => {
  counter = await openTestCounter();
  [wren, corwin, isolde] = await Promise.all([
    counter.as('specialist'),
    counter.as('editor'),
    counter.as('supervisor'),
  ]);
});
afterAll(() => counter.close());

async function partOf(printed: string): Promise<string> {
  const { parts } = (await wren!.get(`/api/part-numbers/${encodeURIComponent(printed)}`).expect(200)).body as {
    parts: { partId: string }[];
  };
  return parts[0]!.partId;
}

async function batchOf(of: { number: string; code: string; seller?: string }): Promise<BatchLine> {
  const { number, code, seller } = of;
  const { batches } = (await wren!.get(`/api/batches?partId=${await partOf(number)}`).expect(200)).body as {
    batches: BatchLine[];
  };
  return batches.find((batch) => batch.code === code && (seller === undefined || batch.seller === seller))!;
}

const begin = async (body: object): Promise<Inspection> =>
  (await write(wren!, 'post', '/api/inspections', body).expect(201)).body as Inspection;

/** Notes answers to tells on every piece, as the counter does with one key. */
async function note(inspection: Inspection, answers: Record<string, string>): Promise<Inspection> {
  const entries = Object.entries(answers).flatMap(([subject, answer]) =>
    Array.from({ length: inspection.pieces }, (_, i) => ({ what: 'tell', subject, piece: i + 1, answer })),
  );
  const at = `/api/inspections/${inspection.inspectionId}/entries`;
  await write(wren!, 'post', at, { entries }).expect(200);
  return show(inspection);
}

const show = async ({ inspectionId }: Inspection): Promise<Inspection> =>
  (await wren!.get(`/api/inspections/${inspectionId}`).expect(200)).body as Inspection;

const noteOne = async (inspection: Inspection, entry: object): Promise<Inspection> => {
  const at = `/api/inspections/${inspection.inspectionId}/entries`;
  await write(wren!, 'post', at, { entries: [entry] }).expect(200);
  return show(inspection);
};

const conclude = async (inspection: Inspection): Promise<Inspection> =>
  (await write(wren!, 'post', `/api/inspections/${inspection.inspectionId}/conclude`, { hold: false }).expect(200))
    .body as Inspection;

const judge = (inspection: Inspection) => judgeInspection(matterOf(inspection));

describe('the marketplace batch of the story', () => {
  test('begins at its seller’s own record and rises by price and by a date that does not exist, capped together', async () => {
    const batch = await batchOf(MARKETPLACE_BATCH);
    const inspection = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 2 });
    expect(inspection.channel).toBe('marketplace');
    const { settled, notGenuine } = inspection.record;
    expect([settled, notGenuine]).toEqual([7, 2]);
    expect(judge(inspection).prior).toBeCloseTo((0.12 * 20 + 2) / (20 + 7), 9);
    expect(inspection.paper.map(({ id }) => id)).toEqual(['impossible date', 'price far below']);
    const { chance } = judge(inspection).worst.judgement;
    const odds = (p: number) => p / (1 - p);
    expect(odds(chance) / odds(judge(inspection).prior)).toBeCloseTo(3, 6);
    expect(judge(inspection).band).toBe('not-inspected');
  });

  test('a batch that was settled before does not speak for or against itself', async () => {
    const settled = await batchOf({ number: 'IVX-B19-F06', code: 'F4-0611' });
    const again = await begin({ partId: settled.partId, batchId: settled.batchId, pieces: 1 });
    expect(again.record).toEqual({ settled: 6, notGenuine: 2 });
  });

  test('is suspect after two differences, is held by its conclusion, and its buyers are listed', async () => {
    const batch = await batchOf(MARKETPLACE_BATCH);
    let inspection = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 2 });
    inspection = await note(inspection, { chamfer: 'differs', ribs: 'differs' });
    expect(judge(inspection).band).toBe('suspect');
    const concluded = await conclude(inspection);
    expect(concluded.conclusion).toMatchObject({ band: 'suspect', stale: false });
    expect(concluded.batch?.state).toBe('held');
    const held = (await wren!.get(`/api/batches/${batch.batchId}`).expect(200)).body as Batch;
    expect(held.sales.map(({ customer, named }) => [customer, named])).toEqual([
      ['Walk-in', true],
      ['Windle Quarry', true],
      ['Cawdle Minibus Co-operative', false],
    ]);
    expect(held.toContact).toBe(3);
  });
});

describe('genuine and fake in each other’s boxes', () => {
  test('a box out of register on genuine plugs is not called suspect, whatever the box', async () => {
    const batch = await batchOf(ODD_BOX_BATCH);
    let inspection = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 2 });
    inspection = await note(inspection, { 'box-print': 'differs' });
    expect(judge(inspection).band).toBe('not-proven');
    inspection = await note(inspection, { crown: 'genuine-like', ribs: 'genuine-like', gasket: 'genuine-like' });
    expect(judge(inspection).band).toBe('consistent');
  });

  test('one odd sign on a genuine piece of a good seller is not called suspect either', async () => {
    const batch = await batchOf(ODD_BOX_BATCH);
    const inspection = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 1 });
    const odd = await note(inspection, { ribs: 'differs', crown: 'genuine-like', gasket: 'genuine-like' });
    expect(judge(odd).band).not.toBe('suspect');
  });

  test('a fake brought back in a genuine box is, and its box does not save it; the batch it came from is not held', async () => {
    const partId = await partOf(RETURNED_BATCH.number);
    let inspection = await begin({ partId, channel: 'returned', pieces: 1 });
    expect(inspection.channel).toBe('returned');
    inspection = await noteOne(inspection, { what: 'number', subject: 'batch', piece: 0, answer: RETURNED_BATCH.code });
    inspection = await note(inspection, { 'code-form': 'genuine-like', crown: 'differs', weld: 'differs' });
    expect(judge(inspection).band).toBe('suspect');
    const { batch } = await conclude(inspection);
    expect(batch?.state).toBe('held');
    expect(batch?.batchId).not.toBe((await batchOf(RETURNED_BATCH)).batchId);
    const good = (await wren!.get(`/api/batches?partId=${partId}`).expect(200)).body as { batches: BatchLine[] };
    expect(good.batches.filter(({ seller }) => seller === RETURNED_BATCH.seller).map(({ state }) => state)).toEqual([
      'released',
      'released',
    ]);
  });
});

describe('an inspection’s record', () => {
  test('holds each maker’s pieces against its own reference: dark print condemns one and clears another', async () => {
    const genuineOf = async (printed: string, code: string) => {
      const batch = await batchOf({ number: printed, code });
      const { reference } = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 1 });
      return [reference!.generation, reference!.content.tells.find(({ id }) => id === 'print-weight')!.genuine];
    };
    expect(await genuineOf('KN 419G-65IR', 'C24 31 07')).toEqual(['slate-box', 'pale, fine']);
    expect(await genuineOf('IVX-C19-F10', 'F6-0510')).toEqual(['blue-band', 'bold, even']);
  });

  test('is held against another packaging of the maker where somebody says so', async () => {
    const batch = await batchOf({ number: 'KN 419G-65IR', code: 'C25 08 02' });
    const first = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 1 });
    const [other] = first.otherReferences;
    expect(other!.title).toBe('Kestrane, grey box until 2021');
    const again = await begin({
      partId: batch.partId,
      batchId: batch.batchId,
      pieces: 1,
      referenceId: other!.referenceId,
    });
    expect(again.reference?.generation).toBe('grey-box');
    expect(again.paper.map(({ id }) => id)).toContain('outside its packaging');
  });

  test('chooses the packaging that the batch code’s date falls into', async () => {
    const old = await batchOf({ number: 'KN 412G-59N', code: 'M22 12 09' });
    expect((await begin({ partId: old.partId, batchId: old.batchId, pieces: 1 })).reference?.generation).toBe(
      'slate-box',
    );
  });

  test('keeps the version of the reference it was made with, when the editor saves the next', async () => {
    const batch = await batchOf(ODD_BOX_BATCH);
    const before = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 1 });
    const { makerId, partKind, generation, version, content } = before.reference!;
    const next = { ...content, tells: content.tells.filter(({ id }) => id !== 'ribs') };
    const body = { makerId, partKind, generation, basedOn: version, content: next };
    await write(wren!, 'post', '/api/proof/references', body).expect(403);
    const saved = (await write(corwin!, 'post', '/api/proof/references', body).expect(201)).body as ProofReference;
    expect(saved.version).toBe(version + 1);
    await write(corwin!, 'post', '/api/proof/references', body).expect(409);
    const again = (await wren!.get(`/api/inspections/${before.inspectionId}`).expect(200)).body as Inspection;
    expect(again.reference?.version).toBe(version);
    const after = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 1 });
    expect(after.reference?.content.tells.map(({ id }) => id)).not.toContain('ribs');
  });

  test('refuses what makes no sense, and keeps what was noted before', async () => {
    const batch = await batchOf(ODD_BOX_BATCH);
    const inspection = await note(await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 1 }), {
      crown: 'differs',
    });
    const at = `/api/inspections/${inspection.inspectionId}/entries`;
    for (const entry of [
      { what: 'tell', subject: 'no-such', piece: 1, answer: 'differs' },
      { what: 'tell', subject: 'crown', piece: 2, answer: 'differs' },
      { what: 'tell', subject: 'crown', piece: 1, answer: 'maybe' },
      { what: 'measure', subject: 'gapMm', piece: 1, answer: '' },
      { what: 'number', subject: 'box', piece: 0, answer: ' ' },
    ])
      await write(wren!, 'post', at, { entries: [entry] }).expect(400);
    const kept = (await wren!.get(`/api/inspections/${inspection.inspectionId}`).expect(200)).body as Inspection;
    expect(kept.journal).toHaveLength(1);
    await write(
      wren!,
      'post',
      `/api/inspections/${(await begin({ partId: batch.partId, pieces: 1 })).inspectionId}/conclude`,
      {
        hold: false,
      },
    ).expect(409);
  });

  test('is noted on as well by a server that has never read it, and held to its pieces and tells there too', async () => {
    const batch = await batchOf(ODD_BOX_BATCH);
    const { inspectionId } = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 2 });
    const other = supertest.agent(createApp(createContext(counter.db, silentLog())));
    const { name, password } = demoStaff.find(({ role }) => role === 'specialist')!;
    await other.post('/api/session').send({ name, password }).expect(200);
    const entry = (piece: number, subject: string) => ({ what: 'tell', subject, piece, answer: 'differs' });
    const send = (id: string, entries: object[]) => write(other, 'post', `/api/inspections/${id}/entries`, { entries });
    await send(inspectionId, [entry(3, 'crown')]).expect(400);
    await send(inspectionId, [entry(1, 'nothing')]).expect(400);
    await send('999999', [entry(1, 'crown')]).expect(404);
    // One wrong entry keeps all of a call out.
    await send(inspectionId, [entry(1, 'crown'), entry(9, 'crown')]).expect(400);
    const noted = (await send(inspectionId, [entry(1, 'crown'), entry(2, 'gasket')]).expect(200)).body as NotedEvidence;
    expect(noted.journal.map(({ subject, piece, by }) => [subject, piece, by])).toEqual([
      ['crown', 1, 'Wren'],
      ['gasket', 2, 'Wren'],
    ]);
    expect([noted.stale, noted.rereads]).toEqual([false, false]);
  });

  test('tells what was noted since it was concluded, and when a number or a price says more than the journal', async () => {
    const batch = await batchOf(ODD_BOX_BATCH);
    const begun = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 1 });
    await note(begun, { crown: 'genuine-like', shoulder: 'genuine-like', gasket: 'genuine-like' });
    await conclude(begun);
    const at = `/api/inspections/${begun.inspectionId}/entries`;
    const send = async (entry: object) =>
      (await write(wren!, 'post', at, { entries: [{ piece: 0, ...entry }] }).expect(200)).body as NotedEvidence;
    const tell = await send({ what: 'tell', subject: 'box-print', piece: 1, answer: 'differs' });
    expect([tell.stale, tell.rereads]).toEqual([true, false]);
    const price = await send({ what: 'measure', subject: 'paidMinor', value: 120 });
    const number = await send({ what: 'number', subject: 'box', answer: 'HB/19/45.D1' });
    expect([price.rereads, number.rereads]).toEqual([true, true]);
    const whole = await show(begun);
    expect(whole.price?.paidMinor).toBe(120);
    expect(Object.keys(whole.bearers)).toEqual(['HB/19/45.D1']);
    expect(whole.conclusion?.stale).toBe(true);
  });

  test('concluded by eight at once makes one batch of its pieces', async () => {
    const partId = await partOf('KN 419G-61DR');
    let inspection = await begin({ partId, pieces: 1 });
    inspection = await noteOne(inspection, { what: 'number', subject: 'box', piece: 0, answer: 'KN 419G-65IR' });
    const done = await Promise.all(
      Array.from({ length: 8 }, () =>
        write(wren!, 'post', `/api/inspections/${inspection.inspectionId}/conclude`, { hold: true }),
      ),
    );
    expect(done.map(({ status }) => status)).toEqual(done.map(() => 200));
    const batches = new Set(done.map(({ body }) => (body as Inspection).batch?.batchId));
    expect([batches.size, batches.has(undefined)]).toEqual([1, false]);
  });

  test('reads the part’s own number beside the catalogue: reach, thread and gap as its maker’s scheme tells', async () => {
    const batch = await batchOf({ number: 'IVX-C19-F10', code: 'F6-0510' });
    const { decoded } = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 1 });
    expect(decoded?.figures).toEqual({ reachMm: { low: 19, high: 20 }, gapMm: { low: 1, high: 1.1 } });
    expect(decoded?.against).toEqual([]);
  });

  test('a number of another part on the box holds the pieces at any percentage', async () => {
    const batch = await batchOf({ number: 'KN 419G-65NR', code: 'C26 10 01' });
    let inspection = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 1 });
    inspection = await noteOne(inspection, { what: 'number', subject: 'box', piece: 0, answer: 'KN 419G-65IR' });
    expect(judge(inspection).blocks[0]).toMatch(/Box KN 419G-65IR: The number of KN 419G-65IR, Kestrane/);
    expect((await conclude(inspection)).batch?.state).toBe('held');
  });

  test('of what was sold before is concluded though its batch is held meanwhile, and the sale stays as it was', async () => {
    const batch = await batchOf({ number: 'KN 419G-67IR', code: 'M25 35 02' });
    const slip = (await write(wren!, 'post', '/api/slips', { engineId: 'thrushgill-tc18' }).expect(201)).body as Slip;
    const at = `/api/slips/${slip.slipId}`;
    const lined = (
      await write(wren!, 'post', `${at}/lines`, { version: 1, partId: batch.partId, quantity: 1 }).expect(201)
    ).body as Slip;
    const release = `${at}/lines/${lined.lines[0]!.lineId}/release`;
    const reason = 'seen with the customer';
    const released = (await write(isolde!, 'post', release, { version: lined.version, reason }).expect(200))
      .body as Slip;
    await write(wren!, 'post', `${at}/collect`, { version: released.version }).expect(200);
    const hold = { version: 1, reason: 'welds look brazed' };
    await write(wren!, 'post', `/api/batches/${batch.batchId}/hold`, hold).expect(200);
    const { lineId } = lined.lines[0]!;
    let inspection = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 1, slipLineId: lineId });
    inspection = await note(inspection, { crown: 'differs', weld: 'differs', chamfer: 'differs' });
    expect((await conclude(inspection)).conclusion?.band).toBe('suspect');
    const sold = (await wren!.get(at).expect(200)).body as Slip;
    expect([sold.state, sold.lines[0]!.batch, sold.lines[0]!.proof?.band]).toEqual(['collected', null, 'suspect']);
  });

  test('tells the slip whose line it looked at, and names the batch there', async () => {
    const slip = (await write(wren!, 'post', '/api/slips', { customer: 'Walk-in' }).expect(201)).body as Slip;
    const batch = await batchOf({ number: 'KN 419G-69IR', code: 'M26 16 03' });
    const lined = (
      await write(wren!, 'post', `/api/slips/${slip.slipId}/lines`, { version: 1, partId: batch.partId }).expect(201)
    ).body as Slip;
    const { lineId } = lined.lines[0]!;
    let inspection = await begin({ partId: batch.partId, batchId: batch.batchId, pieces: 1, slipLineId: lineId });
    inspection = await note(inspection, { crown: 'genuine-like', chamfer: 'genuine-like', gasket: 'genuine-like' });
    await conclude(inspection);
    const told = (await wren!.get(`/api/slips/${slip.slipId}`).expect(200)).body as Slip;
    expect(told.notes.map(({ text }) => text)).toEqual([expect.stringMatching(/^Proof of KN 419G-69IR: Consistent/)]);
    expect(told.lines[0]).toMatchObject({ held: null, batch: { code: 'M26 16 03' }, proof: { band: 'consistent' } });
    expect(told.version).toBeGreaterThan(lined.version);
    await isolde!.get(`/api/inspections?slipId=${slip.slipId}`).expect(200);
  });
});
