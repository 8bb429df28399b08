import { sql } from 'kysely';
import type { Database, Writing } from '../db/database.ts';
import type { Contradiction } from './run-audit.ts';

const JOB_COLUMNS = ['id', 'state', 'progress', 'doing', 'asked_at', 'ended_at', 'outcome'] as const;

export const latestJob = (db: Database) =>
  db.selectFrom('job').select(JOB_COLUMNS).where('kind', '=', 'audit').orderBy('id', 'desc').executeTakeFirst();
export type JobRow = NonNullable<Awaited<ReturnType<typeof latestJob>>>;

export const readJob = (db: Database, jobId: string) =>
  db.selectFrom('job').select(JOB_COLUMNS).where('id', '=', jobId).executeTakeFirst();

/** Asks for an audit, or gives the one that is already on its way. */
export const askForAudit = (trx: Writing, staffId: string): Promise<JobRow> =>
  ask(trx, staffId, ['waiting', 'running']);

/** Asks for an audit of what the transaction writes: one that is running by now has not seen it. */
export const askForAuditAfter = (trx: Writing, staffId: string): Promise<JobRow> => ask(trx, staffId, ['waiting']);

async function ask(trx: Writing, staffId: string, enough: readonly JobRow['state'][]): Promise<JobRow> {
  // Of several askers at once the later ones wait here, and find the first one's.
  await sql`select pg_advisory_xact_lock(hashtext('audit'))`.execute(trx);
  const open = await trx
    .selectFrom('job')
    .select(JOB_COLUMNS)
    .where('kind', '=', 'audit')
    .where('state', 'in', enough)
    .orderBy('id')
    .executeTakeFirst();
  if (open) return open;
  return trx
    .insertInto('job')
    .values({
      kind: 'audit',
      import_id: null,
      asked_by: staffId,
      started_at: null,
      ended_at: null,
      beat_at: null,
      outcome: null,
    })
    .returning(JOB_COLUMNS)
    .executeTakeFirstOrThrow();
}

export async function askToCancel(trx: Writing, jobId: string): Promise<void> {
  await trx.updateTable('job').set({ cancel_asked: true }).where('id', '=', jobId).execute();
  await trx
    .updateTable('job')
    .set({ state: 'cancelled', ended_at: new Date(), outcome: 'Cancelled before it began.' })
    .where('id', '=', jobId)
    .where('state', '=', 'waiting')
    .execute();
}

/** Forgets what earlier runs, or an earlier try of this one, found; decisions stand by themselves. */
export async function clearFindings(db: Database): Promise<void> {
  await db.deleteFrom('audit_finding').execute();
}

export async function countFound(db: Database, jobId: string): Promise<number> {
  const { count } = await db
    .selectFrom('audit_finding')
    .select((eb) => eb.fn.countAll<string>().as('count'))
    .where('job_id', '=', jobId)
    .executeTakeFirstOrThrow();
  return Number(count);
}

export async function keepFindings(
  db: Database,
  jobId: string,
  found: readonly (Contradiction & { engines: number; stock: number })[],
): Promise<void> {
  if (found.length === 0) return;
  await db
    .insertInto('audit_finding')
    .values(
      found.map((f) => ({
        job_id: jobId,
        rule: f.rule,
        subject: f.subject,
        part_id: f.parts[0],
        other_part_id: f.parts[1] ?? null,
        edge_ids: [...f.edgeIds],
        trail: JSON.stringify(f.trail),
        figures: JSON.stringify({ says: f.says, parts: f.parts }),
        engines: f.engines,
        stock: f.stock,
      })),
    )
    // The same thing found by two ways is one finding.
    .onConflict((conflict) => conflict.columns(['job_id', 'subject']).doNothing())
    .execute();
}

const MOST_LISTED = 300;

/** The findings of the latest run, worst first, with the decision that stands on each. */
export async function listFindings(db: Database) {
  const { rows } = await sql<{
    id: string;
    rule: string;
    engines: number;
    stock: number;
    names: string[];
    says: string[];
    decision: DecisionRow | null;
  }>`
    select f.id, f.rule, f.engines, f.stock, f.figures -> 'says' as says,
           (select array_agg((select min(n.printed) from part_name n where n.part_id = x.id::bigint
                               and n.kind in ('catalogue', 'oe')) order by x.place)
              from jsonb_array_elements_text(f.figures -> 'parts') with ordinality x (id, place)) as names,
           (select to_jsonb(d) || jsonb_build_object('id', d.id::text, 'by', s.name) from audit_decision d join staff s on s.id = d.staff_id
             where d.subject = f.subject and d.undone_at is null order by d.id desc limit 1) as decision
      from audit_finding f order by f.engines desc, f.stock desc, f.id limit ${MOST_LISTED}`.execute(db);
  return rows;
}

export async function countFindings(db: Database): Promise<{ total: number; open: number }> {
  const { rows } = await sql<{ total: number; open: number }>`
    select count(*)::int as total,
           (count(*) filter (where not exists (select from audit_decision d where d.subject = f.subject
              and d.undone_at is null and d.action <> 'note')))::int as open
      from audit_finding f`.execute(db);
  return rows[0]!;
}

export interface DecisionRow {
  readonly id: string;
  readonly action: 'accept' | 'note' | 'cut' | 'choose';
  readonly note: string;
  readonly by: string;
  readonly at: string;
}

export async function readFinding(db: Database, findingId: string) {
  return db.selectFrom('audit_finding').selectAll().where('id', '=', findingId).executeTakeFirst();
}
export type FindingRow = NonNullable<Awaited<ReturnType<typeof readFinding>>>;

export async function readDecisions(db: Database, subject: string) {
  return db
    .selectFrom('audit_decision')
    .innerJoin('staff', 'staff.id', 'audit_decision.staff_id')
    .select([
      'audit_decision.id',
      'audit_decision.action',
      'audit_decision.note',
      'audit_decision.at',
      'staff.name as by',
    ])
    .where('audit_decision.subject', '=', subject)
    .where('audit_decision.undone_at', 'is', null)
    .orderBy('audit_decision.id', 'desc')
    .execute();
}

/** References by id with the numbers at both ends. */
export async function readEvidence(db: Database, edgeIds: readonly string[]) {
  if (edgeIds.length === 0) return [];
  const number = (column: string) => sql`(select min(n.printed) from part_name n
    where n.part_id = ${sql.ref(column)} and n.kind in ('catalogue', 'oe'))`;
  const { rows } = await sql<{
    edgeId: string;
    from: string;
    to: string;
    grade: 'same' | 'supersedes' | 'equivalent' | 'alternative' | 'observed';
    source: string;
    notedOn: string;
    isCut: boolean;
  }>`
    select r.id as "edgeId", ${number('r.from_part_id')} as "from", ${number('r.to_part_id')} as "to", r.grade, r.source,
           r.noted_on::text as "notedOn", r.rejected_at is not null as "isCut"
      from reference r where r.id = any(${edgeIds}::bigint[]) order by r.id`.execute(db);
  return rows;
}

/** Engines that name a number of the parts' clusters or are listed for one of the parts. */
export async function readTouchedEngines(db: Database, partIds: readonly string[]) {
  const { rows } = await sql<{ engineId: string; title: string }>`
    select e.id as "engineId", m.name || ' ' || e.code as title
      from engine e join maker m on m.id = e.maker_id
     where e.id in (select n.engine_id from part a join part p on p.cluster_id = a.cluster_id
                      join named_number n on n.part_id = p.id where a.id = any(${partIds}::bigint[])
                    union select l.engine_id from listing l where l.part_id = any(${partIds}::bigint[]))
     order by e.visits desc, e.id limit 40`.execute(db);
  return rows;
}

/** The figures of one attribute of a part that stand now. */
export async function readRivalFigures(db: Database, partId: string, attribute: string) {
  return db
    .selectFrom('figure')
    .innerJoin('attribute', 'attribute.id', 'figure.attribute')
    .selectAll('figure')
    .select('attribute.label')
    .where('figure.part_id', '=', partId)
    .where('figure.withdrawn_at', 'is', null)
    .where('figure.attribute', '=', attribute)
    .orderBy('figure.id')
    .execute();
}

export async function keepDecision(
  trx: Writing,
  decision: {
    subject: string;
    action: 'accept' | 'note' | 'cut' | 'choose';
    note: string;
    staffId: string;
    edgeId?: string | undefined;
    figureIds?: readonly string[];
  },
): Promise<string> {
  const { id } = await trx
    .insertInto('audit_decision')
    .values({
      subject: decision.subject,
      action: decision.action,
      note: decision.note,
      staff_id: decision.staffId,
      edge_id: decision.edgeId ?? null,
      figure_ids: [...(decision.figureIds ?? [])],
      undone_at: null,
      undone_by: null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}

/** Marks a decision as taken back and gives what it did; undefined when it was not standing. */
export async function markUndone(trx: Writing, decisionId: string, staffId: string) {
  return trx
    .updateTable('audit_decision')
    .set({ undone_at: new Date(), undone_by: staffId })
    .where('id', '=', decisionId)
    .where('undone_at', 'is', null)
    .returning(['action', 'edge_id', 'figure_ids', 'subject'])
    .executeTakeFirst();
}
