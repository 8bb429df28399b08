import { sql, type Kysely } from 'kysely';

/**
 * A whole catalogue is taken in as a list is, by the application itself: it may write what only the owner wrote before. And once
 * tables have come from nothing to thousands of rows, the database looks at them before anybody asks: only their owner may have it
 * do so. And a list of any length is taken back in a time of its own length.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `alter table list_import add column whole jsonb`,
  // Beside which catalogue its rows were laid: while it is the same, a number that was new still is.
  `alter table list_import add column sorted_version bigint`,
  `grant insert on sundry, kit_part, class_list to brackenfell_app`,
  // A list is taken back by taking its parts away, and each is looked for wherever it may be spoken of: by an index, not by reading all sales.
  `create index slip_in_hand_part on slip (in_hand_part_id) where in_hand_part_id is not null`,
  `create index slip_line_part on slip_line (part_id)`,
  `create index stock_movement_part on stock_movement (part_id)`,
  `create index fitted_record_part on fitted_record (part_id)`,
  `create index inspection_part on inspection (part_id)`,
  `create index piece_reading_part on piece_reading (part_id)`,
  `create index audit_finding_part on audit_finding (part_id)`,
  `create index audit_finding_other_part on audit_finding (other_part_id)`,
  `create index audit_decision_edge on audit_decision (edge_id)`,
  `create function settle_catalogue() returns void language plpgsql security definer set search_path = public as $$
   begin
     analyze maker, part, part_name, name_neighbour, figure, chosen_figure, plug_spec, coil_spec, lead_set, distributor_spec, price,
       sundry, engine, engine_position, vehicle, named_number, reference, listing;
   end $$`,
  `revoke execute on function settle_catalogue() from public`,
  `grant execute on function settle_catalogue() to brackenfell_app`,
  `grant usage on all sequences in schema public to brackenfell_app`,
];
