import { sql, type Kysely } from 'kysely';

/**
 * A whole catalogue is taken in as a list is, by the application itself: it may write what only the owner wrote before. And once
 * tables have come from nothing to thousands of rows, the database looks at them before anybody asks: only their owner may have it
 * do so.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `alter table list_import add column whole jsonb`,
  `grant insert on sundry, kit_part, class_list to brackenfell_app`,
  `create function settle_catalogue() returns void language plpgsql security definer set search_path = public as $$
   begin
     analyze maker, part, part_name, name_neighbour, figure, chosen_figure, plug_spec, coil_spec, lead_set, distributor_spec, price,
       sundry, engine, engine_position, vehicle, named_number, reference, listing;
   end $$`,
  `revoke execute on function settle_catalogue() from public`,
  `grant execute on function settle_catalogue() to brackenfell_app`,
  `grant usage on all sequences in schema public to brackenfell_app`,
];
