import { sql, type Kysely } from 'kysely';

/** More kinds of paper, labels among them; tools that are lent with a deposit and a day. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `alter table printed_paper drop constraint printed_paper_kind_check`,
  `alter table printed_paper add constraint printed_paper_kind_check
     check (kind in ('fitting-card', 'quote', 'slip', 'lead-labels', 'part-labels', 'loan-note'))`,
  `alter table printed_paper drop constraint printed_paper_size_check`,
  `alter table printed_paper add constraint printed_paper_size_check check (size in ('A5', 'A4', 'label'))`,
  `create table tool_loan (
     id bigint generated always as identity primary key, slip_id bigint not null references slip, tool text not null,
     deposit_minor int not null check (deposit_minor >= 0), due_on date not null,
     staff_id bigint not null references staff, lent_at timestamptz not null default now(),
     settled_at timestamptz, settled_by_id bigint references staff, settled_as text check (settled_as in ('back', 'sold')),
     check ((settled_at is null) = (settled_as is null) and (settled_at is null) = (settled_by_id is null)))`,
  `create index tool_loan_slip on tool_loan (slip_id)`,
  `create index tool_loan_out on tool_loan (due_on) where settled_at is null`,
  `grant select, insert on tool_loan to brackenfell_app`,
  `grant update (settled_at, settled_by_id, settled_as) on tool_loan to brackenfell_app`,
];
