import { once } from 'node:events';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import pg from 'pg';
import { from as copyFrom } from 'pg-copy-streams';
import { foldKey } from '@brackenfell/core/part-numbers/fold-key';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { neighbourKeys } from '@brackenfell/core/part-numbers/one-edit';
import { largeWorld, SHAPES, type LargeWorld } from '@brackenfell/demo/large/large-world';

type Cell = string | number | boolean | null;
const NULL = String.raw`\N`;
const clean = (value: Cell): string =>
  value === null ? NULL : typeof value === 'string' ? value.replaceAll('\\', '\\\\') : String(value);

const CHUNK = 2000;

async function copy(
  client: pg.Client,
  table: string,
  columns: string,
  rows: Iterable<readonly Cell[]>,
): Promise<number> {
  let count = 0;
  function* lines(): Generator<string> {
    let chunk = '';
    for (const row of rows) {
      chunk += `${row.map(clean).join('\t')}\n`;
      count += 1;
      if (count % CHUNK === 0) {
        yield chunk;
        chunk = '';
      }
    }
    if (chunk !== '') yield chunk;
  }
  await pipeline(Readable.from(lines()), client.query(copyFrom(`copy ${table} (${columns}) from stdin`)));
  return count;
}

const FILLED = [
  'part',
  'part_name',
  'name_neighbour',
  'reference',
  'figure',
  'chosen_figure',
  'plug_spec',
  'engine_position',
  'vehicle',
];

/** Takes the heavy tables' plain indexes away and gives what puts them back: a fresh table is filled faster without. */
async function withoutIndexes(
  client: pg.Client,
  say: (line: string) => void,
  work: () => Promise<void>,
): Promise<void> {
  const { rows } = await client.query<{ indexname: string; indexdef: string }>(
    `select indexname, indexdef from pg_indexes i where schemaname = 'public' and tablename = any($1)
       and not exists (select from pg_constraint c where c.conname = i.indexname)`,
    [FILLED],
  );
  for (const { indexname } of rows) await client.query(`drop index ${indexname}`);
  await work();
  for (const { indexname, indexdef } of rows) {
    const start = performance.now();
    await client.query(indexdef);
    say(`  index ${indexname}: ${((performance.now() - start) / 1000).toFixed(1)} s`);
  }
}

/** Fills a database that holds the demo world with the large one beside it, by COPY, as superuser; the same seed gives the same world. */
export async function buildWorld(
  superUrl: string,
  seed: number,
  count: number,
  say: (line: string) => void,
): Promise<LargeWorld> {
  const client = new pg.Client({ connectionString: superUrl });
  await client.connect();
  await client.query(`set maintenance_work_mem = '1GB'`);
  // The generator's rows are consistent by construction, so foreign keys are not looked up row by row.
  await client.query('set session_replication_role = replica');
  const maxOf = async (table: string) =>
    Number((await client.query<{ max: string | null }>(`select max(id) from ${table}`)).rows[0]!.max ?? 0);
  const world = largeWorld(seed, count, (await maxOf('part')) + 1);
  const timed = async (what: string, work: () => Promise<number>) => {
    const start = performance.now();
    const rows = await work();
    say(`  ${what}: ${rows.toLocaleString('en')} rows, ${((performance.now() - start) / 1000).toFixed(1)} s`);
  };
  await copy(
    client,
    'maker',
    'id, name',
    world.makers.map(({ id, name }) => [id, name]),
  );
  await copy(
    client,
    'heat_rating',
    'maker_id, ordinal, code, index_bar',
    world.heatScales.flatMap(({ maker, codes }) => codes.map(({ code, indexBar }, i) => [maker, i, code, indexBar])),
  );
  await withoutIndexes(client, say, async () => {
    await client.query('alter table part_name drop constraint part_name_part_id_kind_printed_key');
    await client.query('alter table reference drop constraint reference_from_part_id_to_part_id_grade_source_key');
    await timed('parts', () => copy(client, 'part', 'id, maker_id, kind, cluster_id', partRows(world)));
    const firstName = (await maxOf('part_name')) + 1;
    await timed('names', () =>
      copy(
        client,
        'part_name',
        'id, part_id, kind, printed, normal_form, fold_key, maker_id',
        nameRows(world, firstName),
      ),
    );
    await timed('neighbourhoods', () =>
      copy(client, 'name_neighbour', 'hash, name_id', neighbourRows(world, firstName)),
    );
    const firstEdge = (await maxOf('reference')) + 1;
    await timed('references', () =>
      copy(
        client,
        'reference',
        'id, from_part_id, to_part_id, grade, source, noted_on, from_cluster_id, to_cluster_id',
        referenceRows(world, firstEdge),
      ),
    );
    await fillPlugs(client, world, (await maxOf('figure')) + 1, timed);
    await fillEngines(client, world, (await maxOf('figure')) + 1, (await maxOf('engine_position')) + 1, timed);
  });
  // By it the names of a part are found.
  await client.query('alter table part_name add unique (part_id, kind, printed)');
  for (const table of ['part', 'part_name', 'reference', 'figure', 'engine_position', 'vehicle'])
    await client.query(`select setval(pg_get_serial_sequence('${table}', 'id'), (select max(id) from ${table}))`);
  await client.query('update catalogue_version set version = version + 1');
  await timed('statistics and visibility', async () => {
    await client.query('vacuum analyze');
    return 0;
  });
  const done = once(client, 'end');
  await client.end();
  await done;
  return world;
}

function* partRows({ parts, makers }: LargeWorld): Generator<Cell[]> {
  for (const part of parts) yield [part.id, makers[part.maker]!.id, part.kind, part.cluster];
}

function* namesOf({ parts }: LargeWorld) {
  for (const part of parts) {
    yield { part, kind: part.kind === 'plug' ? 'catalogue' : 'oe', printed: part.number };
    for (const name of part.names) yield { part, ...name };
  }
}

function* nameRows(world: LargeWorld, firstId: number): Generator<Cell[]> {
  let id = firstId;
  for (const { part, kind, printed } of namesOf(world)) {
    yield [id, part.id, kind, printed, normalForm(printed), foldKey(printed), world.makers[part.maker]!.id];
    id += 1;
  }
}

function* neighbourRows(world: LargeWorld, firstId: number): Generator<Cell[]> {
  let id = firstId;
  for (const { kind, printed } of namesOf(world)) {
    if (kind !== 'barcode') for (const hash of neighbourKeys(foldKey(printed))) yield [hash, id];
    id += 1;
  }
}

function* referenceRows(world: LargeWorld, firstId: number): Generator<Cell[]> {
  let id = firstId;
  for (const { from, to, fromCluster, toCluster, grade } of world.references()) {
    yield [id, from, to, grade, `list ${id % 40}`, '2024-03-01', fromCluster, toCluster];
    id += 1;
  }
}

type Timed = (what: string, work: () => Promise<number>) => Promise<void>;

function encoded(facts: object): Cell[][] {
  return Object.entries(facts).map(([attribute, value]) => [attribute, JSON.stringify(value)]);
}

const FIGURE_COLUMNS = 'id, part_id, position_id, attribute, value, source_rank, source_name, readings';

async function fillPlugs(client: pg.Client, world: LargeWorld, firstId: number, timed: Timed): Promise<void> {
  const plugs = world.parts.filter(({ kind }) => kind === 'plug');
  const shapes = SHAPES.map(encoded);
  const indexBar = (maker: number, heat: number) => world.heatScales[maker]!.codes[heat - 1]!.indexBar;
  function* figures(): Generator<Cell[]> {
    let id = firstId;
    for (const plug of plugs) {
      const maker = world.makers[plug.maker]!;
      const heat: Cell[] = ['plug.heat', JSON.stringify({ maker: maker.id, code: plug.heat })];
      for (const row of [...shapes[plug.shape]!, heat]) {
        yield [id, plug.id, null, ...row, 'part-maker', `${maker.name} catalogue`, 1];
        id += 1;
      }
    }
  }
  await timed('figures of plugs', () => copy(client, 'figure', FIGURE_COLUMNS, figures()));
  await timed('chosen figures', () =>
    copy(
      client,
      'chosen_figure',
      'figure_id, part_id, position_id, rules',
      (function* () {
        for (const [id, part] of figures()) yield [id!, part!, null, true];
      })(),
    ),
  );
  await copy(
    client,
    'plug_spec',
    'part_id, thread_diameter_mm, thread_pitch_mm, reach_mm, seat, hex_mm, heat_index_bar, resistor, supply',
    (function* (): Generator<Cell[]> {
      for (const plug of plugs) {
        const shape = SHAPES[plug.shape]!;
        yield [
          plug.id,
          shape['plug.threadDiameterMm']!,
          shape['plug.threadPitchMm']!,
          shape['plug.reachMm']!,
          shape['plug.seat']!,
          shape['plug.hexMm']!,
          indexBar(plug.maker, plug.heat),
          shape['plug.resistor']!.kind,
          'active',
        ];
      }
    })(),
  );
  await copy(
    client,
    'stock',
    'part_id, on_hand',
    plugs.map((plug) => [plug.id, plug.onHand]),
  );
  await copy(
    client,
    'price',
    'part_id, each_minor',
    plugs.map((plug) => [plug.id, 200 + (plug.id % 1500)]),
  );
}

async function fillEngines(
  client: pg.Client,
  world: LargeWorld,
  firstFigure: number,
  firstPosition: number,
  timed: Timed,
): Promise<void> {
  const engines = [...world.engines()];
  const title = (maker: string) => world.makers.find(({ id }) => id === maker)!.name;
  await timed('engines', () =>
    copy(
      client,
      'engine',
      'id, maker_id, code, summary, layout, visits, cautions, words, traits',
      engines.map((e) => [
        e.id,
        e.maker,
        e.code,
        e.summary,
        `in line ${e.cylinders}`,
        e.visits,
        '[]',
        `${title(e.maker)} ${e.code} ${e.summary}`.toLowerCase(),
        JSON.stringify(e.traits),
      ]),
    ),
  );
  const positions = engines.flatMap((engine) =>
    Array.from({ length: Math.min(2, engine.cylinders) }, (_, i) => ({ engine, cylinder: i + 1 })),
  );
  await copy(
    client,
    'engine_position',
    'id, engine_id, cylinder, place, label, thread_diameter_mm, thread_pitch_mm, reach_low_mm, reach_high_mm, seat, gap_low_mm, gap_high_mm',
    positions.map(({ engine, cylinder }, i): Cell[] => {
      const f = engine.facts;
      const reach = f['position.reachMm']!;
      const gap = f['position.gapMm']!;
      return [
        firstPosition + i,
        engine.id,
        cylinder,
        'plug',
        String(cylinder),
        f['position.threadDiameterMm']!,
        f['position.threadPitchMm']!,
        reach.low,
        reach.high,
        f['position.seat']!,
        gap.low,
        gap.high,
      ];
    }),
  );
  function* figures(): Generator<Cell[]> {
    let id = firstFigure;
    for (const [i, { engine }] of positions.entries()) {
      for (const row of encoded(engine.facts)) {
        yield [id, null, firstPosition + i, ...row, 'engine-maker', 'Engine sheet', 1];
        id += 1;
      }
    }
  }
  await timed('figures of positions', () => copy(client, 'figure', FIGURE_COLUMNS, figures()));
  await copy(
    client,
    'chosen_figure',
    'figure_id, part_id, position_id, rules',
    (function* () {
      for (const row of figures()) yield [row[0]!, null, row[2]!, true];
    })(),
  );
  await copy(
    client,
    'named_number',
    'engine_id, part_id',
    engines.flatMap((e) => e.named.map((id) => [e.id, id])),
  );
  await copy(
    client,
    'vehicle',
    'engine_id, make, model, built_from, built_to, words',
    engines.flatMap((e) =>
      e.vehicles.map((v): Cell[] => [
        e.id,
        v.make,
        v.model,
        v.from,
        v.to,
        `${v.make} ${v.model} ${e.code}`.toLowerCase(),
      ]),
    ),
  );
}
