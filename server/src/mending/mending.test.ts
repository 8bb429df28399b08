import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Consequences } from '@brackenfell/contract/consequences';
import type { Mending } from '@brackenfell/contract/mending';
import { fetchTray, openTestCounter, partIdOf, rowOf, write, type TestCounter } from '../testing/counter.ts';

const PLUG = 'KN 426G-63IR';
const SHEET = { rank: 'part-maker', source: 'Karnow sheet 12' } as const;

let counter: TestCounter;
let partId: string;
beforeAll(async () => {
  counter = await openTestCounter();
  partId = await partIdOf(counter, PLUG);
});
afterAll(() => counter.close());

const reach = (value: unknown, more: object = {}) => ({
  what: 'figure',
  fact: 'plug.reachMm',
  value,
  ...SHEET,
  ...more,
});
const at = (end = '') => `/api/parts/${partId}/mending${end}`;
const see = async () => (await (await counter.as('editor')).get(at()).expect(200)).body as Mending;
const preview = async (change: object) => {
  const answer = await (await counter.as('editor')).post(at('/preview')).send({ change });
  return answer.body as Consequences;
};
const mend = async (change: object, role: 'editor' | 'specialist' = 'editor') =>
  write(await counter.as(role), 'post', at(), { change });
const undo = async (entryId: string) => write(await counter.as('editor'), 'post', at('/undo'), { entryId });
const figuresOf = ({ facts }: Mending, fact: string) => facts.find((one) => one.fact === fact)!.figures;
const verdictIn = async (engineId: string) =>
  rowOf(await fetchTray(await counter.as('specialist'), engineId), PLUG).verdict;
const standing = () =>
  counter.db
    .selectFrom('chosen_figure')
    .innerJoin('figure', 'figure.id', 'chosen_figure.figure_id')
    .select(['figure.id', 'chosen_figure.rules'])
    .where('chosen_figure.part_id', '=', partId)
    .orderBy('figure.id')
    .execute();

describe('a figure of a part', () => {
  test('tells before it is recorded which verdicts turn, and those are what the trays then say', async () => {
    const [before, version] = [
      await standing(),
      await counter.db.selectFrom('catalogue_version').selectAll().execute(),
    ];
    // The maker’s own list beside it says otherwise: neither rules, so an engine maker’s word is what turns it.
    const change = reach(19, { rank: 'engine-maker' });
    const { changes, judged } = await preview(change);
    expect(changes.length).toBeGreaterThan(0);
    expect(judged).toBeGreaterThanOrEqual(changes.length);
    expect([await standing(), await counter.db.selectFrom('catalogue_version').selectAll().execute()]).toEqual([
      before,
      version,
    ]);
    for (const { engineId, before: was } of changes)
      expect([engineId, await verdictIn(engineId)]).toEqual([engineId, was]);
    await mend(change).then(({ status }) => expect(status).toBe(200));
    for (const { engineId, after } of changes) expect([engineId, await verdictIn(engineId)]).toEqual([engineId, after]);
    const { history } = await see();
    expect(history[0]).toMatchObject({ by: 'Corwin', says: 'reach 19.0 mm (Karnow sheet 12): added', canUndo: true });

    // Taken back, the very figures rule that ruled before; and the taking back can itself be taken back.
    await undo(history[0]!.entryId).then(({ status }) => expect(status).toBe(200));
    expect(await standing()).toEqual(before);
    for (const { engineId, before: was } of changes)
      expect([engineId, await verdictIn(engineId)]).toEqual([engineId, was]);
    const again = await undo(history[0]!.entryId);
    expect([again.status, again.body.code]).toEqual([409, 'changed-meanwhile']);
  });

  test('is withdrawn with its consequences told, once, and can stand again', async () => {
    const [own] = figuresOf(await see(), 'plug.seat');
    const { changes } = await preview({ what: 'withdraw', figureId: own!.figureId });
    expect(changes.every(({ after }) => after !== 'sell')).toBe(true);
    const gone = (await mend({ what: 'withdraw', figureId: own!.figureId })).body as Mending;
    expect(figuresOf(gone, 'plug.seat')).toEqual([]);
    expect((await mend({ what: 'withdraw', figureId: own!.figureId })).status).toBe(409);
    const back = (await undo(gone.history[0]!.entryId)).body as Mending;
    expect(figuresOf(back, 'plug.seat')).toEqual([own]);
  });

  test('is refused where it is of another kind, no such value, or gauged; and nobody at the counter may write one', async () => {
    const codes = await Promise.all(
      [
        reach('long'),
        reach(-2),
        reach(19, { fact: 'coil.pinsCount' }),
        reach(19, { rank: 'gauged' }),
        reach(19, { source: '' }),
        { what: 'withdraw', figureId: '999999999' },
      ].map(async (change) => (await mend(change)).body.code as string),
    );
    expect(codes).toEqual([...Array<string>(5).fill('invalid-request'), 'changed-meanwhile']);
    expect((await mend(reach(19), 'specialist')).status).toBe(403);
  });
});

test('a price is set and goes back; a slip that was told it keeps it', async () => {
  const was = (await see()).price!;
  const slip = await write(await counter.as('specialist'), 'post', '/api/slips', { engineId: 'aldersyke-as22' }).expect(
    201,
  );
  const put = await write(await counter.as('specialist'), 'post', `/api/slips/${slip.body.slipId}/lines`, {
    partId,
    version: slip.body.version,
  });
  interface Body {
    lines: { unitPriceMinor: number }[];
  }
  const line = (body: Body) => body.lines[0]!.unitPriceMinor;
  expect([put.status, line(put.body as Body)]).toEqual([201, was.eachMinor]);
  const dearer = (await mend({ what: 'price', eachMinor: was.eachMinor + 100, packOf: was.packOf })).body as Mending;
  expect(dearer.price).toEqual({ ...was, eachMinor: was.eachMinor + 100 });
  const kept = await (await counter.as('specialist')).get(`/api/slips/${slip.body.slipId}`).expect(200);
  expect(line(kept.body as Body)).toBe(was.eachMinor);
  const back = (await undo(dearer.history[0]!.entryId)).body as Mending;
  expect(back.price).toEqual(was);
  // What a list has made of it since is not gone back over.
  await counter.owner.updateTable('price').set({ each_minor: 77 }).where('part_id', '=', partId).execute();
  expect((await see()).history[0]!.canUndo).toBe(false);
  expect((await undo(back.history[0]!.entryId)).status).toBe(409);
});

describe('a reference of a part', () => {
  const other = (printed: string) => partIdOf(counter, printed);
  const say = async (printed: string, more: object = {}) => ({
    what: 'reference',
    toPartId: await other(printed),
    grade: 'equivalent',
    source: 'List of spring',
    inForceFrom: null,
    ...more,
  });
  const reached = async () => rowOf(await fetchTray(await counter.as('specialist'), 'aldersyke-as22'), PLUG).verdict;

  test('that the dimensions deny says so before it is recorded; it is cut and joined again, and the clusters follow', async () => {
    const change = await say('KN 419G-63DR');
    expect((await preview(change)).contradicts).toMatch(/^(reach|thread)/);
    const clusters = async () =>
      counter.db
        .selectFrom('part')
        .select(['id', 'cluster_id'])
        .where('cluster_id', 'is not', null)
        .orderBy('id')
        .execute();
    const groups = (rows: Awaited<ReturnType<typeof clusters>>) => {
      const by = new Map<string, string[]>();
      for (const { id, cluster_id } of rows) by.set(cluster_id!, [...(by.get(cluster_id!) ?? []), id]);
      return [...by.values()].map((ids) => ids.join()).sort();
    };
    const before = groups(await clusters());
    const told = (await mend(change)).body as Mending;
    expect(told.references).toContainEqual(
      expect.objectContaining({ printed: 'KN 419G-63DR', source: 'List of spring' }),
    );
    expect(groups(await clusters())).not.toEqual(before);
    expect((await mend(change)).body.code).toBe('already-there');
    const { edgeId } = told.references.find(({ source }) => source === 'List of spring')!;
    const cut = (await mend({ what: 'cut', edgeId })).body as Mending;
    expect(groups(await clusters())).toEqual(before);
    expect((await mend({ what: 'cut', edgeId })).status).toBe(409);
    const joined = (await undo(cut.history[0]!.entryId)).body as Mending;
    expect(joined.references.map((one) => one.edgeId)).toContain(edgeId);
    await undo(joined.history[0]!.entryId);
    expect(groups(await clusters())).toEqual(before);
    expect(await reached()).toBe('sell');
  });

  test('to come is kept with its day; none is said of itself, nor cut of another part', async () => {
    const later = (await mend(await say('KN 426G-63DR', { inForceFrom: '2099-01-01' }))).body as Mending;
    expect(later.references).toContainEqual(expect.objectContaining({ inForceFrom: '2099-01-01' }));
    expect((await mend(await say(PLUG))).status).toBe(400);
    const { id } = await counter.db
      .selectFrom('reference')
      .select('id')
      .where('from_part_id', '!=', partId)
      .where('to_part_id', '!=', partId)
      .limit(1)
      .executeTakeFirstOrThrow();
    expect((await mend({ what: 'cut', edgeId: id })).status).toBe(409);
    expect((await mend(await say('KN 419G-63DR', { inForceFrom: 'spring' }))).status).toBe(400);
  });
});

test('what has parts of its own is filled in by its shape: a torque with its condition counts at once', async () => {
  const before = await see();
  const torque = before.facts.find(({ fact }) => fact === 'plug.torque')!;
  expect(torque.form).toMatchObject({ kind: 'parts', of: { of: 'group' } });
  const change = {
    what: 'figure',
    fact: 'plug.torque',
    value: { lowNm: 21, highNm: 26, condition: 'dry' },
    rank: 'engine-maker',
    source: 'Karnow sheet 12',
  };
  expect((await mend({ ...change, value: { lowNm: 21, highNm: 26 } })).status).toBe(400);
  const after = (await mend(change)).body as Mending;
  expect(figuresOf(after, 'plug.torque').find(({ rules }) => rules)!.value).toMatch(/21.*26/);
  await undo(after.history[0]!.entryId);
});

describe('what a part is called', () => {
  test('is found by at once, and taken back it is called so no more; the number it goes by stays', async () => {
    const find = async () =>
      (await (await counter.as('specialist')).get('/api/ask?q=QXV77120')).body.parts as { partId: string }[];
    expect(await find()).toEqual([]);
    const named = (await mend({ what: 'name', as: 'stamping', printed: 'QXV 77120' })).body as Mending;
    expect((await find()).map((one) => one.partId)).toEqual([partId]);
    expect((await mend({ what: 'name', as: 'stamping', printed: 'QXV 77120' })).body.code).toBe('already-there');
    expect(named.history[0]).toMatchObject({ says: 'stamping number QXV 77120: added', canUndo: true });
    const back = (await undo(named.history[0]!.entryId)).body as Mending;
    expect(await find()).toEqual([]);
    // And again: what was taken off can be taken back too.
    await undo(back.history[0]!.entryId);
    expect((await find()).map((one) => one.partId)).toEqual([partId]);
    const { names } = await see();
    expect((await mend({ what: 'unname', nameId: names[0]!.nameId })).body.code).toBe('not-allowed-now');
    await mend({ what: 'unname', nameId: names.at(-1)!.nameId });
    expect(await find()).toEqual([]);
  });
});

describe('a listing', () => {
  test('is a statement: what it turns is told before, the tray says who lists it, and it is taken off again', async () => {
    const engineId = 'skerrow-sh28';
    const listed = async () =>
      (await fetchTray(await counter.as('specialist'), engineId)).rows.find(({ printed }) => printed === PLUG)?.evidence
        .listed;
    const change = { what: 'listing', engineId, place: null, source: 'Karnow list 9', builtFrom: null, builtTo: null };
    const would = await preview(change);
    expect(would.judged).toBeLessThanOrEqual(1);
    const after = (await mend(change)).body as Mending;
    expect(after.listings).toContainEqual(expect.objectContaining({ engineId, source: 'Karnow list 9' }));
    expect(await listed()).toBe('Karnow list 9');
    const wrongWay = { ...change, source: 'Karnow list 10', builtFrom: '2016-08', builtTo: '2015-01' };
    expect((await mend(wrongWay)).status).toBe(400);
    expect((await mend({ ...change, engineId: 'no-such-engine' })).body.code).toBe('already-there');
    const own = after.listings.find((one) => one.source === 'Karnow list 9')!;
    const off = (await mend({ what: 'unlist', listingId: own.listingId })).body as Mending;
    expect(await listed()).not.toBe('Karnow list 9');
    await undo(off.history[0]!.entryId);
    expect(await listed()).toBe('Karnow list 9');
  });
});

test('a name that goes takes along what it was found by, and is found by no slip of the finger either', async () => {
  const neighbours = async () =>
    (
      await counter.owner
        .selectFrom('name_neighbour')
        .innerJoin('part_name', 'part_name.id', 'name_neighbour.name_id')
        .select('name_neighbour.hash')
        .where('part_name.printed', '=', 'QXV 88130')
        .execute()
    ).length;
  const all = async () => (await counter.owner.selectFrom('name_neighbour').select('hash').execute()).length;
  const before = await all();
  const named = (await mend({ what: 'name', as: 'box', printed: 'QXV 88130' })).body as Mending;
  expect(await neighbours()).toBeGreaterThan(5);
  const near = async () =>
    ((await (await counter.as('specialist')).get('/api/ask?q=QXV88310')).body.parts as { partId: string }[]).some(
      (one) => one.partId === partId,
    );
  expect(await near()).toBe(true);
  await undo(named.history[0]!.entryId);
  expect([await neighbours(), await all(), await near()]).toEqual([0, before, false]);
});
