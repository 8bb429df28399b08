import { randomUUID } from 'node:crypto';
import { expect } from '@jest/globals';
import { sql } from 'kysely';
import type { ImportRow, ImportView } from '@brackenfell/contract/imports';
import { silentLog } from '../context/log.ts';
import { workOneJob } from '../jobs/work-jobs.ts';
import { openTestCounter, write, type Agent, type TestCounter } from './counter.ts';

/** A counter of its own whose editor takes lists in, with the worker that reads and writes them. */
export async function openLists() {
  const counter = await openTestCounter();
  const editor = await counter.as('editor');
  return { counter, ...listsOf(counter, editor) };
}
export type Lists = Awaited<ReturnType<typeof openLists>>;

/** What an editor does with lists, and the worker beside, whatever shop it is in. */
export function listsOf(counter: Pick<TestCounter, 'db' | 'owner'>, editor: Agent) {
  const log = silentLog();
  const work = async () => {
    while (await workOneJob(counter.db, log));
  };
  const at = async (importId: string) => (await editor.get(`/api/imports/${importId}`).expect(200)).body as ImportView;
  /** Takes a list and has it read and sorted. */
  async function take(text: string | Buffer, supplier = 'Eastgate Clearance'): Promise<ImportView> {
    const answer = await editor
      .post('/api/imports')
      .query({ supplier, fileName: 'list.csv' })
      .set('idempotency-key', randomUUID())
      .type('application/octet-stream')
      .send(typeof text === 'string' ? Buffer.from(text) : text)
      .expect(201);
    await work();
    return at((answer.body as ImportView).importId);
  }
  const rowsOf = async ({ importId }: ImportView, heap = '') =>
    (
      (
        await editor
          .get(`/api/imports/${importId}/rows`)
          .query(heap === '' ? {} : { heap })
          .expect(200)
      ).body as { rows: ImportRow[] }
    ).rows;
  const send = async ({ importId }: ImportView, what: string, body: object = {}) =>
    write(editor, 'post', `/api/imports/${importId}/${what}`, { version: (await at(importId)).version, ...body });
  async function go(list: ImportView, what: string, body: object = {}): Promise<ImportView> {
    await send(list, what, body).then(({ status, body: told }) =>
      expect([status, told]).toEqual([200, expect.anything()]),
    );
    await work();
    return at(list.importId);
  }
  /** Everything that a list can change, row by row. */
  async function snapshot(): Promise<Record<string, unknown>> {
    const tables = {
      part: 'id, maker_id, kind, cluster_id',
      part_name: 'id, part_id, kind, printed, normal_form, fold_key',
      name_neighbour: 'hash, name_id',
      price: 'part_id, each_minor, pack_of',
      supplier_price: 'supplier, part_id, net_minor, import_id',
      figure: 'id, part_id, attribute, value, source_name, withdrawn_at',
      chosen_figure: 'figure_id, part_id, rules',
      reference: 'id, from_part_id, to_part_id, grade, source, from_cluster_id, to_cluster_id',
      plug_spec: 'part_id, reach_mm, hex_mm, thread_diameter_mm',
    };
    const sums = await Promise.all(
      Object.entries(tables).map(async ([table, columns]) => {
        const { rows } = await sql<{ sum: string }>`
        select md5(string_agg(t::text, '|' order by t::text)) as sum from (select ${sql.raw(columns)} from ${sql.raw(table)}) t`.execute(
          counter.owner,
        );
        return [table, rows[0]!.sum] as const;
      }),
    );
    return Object.fromEntries(sums);
  }
  return { editor, log, work, at, take, rowsOf, send, go, snapshot };
}
