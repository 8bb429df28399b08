import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import type { AuditFinding, AuditList } from '@brackenfell/contract/audit';
import { PLANTED_CONTRADICTIONS } from '@brackenfell/demo/planted-contradictions';
import { silentLog } from '../context/log.ts';
import { computeAllClusters } from '../interchange/cluster-store.ts';
import { fetchTray, openTestCounter, write, type TestCounter } from '../testing/counter.ts';
import { workOneJob } from '../jobs/work-jobs.ts';
import { sharedNumbers } from './suspect-store.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const log = silentLog();
const editor = () => counter.as('editor');

async function audit(): Promise<AuditList> {
  await write(await editor(), 'post', '/api/audit/jobs', {}).expect(200);
  expect(await workOneJob(counter.db, log)).toBe(true);
  return (await (await editor()).get('/api/audit').expect(200)).body as AuditList;
}

async function findingAbout(list: AuditList, ...words: string[]): Promise<AuditFinding> {
  const line = list.findings.find(({ rule, between }) => words.every((word) => `${rule} ${between}`.includes(word)))!;
  return (await (await editor()).get(`/api/audit/findings/${line.findingId}`).expect(200)).body as AuditFinding;
}

const decide = async (finding: AuditFinding, body: object) =>
  write(await editor(), 'post', `/api/audit/findings/${finding.findingId}/decisions`, body);

const numbersIn = async (engineId: string) =>
  (await fetchTray(await editor(), engineId)).rows.filter((row) => row.evidence.trail).map((row) => row.printed);

describe('the audit of the demo world', () => {
  test('finds every planted contradiction and nothing else', async () => {
    const list = await audit();
    const found = list.findings.map(({ rule, between }) => `${rule}: ${between.split(' ~ ').sort().join(' ~ ')}`);
    const planted = PLANTED_CONTRADICTIONS.map(({ rule, between }) => `${rule}: ${[...between].sort().join(' ~ ')}`);
    expect(found.sort()).toEqual(planted.sort());
    expect(list).toMatchObject({ total: planted.length, open: planted.length, job: { state: 'done', progress: 1 } });
  });

  test('ranks by the engines and the stock it touches', async () => {
    const { findings } = await audit();
    const ranked = [...findings].sort((a, b) => b.engines - a.engines || b.stock - a.stock);
    expect(findings.map(({ engines, stock }) => [engines, stock])).toEqual(
      ranked.map(({ engines, stock }) => [engines, stock]),
    );
  });

  test('shows the shortest trail and both plugs, and what comes of it at the counter', async () => {
    const finding = await findingAbout(await audit(), 'seat-differs', 'TS 500 226', 'TS 500 187');
    expect(finding.trail.map(({ printed }) => printed).sort()).toEqual(['TS 500 187', 'TS 500 226']);
    expect(finding.says.sort()).toEqual(['gasket seat', 'taper seat']);
    expect(finding.parts.every(({ shape }) => shape?.reachMm === 19)).toBe(true);
    expect(finding.consequence).toMatch(/leaks and overheats/);
    expect(finding.engines.map(({ engineId }) => engineId)).toContain('skerrow-sc20');
  });
});

test('pieces gauged twice alike and otherwise than on paper come before the editor; gauged once, or scattered, they do not', async () => {
  const { part_id } = await counter.owner
    .selectFrom('part_name')
    .select('part_id')
    .where('printed', '=', 'KN 419G-61DR')
    .executeTakeFirstOrThrow();
  const { id: slip_id } = await counter.owner
    .insertInto('slip')
    .values({ holder_id: '1' })
    .returning('id')
    .executeTakeFirstOrThrow();
  const read = (mm: number) =>
    counter.owner
      .insertInto('piece_reading')
      .values({
        slip_id,
        part_id,
        fact: 'plug.reachMm',
        value: JSON.stringify(mm),
        how: 'gauged',
        device: null,
        staff_id: '1',
      })
      .execute();
  const found = async () => (await audit()).findings.filter(({ rule }) => rule === 'gauged-otherwise');
  await read(18.1);
  expect(await found()).toEqual([]);
  await read(18.2);
  expect((await found()).map(({ between, says }) => [between, says])).toEqual([['KN 419G-61DR', expect.any(String)]]);
  await read(17.4);
  expect(await found()).toEqual([]);
});

test('an audit asked for by six at once is one audit', async () => {
  const who = await editor();
  const asked = await Promise.all(Array.from({ length: 6 }, () => write(who, 'post', '/api/audit/jobs', {})));
  expect(new Set(asked.map(({ body }) => (body as { jobId: string }).jobId)).size).toBe(1);
  await write(who, 'post', `/api/audit/jobs/${(asked[0]!.body as { jobId: string }).jobId}/cancel`, {});
});

describe('numbers of two makers', () => {
  test('are all named, however many there are; those of one maker and stampings are not', async () => {
    const before = await sharedNumbers(counter.owner);
    const tried = counter.owner.transaction().execute(async (trx) => {
      const parts = await trx
        .selectFrom('part')
        .distinctOn('maker_id')
        .select(['id', 'maker_id'])
        .where('kind', '=', 'plug')
        .limit(2)
        .execute();
      const sameMaker = await trx
        .selectFrom('part')
        .select(['id', 'maker_id'])
        .where('maker_id', '=', parts[0]!.maker_id)
        .where('id', '<>', parts[0]!.id)
        .executeTakeFirstOrThrow();
      const call = (who: { id: string; maker_id: string }, kind: string, by: string, many: number) =>
        sql`
        insert into part_name (part_id, maker_id, kind, printed, normal_form, fold_key)
        select ${who.id}, ${who.maker_id}, ${kind}, ${by}::text || i, ${by}::text || i, ${by}::text || i
          from generate_series(1, ${many}::int) i`.execute(trx);
      for (const who of parts) await call(who, 'stock', 'BOTH', 2500);
      for (const who of [parts[0]!, sameMaker]) await call(who, 'stock', 'OWN', 20);
      for (const who of parts) await call(who, 'stamping', 'SHORT', 20);
      const after = await sharedNumbers(trx);
      const news = after.filter(({ says }) => /^(BOTH|OWN|SHORT)/.test(says[0]!));
      expect(after).toHaveLength(before.length + 2500);
      expect(news).toHaveLength(2500);
      const both = parts.map(({ id }) => id).sort();
      expect(news.every(({ partId, otherId }) => [partId, otherId].sort().join() === both.join())).toBe(true);
      throw new Error('taken back');
    });
    await expect(tried).rejects.toThrow('taken back');
  });
});

describe('a decision about a contradiction', () => {
  test('cut takes the false equal out of the tray at once, is recorded, and is undone', async () => {
    const finding = await findingAbout(await audit(), 'reach-differs', 'TS 500 226', 'KN 426G-63DR');
    expect(await numbersIn('skerrow-sc20')).toContain('KN 426G-63DR');
    const answer = await decide(finding, { action: 'cut', edgeId: finding.edges[0]!.edgeId });
    const body = answer.body as AuditFinding;
    expect(body.edges[0]!.isCut).toBe(true);
    expect(await numbersIn('skerrow-sc20')).not.toContain('KN 426G-63DR');
    const entries = await counter.db
      .selectFrom('change_entry')
      .selectAll()
      .where('subject', '=', 'reference')
      .execute();
    expect(entries.at(-1)).toMatchObject({ action: 'cut', subject_id: finding.edges[0]!.edgeId });
    await write(await editor(), 'post', `/api/audit/decisions/${body.decisions[0]!.decisionId}/undo`, {}).expect(200);
    expect(await numbersIn('skerrow-sc20')).toContain('KN 426G-63DR');
  });

  test('choosing a figure withdraws its rival, and undo lets both stand again', async () => {
    const finding = await findingAbout(await audit(), 'figures-disagree', 'TS 500 238');
    expect(finding.figures.map(({ value }) => value)).toEqual(['5.0 kΩ', '12.0 kΩ']);
    expect((await decide(finding, { action: 'choose', figureId: finding.figures[0]!.figureId })).status).toBe(200);
    expect((await audit()).findings.map(({ between }) => between)).not.toContain('TS 500 238');
    const decision = await counter.db
      .selectFrom('audit_decision')
      .select('id')
      .where('action', '=', 'choose')
      .executeTakeFirstOrThrow();
    await write(await editor(), 'post', `/api/audit/decisions/${decision.id}/undo`, {}).expect(200);
    expect((await audit()).findings.map(({ between }) => between)).toContain('TS 500 238');
  });

  test('accepting one leaves it listed as settled, also after the next audit', async () => {
    const finding = await findingAbout(await audit(), 'filled-by-two', 'P-66-2210/3');
    expect((await decide(finding, { action: 'accept', note: 'both are stocked' })).status).toBe(200);
    const list = await audit();
    expect(list.open).toBe(list.total - 1);
    expect(list.findings.find(({ rule }) => rule === 'filled-by-two')!.decision).toMatchObject({ action: 'accept' });
  });

  test('is not for those who serve: only the editor and the supervisor may', async () => {
    await write(await counter.as('specialist'), 'post', '/api/audit/jobs', {}).expect(403);
  });

  test('a reference that is none of its own cannot be cut through it', async () => {
    const finding = await findingAbout(await audit(), 'filled-by-two');
    expect((await decide(finding, { action: 'cut', edgeId: '1' })).status).toBe(400);
  });
});

describe('an audit as a job', () => {
  test('asked for twice is one job, and ends when it is cancelled', async () => {
    const first = await write(await editor(), 'post', '/api/audit/jobs', {}).expect(200);
    const second = await write(await editor(), 'post', '/api/audit/jobs', {}).expect(200);
    expect(second.body.jobId).toBe(first.body.jobId);
    await write(await editor(), 'post', `/api/audit/jobs/${first.body.jobId}/cancel`, {}).expect(200);
    expect(await workOneJob(counter.db, log)).toBe(false);
  });
});

describe('two people cutting references of one cluster at once', () => {
  test('both cuts count, and clusters end equal to a full rebuild', async () => {
    const edges = await counter.db
      .selectFrom('reference')
      .innerJoin('part_name', 'part_name.part_id', 'reference.from_part_id')
      .select('reference.id')
      .where('part_name.printed', '=', 'TS 500 226')
      .where('reference.grade', '=', 'equivalent')
      .execute();
    const list = await audit();
    const seat = await findingAbout(list, 'seat-differs', 'TS 500 226', 'TS 500 187');
    const reach = await findingAbout(list, 'reach-differs', 'TS 500 226', 'KN 426G-63DR');
    expect(edges.length).toBeGreaterThan(2);
    const answers = await Promise.all([
      decide(seat, { action: 'cut', edgeId: seat.edges[0]!.edgeId }),
      decide(reach, { action: 'cut', edgeId: reach.edges[0]!.edgeId }),
    ]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200]);
    const rebuilt = await computeAllClusters(counter.db);
    const held = await counter.db.selectFrom('part').select(['id', 'cluster_id']).execute();
    expect(held.filter(({ id, cluster_id }) => cluster_id !== String(rebuilt.of(Number(id))))).toEqual([]);
    const named = await counter.db.selectFrom('reference').selectAll().execute();
    const clusterOf = new Map(held.map(({ id, cluster_id }) => [id, cluster_id]));
    expect(
      named.filter(
        (edge) =>
          edge.from_cluster_id !== clusterOf.get(edge.from_part_id) ||
          edge.to_cluster_id !== clusterOf.get(edge.to_part_id),
      ),
    ).toEqual([]);
    expect(await numbersIn('skerrow-sc20')).not.toContain('TS 500 187');
  });
});
