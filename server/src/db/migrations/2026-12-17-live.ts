import { sql, type Kysely } from 'kysely';

/**
 * Every write says, as it is committed, what it changed, on the channel `brackenfell`: a slip by its number and version, a few
 * parts of the shelf by their numbers, all else by the topic that pages know it under. Alike words of one transaction are
 * said once.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of FUNCTIONS) await sql.raw(statement).execute(db);
  await sql`create trigger tell after insert or update on slip for each row execute function tell_slip()`.execute(db);
  for (const table of OF_PARTS)
    for (const event of ['insert', 'update', 'delete'] as const)
      await sql`create trigger ${sql.ref(`tell_${event}`)} after ${sql.raw(event)} on ${sql.table(table)}
        referencing ${sql.raw(event === 'delete' ? 'old' : 'new')} table as changed
        for each statement execute function tell_parts()`.execute(db);
  for (const [topic, tables] of Object.entries(TABLES))
    for (const table of tables)
      await sql`create trigger tell after insert or update or delete on ${sql.table(table)}
        for each statement execute function tell_topic(${sql.lit(topic)})`.execute(db);
  // That somebody was seen is told to nobody.
  await sql`create trigger tell after insert or delete on session for each statement execute function tell_topic('people')`.execute(
    db,
  );
}

const FUNCTIONS = [
  `create function tell_topic() returns trigger language plpgsql as
    $$ begin perform pg_notify('brackenfell', tg_argv[0]); return null; end $$`,
  `create function tell_slip() returns trigger language plpgsql as
    $$ begin perform pg_notify('brackenfell', 'slip ' || new.id || ' ' || new.version); return null; end $$`,
  // A list of a million prices is one word.
  `create function tell_parts() returns trigger language plpgsql as $$
    declare parts bigint[] := array(select distinct part_id from (select part_id from changed limit 200) as few);
    begin
      if (select count(*) from (select 1 from changed limit 200) as few) = 200 then
        perform pg_notify('brackenfell', 'shelf');
      else
        perform pg_notify('brackenfell', 'part ' || part) from unnest(parts) as part;
      end if;
      return null;
    end $$`,
];

const OF_PARTS = ['stock', 'price', 'batch'];

/** Topics as contract/src/live-line.ts has them, and the tables a write on which is news of them. */
const TABLES = {
  shelf: ['batch_event', 'delivery', 'recall_notice', 'recall_contact', 'seller'],
  rules: ['house_rule_choice'],
  catalogue: ['catalogue_version'],
  proof: ['inspection', 'inspection_entry', 'inspection_conclusion', 'proof_reference'],
  garage: ['garage_customer', 'garage_vehicle', 'served_reading', 'fitted_record', 'declined_advice'],
  loans: ['tool_loan'],
  papers: ['printed_paper', 'work_tick'],
  heard: ['heard_claim'],
  work: ['job', 'list_import', 'audit_decision'],
  people: ['staff'],
  tries: ['failed_try'],
  shop: ['shop', 'backup_made', 'blades_owned'],
} as const;
