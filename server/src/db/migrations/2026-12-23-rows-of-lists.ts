import { sql, type Kysely } from 'kysely';

/**
 * What each row of a list cost: whether what rules is one of a part's own figures is asked once for all rows of a statement,
 * and what a list made is noted under what it made alone, by which it is found, not under a number of its own as well.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `drop trigger only_own_figures_rule on chosen_figure`,
  `create or replace function refuse_foreign_figure() returns trigger language plpgsql security definer
     set search_path = public, pg_temp as $$
   declare not_own bigint;
   begin
     -- Each by the index, however many figures there are.
     select r.figure_id into not_own from ruling r
      where (select true from figure f where f.id = r.figure_id and f.withdrawn_at is null
                and f.part_id is not distinct from r.part_id and f.position_id is not distinct from r.position_id offset 0) is null
      limit 1;
     if found then
       raise exception using errcode = 'BF003', message = 'Figure ' || not_own || ' is not one that can rule here.';
     end if;
     return null;
   end $$`,
  ...['insert', 'update'].map(
    (
      event,
    ) => `create trigger only_own_figures_rule_${event} after ${event} on chosen_figure referencing new table as ruling
       for each statement when (current_user = 'brackenfell_app') execute function refuse_foreign_figure()`,
  ),
  `alter table list_made drop column id`,
];
