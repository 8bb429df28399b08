import { sql, type Kysely } from 'kysely';

/** Engines, heat scales and numberings are mended as a whole: what stood before is in the history. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `grant insert, update, delete on engine, vehicle, engine_position, maker_grammar to brackenfell_app`,
  `grant insert, delete on named_number, heat_rating, listing to brackenfell_app`,
  `grant delete on part_name, name_neighbour to brackenfell_app`,
  // Of a part a figure is withdrawn and never deleted; only a place that is gone takes its figures along.
  `grant delete on figure to brackenfell_app`,
  `create function keep_figures_of_parts() returns trigger language plpgsql set search_path = public as $$
   begin
     raise exception 'A figure of a part is withdrawn, not deleted.' using errcode = 'BF003';
   end $$`,
  `create trigger figure_of_part_stays before delete on figure
     for each row when (current_user = 'brackenfell_app' and old.part_id is not null) execute function keep_figures_of_parts()`,
  `grant usage on all sequences in schema public to brackenfell_app`,
];
