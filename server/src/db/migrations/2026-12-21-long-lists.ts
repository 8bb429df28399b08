import { sql, type Kysely } from 'kysely';

/** A list is written, and taken back, in a time of its own length, whatever else there is. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  // Beside which catalogue its rows were laid: while it is the same, a number that was new still is.
  `alter table list_import add column sorted_version bigint`,
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
];
