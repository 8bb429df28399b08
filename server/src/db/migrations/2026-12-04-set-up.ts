import { sql, type Kysely } from 'kysely';

/**
 * Setting up: figures told with a judgement, the gaps gauged piece by piece, and the feeler blades the shop owns. A reading is
 * taken back, never changed; of the blades the latest list stands.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `alter table judgement add column set_up jsonb`,
  `create table gap_reading (
     id bigint generated always as identity primary key, slip_line_id bigint not null references slip_line,
     piece integer not null check (piece between 1 and 999), stage text not null check (stage in ('before', 'after')),
     gap_mm double precision not null check (gap_mm >= 0 and gap_mm <= 5),
     how text not null check (how in ('gauged', 'typed')), device text,
     staff_id bigint not null references staff, at timestamptz not null default now(), withdrawn_at timestamptz)`,
  `create index gap_reading_line on gap_reading (slip_line_id, id)`,
  `grant select, insert on gap_reading to brackenfell_app`,
  `grant update (withdrawn_at) on gap_reading to brackenfell_app`,
  `create table blades_owned (
     id bigint generated always as identity primary key, blades jsonb not null,
     staff_id bigint not null references staff, at timestamptz not null default now())`,
  `grant select, insert on blades_owned to brackenfell_app`,
  // What a vehicle ran well on is kept on its slip too.
  `alter table slip_kept drop constraint slip_kept_kind_check`,
  `alter table slip_kept add constraint slip_kept_kind_check check (kind in ('swap-test', 'fitted-set', 'spark-evidence'))`,
];
