import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'kysely';
import type { OpenLine } from '@brackenfell/contract/open-catalogue';
import type { Database } from '../db/database.ts';
import { openEmptyDatabase, openTestCounter, type Agent, type TestCounter } from '../testing/counter.ts';
import { migrate } from '../upgrade/migrate.ts';
import { loadOpen } from './load-store.ts';
import { textLines } from './open-lines.ts';
import { openFile } from './routes.ts';

let counter: TestCounter;
let editor: Agent;
let whole: string;
let valid: (line: unknown) => boolean;
beforeAll(async () => {
  counter = await openTestCounter();
  editor = await counter.as('editor');
  const sent = await editor
    .get('/api/catalogue.jsonl')
    .buffer(true)
    .parse((res, done) => {
      let text = '';
      res.on('data', (part: Buffer) => (text += part.toString('utf8')));
      res.on('end', () => done(null, text));
    })
    .expect(200);
  whole = sent.body as string;
  const schema = (await editor.get('/api/catalogue.schema.json').expect(200)).body as object;
  valid = new Ajv2020({ strict: false }).compile(schema);
});
afterAll(() => counter.close());

/** What follows from a catalogue: which figures rule, and who is called equal to whom, by numbers instead of ids. */
async function derived(db: Database) {
  const { rows } = await sql<{ figures: string; clusters: string; typed: string }>`
    with called as (select distinct on (part_id) part_id, maker_id || ' ' || printed as number from part_name order by part_id, id),
         ruling as (select n.number, f.attribute, f.value, f.source_name, c.rules
                      from chosen_figure c join figure f on f.id = c.figure_id join called n on n.part_id = c.part_id),
         cluster as (select string_agg(n.number, '|' order by n.number) as members
                       from part p join called n on n.part_id = p.id group by p.cluster_id),
         place as (select engine_id, label, kind, thread_diameter_mm, reach_low_mm, seat, gap_high_mm from engine_position)
    select (select md5(string_agg(r::text, '|' order by r::text)) from ruling r) as figures,
           (select md5(string_agg(members, '/' order by members)) from cluster) as clusters,
           (select md5(string_agg(p::text, '|' order by p::text)) from place p) as typed`.execute(db);
  return rows[0]!;
}

describe('the whole catalogue in the open format', () => {
  test('keeps to its published schema, read by an independent validator, and says first what it is', () => {
    const lines = whole
      .trimEnd()
      .split('\n')
      .map((line) => JSON.parse(line) as OpenLine);
    expect(lines[0]).toEqual({ line: 'catalogue', format: 'brackenfell', version: 1 });
    expect(lines.filter((line) => !valid(line))).toEqual([]);
    const kinds = new Set(lines.map(({ line }) => line));
    expect([...kinds]).toEqual([
      'catalogue',
      'maker',
      'heat-scale',
      'numbering',
      'part',
      'kit',
      'engine',
      'reference',
      'listing',
      'class-list',
    ]);
    expect(valid({ line: 'maker', id: 'x', name: 'X', more: 1 })).toBe(false);
  });

  test('loaded into an empty shop and taken out again is the same to the byte, and so is all that follows from it', async () => {
    const { owner, close } = await openEmptyDatabase();
    try {
      await migrate(owner);
      const count = await loadOpen(owner, textLines(whole.split('\n')));
      expect(count).toBe(whole.trimEnd().split('\n').length);
      let again = '';
      for await (const line of openFile(owner)) again += line;
      expect(again === whole).toBe(true);
      expect(await derived(owner)).toEqual(await derived(counter.owner));
      await expect(loadOpen(owner, textLines(whole.split('\n')))).rejects.toThrow(/not empty/);
    } finally {
      await close();
    }
  });

  test.each([
    ['no JSON', '{"line":', /Line 2 is no JSON/],
    ['a line nobody knows', '{"line":"colour"}', /Line 2/],
    [
      'a figure of no fact',
      '{"line":"part","maker":"m","kind":"plug","names":[{"as":"catalogue","printed":"X 1"}],"figures":[{"fact":"plug.colour","value":1,"rank":"part-maker","source":"s"}]}',
      /Line 2, figures\.0\.fact/,
    ],
    [
      'a reach that is a word',
      '{"line":"part","maker":"m","kind":"plug","names":[{"as":"catalogue","printed":"X 1"}],"figures":[{"fact":"plug.reachMm","value":"long","rank":"part-maker","source":"s"}]}',
      /Line 2, figures\.0\.value: no plug\.reachMm/,
    ],
    [
      'a reference to a number that stands nowhere',
      '{"line":"reference","from":{"maker":"m","number":"X 1"},"to":{"maker":"m","number":"X 2"},"grade":"same","source":"s","notedOn":"2026-01-01"}',
      /m X 1 is spoken of/,
    ],
    ['a second beginning', '{"line":"catalogue","format":"brackenfell","version":1}', /first line, and no other/],
  ])('with %s is loaded not at all, and the line is named', async (_, line, why) => {
    const { owner, close } = await openEmptyDatabase();
    try {
      await migrate(owner);
      const first = '{"line":"catalogue","format":"brackenfell","version":1}';
      await expect(loadOpen(owner, textLines([first, line]))).rejects.toThrow(why);
      expect(await owner.selectFrom('maker').select('id').execute()).toEqual([]);
    } finally {
      await close();
    }
  });

  test('is given to those who mend the catalogue alone', async () => {
    await (await counter.as('starter')).get('/api/catalogue.jsonl').expect(403);
  });

  test('is described with examples that keep to the schema', () => {
    const page = readFileSync(join(__dirname, '../../../docs/open-format.md'), 'utf8');
    const examples = [...page.matchAll(/```json\n([\s\S]*?)```/g)].map(([, text]) => JSON.parse(text!) as OpenLine);
    expect(examples.filter((line) => !valid(line))).toEqual([]);
    expect(new Set(examples.map(({ line }) => line)).size).toBe(10);
  });
});
