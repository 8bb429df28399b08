import { sql, type Kysely } from 'kysely';

/** Engines, heat scales and numberings are mended as a whole: what stood before is in the history. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `grant insert, update, delete on engine, vehicle, maker_grammar to brackenfell_app`,
  `grant insert, update on engine_position to brackenfell_app`,
  `grant insert, delete on named_number, heat_rating, listing to brackenfell_app`,
  `grant delete on part_name, name_neighbour to brackenfell_app`,
  // A figure is withdrawn and never deleted by the application; only a place that is gone takes its own along.
  `create function remove_places(which bigint[]) returns void language plpgsql security definer
     set search_path = public, pg_temp as $$
   begin
     delete from chosen_figure where position_id = any(which);
     delete from figure where position_id = any(which);
     delete from engine_position where id = any(which);
   end $$`,
  `revoke all on function remove_places(bigint[]) from public`,
  `grant execute on function remove_places(bigint[]) to brackenfell_app`,
  `grant usage on all sequences in schema public to brackenfell_app`,
];
