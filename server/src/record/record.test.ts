import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import { stable } from '@brackenfell/core/words/stable';
import type { OpenLineOf } from '@brackenfell/contract/open-catalogue';
import type { ResponseOf } from '@brackenfell/contract/endpoints';
import type { Problem } from '@brackenfell/contract/problem';
import { RECORD_KINDS } from '@brackenfell/contract/record-kinds';
import {
  formOfRecord,
  formsOfAsked,
  type CatalogueRecord,
  type RecordKind,
  type RecordLine,
  type RecordPreview,
} from '@brackenfell/contract/record';
import { looksLike, type FormNode } from '@brackenfell/core/record/form-node';
import type { RecordedFactId } from '@brackenfell/core/facts/facts';
import { STARTER_SHAPES } from '@brackenfell/core/record/starter-shapes';
import { readOpenLines } from '../open-format/export-store.ts';
import { fetchTray, openTestCounter, partIdOf, rowOf, write, type TestCounter } from '../testing/counter.ts';

type RecordForm = ResponseOf<'getRecordForm'>;
type EngineLine = OpenLineOf<'engine'>;
const ENGINE = 'skerrow-sc20';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const at = (kind: RecordKind, key: string, end = '') => `/api/records/${kind}/${key}${end}`;
const see = async (kind: RecordKind, key: string) =>
  (await (await counter.as('editor')).get(at(kind, key)).expect(200)).body as CatalogueRecord;
const preview = async (kind: RecordKind, key: string, line: RecordLine) =>
  (await (await counter.as('editor')).post(at(kind, key, '/preview')).send({ line })).body as RecordPreview;
const put = async (
  kind: RecordKind,
  key: string,
  line: object,
  seen: string,
  role: 'editor' | 'specialist' = 'editor',
) => write(await counter.as(role), 'post', at(kind, key), { line, seen });
const undo = async (kind: RecordKind, key: string, { history }: CatalogueRecord) =>
  write(await counter.as('editor'), 'post', at(kind, key, '/undo'), { entryId: history[0]!.entryId });
const engineOf = ({ line }: CatalogueRecord) => line as EngineLine;
const tray = async (engineId: string) => fetchTray(await counter.as('specialist'), engineId);

/** The engine with every plug place asking something else of a fact. */
const asking = (line: EngineLine, fact: string, value: unknown): EngineLine => ({
  ...line,
  positions: line.positions.map((position) =>
    position.kind === 'plug'
      ? {
          ...position,
          figures: position.figures.map((figure) =>
            figure.fact === fact ? { ...figure, value: value as (typeof figure)['value'] } : figure,
          ),
        }
      : position,
  ),
});
const wholeCatalogue = async () =>
  Promise.all([
    sql`select * from engine_position order by id`.execute(counter.owner),
    sql`select id, withdrawn_at from figure order by id`.execute(counter.owner),
    sql`select * from catalogue_version`.execute(counter.owner),
  ]).then((found) => found.map(({ rows }) => rows));

describe('an engine that is mended', () => {
  test('tells which verdicts turn before anything is written, and those are what its tray then says', async () => {
    const record = await see('engine', ENGINE);
    const changed = asking(engineOf(record), 'position.seat', 'taper');
    const before = await wholeCatalogue();
    const { says, verdicts } = await preview('engine', ENGINE, changed);
    expect(says[0]).toContain('gasket → taper');
    expect(verdicts.changes.length).toBeGreaterThan(3);
    expect(await wholeCatalogue()).toEqual(before);
    const was = await tray(ENGINE);
    for (const { printed, before: verdict } of verdicts.changes) {
      const row = was.rows.find((one) => one.printed === printed);
      if (row) expect([printed, row.verdict]).toEqual([printed, verdict]);
    }
    const written = (await put('engine', ENGINE, changed, record.seen)).body as CatalogueRecord;
    expect(written.history[0]).toMatchObject({ by: 'Corwin', canUndo: true });
    const is = await tray(ENGINE);
    const shown = verdicts.changes.filter(({ printed }) => is.rows.some((one) => one.printed === printed));
    expect(shown.length).toBeGreaterThan(0);
    for (const { printed, after } of shown) expect([printed, rowOf(is, printed).verdict]).toEqual([printed, after]);

    // Taken back, it is the very record, and the tray says what it said.
    const back = (await undo('engine', ENGINE, written)).body as CatalogueRecord;
    expect(back.line).toEqual(record.line);
    expect((await tray(ENGINE)).rows.map(({ printed, verdict }) => [printed, verdict])).toEqual(
      was.rows.map(({ printed, verdict }) => [printed, verdict]),
    );
    // What was recorded between is withdrawn, and what stood stands again: nothing was overwritten.
    const { rows } = await sql<{ gone: number }>`
      select count(*)::int as gone from figure f join engine_position p on p.id = f.position_id
       where p.engine_id = ${ENGINE} and f.attribute = 'position.seat' and f.withdrawn_at is not null`.execute(
      counter.owner,
    );
    expect(rows[0]!.gone).toBe(engineOf(record).positions.filter(({ kind }) => kind === 'plug').length);
  });

  test('keeps what it did not change to the row: another vehicle leaves every figure and place alone', async () => {
    const record = await see('engine', ENGINE);
    const [positions, figures] = await wholeCatalogue();
    const line = engineOf(record);
    const changed = { ...line, vehicles: [...line.vehicles, { make: 'Skerrow', model: 'Sedgewren 2.0', from: 2017 }] };
    const written = (await put('engine', ENGINE, changed, record.seen)).body as CatalogueRecord;
    expect(written.history[0]!.says).toEqual(['vehicles: 2017 Skerrow Sedgewren 2.0 added']);
    expect((await wholeCatalogue()).slice(0, 2)).toEqual([positions, figures]);
    const found = await (await counter.as('specialist')).get('/api/ask?q=sedgewren');
    expect(found.body.vehicles).toMatchObject([{ title: expect.stringContaining('Sedgewren') }]);
    await undo('engine', ENGINE, written);
  });

  test('says where it contradicts itself, or names a number nobody has, and writes nothing of it', async () => {
    const record = await see('engine', ENGINE);
    const line = engineOf(record);
    const twice = await put(
      'engine',
      ENGINE,
      { ...line, positions: [...line.positions, line.positions[0]] },
      record.seen,
    );
    expect([twice.status, Object.keys((twice.body as Problem).fields ?? {})]).toEqual([
      400,
      [`line.positions.${line.positions.length}`],
    ]);
    const strange = { ...line, named: [{ part: { maker: line.maker, number: 'NO SUCH 1' }, kind: 'plug' as const }] };
    const unknown = await put('engine', ENGINE, strange, record.seen);
    expect([unknown.status, unknown.body.fields]).toEqual([
      400,
      { 'line.named.0.part.number': 'is no number of this catalogue' },
    ]);
    const other = await put('engine', 'dunmarrow-hf22', line, (await see('engine', 'dunmarrow-hf22')).seen);
    expect(other.status).toBe(400);
    expect((await see('engine', ENGINE)).seen).toBe(record.seen);
  });

  test('is not written over what somebody else changed meanwhile, nor by who keeps no catalogue', async () => {
    const record = await see('engine', ENGINE);
    const line = engineOf(record);
    const first = await put('engine', ENGINE, { ...line, summary: '2.0 four, mended once' }, record.seen);
    const second = await put('engine', ENGINE, { ...line, summary: '2.0 four, mended twice' }, record.seen);
    expect([second.status, second.body.code]).toEqual([409, 'changed-meanwhile']);
    expect((await put('engine', ENGINE, line, record.seen, 'specialist')).status).toBe(403);
    await undo('engine', ENGINE, first.body as CatalogueRecord);
  });

  test('of two who record at the same moment one does, and the other is told', async () => {
    const record = await see('engine', ENGINE);
    const line = engineOf(record);
    const answers = await Promise.all(
      ['once', 'twice', 'thrice'].map((time) =>
        put('engine', ENGINE, { ...line, summary: `2.0 four, mended ${time}` }, record.seen),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
    const now = await see('engine', ENGINE);
    expect(now.history[0]!.says).toHaveLength(1);
    await undo('engine', ENGINE, now);
    expect((await see('engine', ENGINE)).seen).toBe(record.seen);
  });

  test('is recorded once however often the call is repeated under its key', async () => {
    const record = await see('engine', ENGINE);
    const editor = await counter.as('editor');
    const body = { line: { ...engineOf(record), summary: '2.0 four, told again' }, seen: record.seen };
    const key = randomUUID();
    const send = () => editor.post(at('engine', ENGINE)).set('idempotency-key', key).send(body);
    const [first, second] = [await send(), await send()];
    expect([first.status, second.body]).toEqual([200, first.body]);
    const now = await see('engine', ENGINE);
    expect(now.history.length).toBe(record.history.length + 1);
    await undo('engine', ENGINE, now);
  });

  test('a place that is gone is gone from the tray and comes back with its figures', async () => {
    const record = await see('engine', 'dunmarrow-hf22');
    const line = engineOf(record);
    const coils = line.positions.filter(({ kind }) => kind === 'lead-set');
    expect(coils.length).toBeGreaterThan(0);
    const without = { ...line, positions: line.positions.filter(({ kind }) => kind !== 'lead-set') };
    const { says } = await preview('engine', 'dunmarrow-hf22', without);
    expect(says).toHaveLength(coils.length);
    const written = (await put('engine', 'dunmarrow-hf22', without, record.seen)).body as CatalogueRecord;
    const leads = async () =>
      (await (await counter.as('specialist')).get('/api/engines/dunmarrow-hf22/tray?kind=lead-set')).status;
    expect(await leads()).toBe(404);
    const back = (await undo('engine', 'dunmarrow-hf22', written)).body as CatalogueRecord;
    expect(await leads()).toBe(200);
    const sorted = (positions: EngineLine['positions']) => positions.map((one) => stable(one)).sort();
    expect(sorted(engineOf(back).positions)).toEqual(sorted(line.positions));
  });

  test('whatever is looked at first leaves every tray as it was', async () => {
    const line = engineOf(await see('engine', ENGINE));
    const was = await tray(ENGINE);
    await preview('engine', ENGINE, asking(line, 'position.reachMm', { low: 12.7, high: 12.7 }));
    await preview('engine', ENGINE, { ...line, positions: line.positions.slice(0, 1), plan: undefined });
    expect(await tray(ENGINE)).toEqual(was);
  });

  test('begins as a copy, is judged at once, and goes without a trace unless a slip speaks of it', async () => {
    const line = { ...engineOf(await see('engine', ENGINE)), id: 'skerrow-sc21', code: 'SC21' };
    const empty = await see('engine', 'skerrow-sc21');
    expect([empty.line, empty.seen]).toEqual([null, 'none']);
    const written = (await put('engine', 'skerrow-sc21', line, 'none')).body as CatalogueRecord;
    const like = await tray(ENGINE);
    const verdicts = ({ rows }: typeof like) => rows.map(({ printed, verdict }) => `${printed} ${verdict}`).sort();
    // Listings name the engine by its key, and are not copied.
    const named = new Set(verdicts(await tray('skerrow-sc21')));
    expect(verdicts(like).filter((one) => named.has(one)).length).toBeGreaterThan(5);
    const slip = await write(await counter.as('specialist'), 'post', '/api/slips', { engineId: 'skerrow-sc21' });
    expect(slip.status).toBe(201);
    const kept = await undo('engine', 'skerrow-sc21', written);
    expect([kept.status, kept.body.code]).toEqual([409, 'not-allowed-now']);
    await sql`update slip set engine_id = null where id = ${(slip.body as { slipId: string }).slipId}`.execute(
      counter.owner,
    );
    const gone = (await undo('engine', 'skerrow-sc21', written)).body as CatalogueRecord;
    expect(gone.line).toBeNull();
    const { rows } = await sql`select from engine_position where engine_id = 'skerrow-sc21'`.execute(counter.owner);
    expect(rows).toEqual([]);
    // And back again, whole.
    const again = (await undo('engine', 'skerrow-sc21', gone)).body as CatalogueRecord;
    expect(again.line).toEqual(written.line);
  });
});

describe('how a maker rates and numbers', () => {
  test('a rating that moves turns the verdicts that were told, and only those', async () => {
    const record = await see('heat-scale', 'kestrane');
    const { ratings, ...line } = record.line as OpenLineOf<'heat-scale'>;
    // The middle of the scale goes nearly as cold as the next.
    const i = Math.floor(ratings.length / 2);
    const moved = ratings.map((one, k) => (k === i ? { ...one, indexBar: ratings[i + 1]!.indexBar - 0.01 } : one));
    const { verdicts } = await preview('heat-scale', 'kestrane', { ...line, ratings: moved });
    expect(verdicts.judged).toBeGreaterThan(0);
    const written = (await put('heat-scale', 'kestrane', { ...line, ratings: moved }, record.seen))
      .body as CatalogueRecord;
    for (const { printed, engineId, after } of verdicts.changes) {
      const row = (await tray(engineId)).rows.find((one) => one.printed === printed);
      if (row) expect([engineId, printed, row.verdict]).toEqual([engineId, printed, after]);
    }
    const { rows } = await sql<{ index_bar: number }>`
      select distinct heat_index_bar as index_bar from plug_spec s join figure f on f.part_id = s.part_id
       where f.attribute = 'plug.heat' and f.value = ${JSON.stringify({ maker: 'kestrane', code: ratings[i]!.code })}::jsonb
         and f.withdrawn_at is null and s.heat_index_bar is not null`.execute(counter.owner);
    expect(rows.every(({ index_bar }) => index_bar !== ratings[i]!.indexBar)).toBe(true);
    const back = (await undo('heat-scale', 'kestrane', written)).body as CatalogueRecord;
    expect(back.line).toEqual(record.line);
  });

  test.each(
    (['heat-scale', 'numbering'] as const).flatMap((kind) => STARTER_SHAPES[kind].map((shape) => ({ kind, ...shape }))),
  )(
    'a $kind of usual shape ($title) is recorded once its maker’s table has said what the shape cannot',
    async ({ kind, id, begin }) => {
      const { body } = await write(await counter.as('editor'), 'post', '/api/makers', { name: `Maker ${id}` });
      const { makerId } = body as { makerId: string };
      const { seen } = await see(kind, makerId);
      const begun = begin(makerId);
      const refused = await put(kind, makerId, begun, seen);
      const amiss = Object.keys((refused.body as Problem).fields ?? {});
      expect([refused.status, amiss.length > 0]).toEqual([400, true]);
      expect(amiss.filter((one) => !/\.(indexBar|text)$/.test(one))).toEqual([]);
      let bar = 9;
      const filled = JSON.parse(JSON.stringify(begun), (_, part: unknown) => {
        if (typeof part !== 'object' || part === null) return part;
        if ('code' in part) return { ...part, indexBar: (bar += 1) };
        return 'text' in part ? { ...part, text: 'KX' } : part;
      }) as object;
      expect((await put(kind, makerId, filled, seen)).body).toMatchObject({ line: filled });
    },
  );

  test('a first scale that is taken back leaves no plug rated by it', async () => {
    const bars = async () =>
      (
        await sql<{ rated: number }>`select count(*)::int as rated from plug_spec s join part p on p.id = s.part_id
           where p.maker_id = 'kestrane' and s.heat_index_bar is not null`.execute(counter.owner)
      ).rows[0]!.rated;
    const record = await see('heat-scale', 'kestrane');
    expect(await bars()).toBeGreaterThan(5);
    await sql`delete from heat_rating where maker_id = 'kestrane'`.execute(counter.owner);
    const empty = await see('heat-scale', 'kestrane');
    expect(empty.line).toBeNull();
    const written = (await put('heat-scale', 'kestrane', record.line!, empty.seen)).body as CatalogueRecord;
    expect(await bars()).toBeGreaterThan(5);
    const gone = (await undo('heat-scale', 'kestrane', written)).body as CatalogueRecord;
    expect([gone.line, await bars()]).toEqual([null, 0]);
    await undo('heat-scale', 'kestrane', gone);
    expect((await see('heat-scale', 'kestrane')).line).toEqual(record.line);
  });

  test('ratings that do not run from hot to cold are refused', async () => {
    const record = await see('heat-scale', 'kestrane');
    const line = record.line as OpenLineOf<'heat-scale'>;
    const turned = await put('heat-scale', 'kestrane', { ...line, ratings: [...line.ratings].reverse() }, record.seen);
    expect([turned.status, turned.body.fields]).toEqual([
      400,
      { 'line.ratings': 'ratings run from hot to cold, each with a code of its own' },
    ]);
  });

  test('a numbering says how many numbers it reads; which signs count stays as numbers were kept by it', async () => {
    const record = await see('numbering', 'kestrane');
    const line = record.line as OpenLineOf<'numbering'>;
    const fields = line.grammar.fields.map((field) => ({ ...field, most: 20, least: 20 }));
    const narrowed = { ...line, grammar: { ...line.grammar, fields } };
    const { reads } = await preview('numbering', 'kestrane', narrowed);
    expect(reads!.before).toBeGreaterThan(reads!.of / 2);
    expect(reads!.after).toBe(0);
    const signs = { ...line, grammar: { ...line.grammar, significant: '-' } };
    expect((await put('numbering', 'kestrane', signs, record.seen)).body.code).toBe('not-allowed-now');
  });
});

test('every kind of record has a form, made from what is accepted, and every fact an engine asks has one', async () => {
  const editor = await counter.as('editor');
  const forms = await Promise.all(
    RECORD_KINDS.map(async (kind) => (await editor.get(`/api/records/${kind}`).expect(200)).body as RecordForm),
  );
  const [engine, , numbering] = forms;
  expect(numbering!.figures['plug.reachMm']!.label).toBe('reach');
  const { rows } = await sql<{ attribute: string }>`
    select distinct attribute from figure where position_id is not null`.execute(counter.owner);
  expect(rows.map(({ attribute }) => attribute).filter((fact) => !(fact in engine!.figures))).toEqual([]);
});

test('every record of the demo world fits the form that is made for its kind', async () => {
  const misfits: string[] = [];
  const asked = formsOfAsked();
  const lines: RecordLine[] = [];
  const walk = (node: FormNode, value: unknown, path: string): void => {
    if (!looksLike(node, value)) misfits.push(`${path}: ${JSON.stringify(value)}`);
    else if (node.of === 'list') (value as unknown[]).forEach((one, i) => walk(node.each, one, `${path}.${i}`));
    else if (node.of === 'either')
      walk(
        node.options.find((one) => looksLike(one, value))!,
        value,
        path,
      );
    else if (node.of === 'table')
      Object.entries(value as object).forEach(([key, one]) => walk(node.each, one, `${path}.${key}`));
    else if (node.of === 'group') {
      const held = value as Record<string, unknown>;
      const known = new Set(node.fields.map(({ key }) => key));
      misfits.push(
        ...Object.keys(held)
          .filter((key) => !known.has(key))
          .map((key) => `${path}.${key} has no field`),
      );
      for (const { key, node: own, isOptional } of node.fields) {
        const shape = own.of === 'figure' ? asked[held.fact as RecordedFactId]! : own;
        if (key in held || !isOptional) walk(shape, held[key], `${path}.${key}`);
      }
    }
  };
  for await (const line of readOpenLines(counter.db))
    if (line.line === 'engine' || line.line === 'heat-scale' || line.line === 'numbering') lines.push(line);
  for (const kind of RECORD_KINDS) {
    const [form, own] = [formOfRecord(kind), lines.filter((line) => line.line === kind)];
    expect(own.length).toBeGreaterThan(0);
    own.forEach((line) => walk(form, line, kind));
  }
  expect(misfits).toEqual([]);
});

test('the application deletes no figure and no place by itself, whatever it sends', async () => {
  const partId = await partIdOf(counter, 'KN 426G-63IR');
  const denied = { code: '42501' };
  await expect(sql`delete from figure where part_id = ${partId}`.execute(counter.db)).rejects.toMatchObject(denied);
  await expect(sql`delete from engine_position`.execute(counter.db)).rejects.toMatchObject(denied);
});
