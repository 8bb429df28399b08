import { sql, type Kysely } from 'kysely';

/** What was printed is kept byte for byte, and printed again as it was; steps of the work are ticked, and ticks taken back. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `create table printed_paper (
     id bigint generated always as identity primary key, slip_id bigint not null references slip,
     kind text not null check (kind in ('fitting-card')), size text not null check (size in ('A5', 'A4')),
     pdf bytea not null, staff_id bigint not null references staff, at timestamptz not null default now())`,
  `create index printed_paper_slip on printed_paper (slip_id, id)`,
  `grant select, insert on printed_paper to brackenfell_app`,
  `create table work_tick (
     id bigint generated always as identity primary key, slip_line_id bigint not null references slip_line,
     step_id text not null, staff_id bigint not null references staff, at timestamptz not null default now(),
     withdrawn_at timestamptz)`,
  // A step is done once, however many hands tick it at the same moment.
  `create unique index work_tick_standing on work_tick (slip_line_id, step_id) where withdrawn_at is null`,
  `grant select, insert on work_tick to brackenfell_app`,
  `grant update (withdrawn_at) on work_tick to brackenfell_app`,
];
