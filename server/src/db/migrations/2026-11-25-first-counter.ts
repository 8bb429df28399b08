import { sql, type Kysely } from 'kysely';

/**
 * The counter's first schema: catalogue, stock, staff, slips, judgements, change history. The application's own role may
 * add to evidence and history but never rewrite them; it owns nothing.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `create table maker (id text primary key, name text not null)`,
  `create table heat_rating (
     maker_id text not null references maker, ordinal int not null, code text not null, index_bar double precision not null,
     primary key (maker_id, ordinal), unique (maker_id, code))`,
  `create table attribute (id text primary key, label text not null, question text not null)`,

  `create table part (
     id bigint generated always as identity primary key, maker_id text not null references maker,
     kind text not null check (kind in ('plug', 'oe-number')), created_at timestamptz not null default now())`,
  `create table part_name (
     id bigint generated always as identity primary key, part_id bigint not null references part,
     kind text not null check (kind in ('catalogue', 'stamping', 'stock', 'barcode', 'oe', 'box')),
     printed text not null, normal_form text not null, fold_key text not null, unique (part_id, kind, printed))`,
  `create index part_name_normal on part_name (normal_form text_pattern_ops) include (part_id)`,
  `create index part_name_fold on part_name (fold_key text_pattern_ops) include (part_id)`,

  `create table engine (
     id text primary key, maker_id text not null references maker, code text not null, summary text not null,
     layout text not null, visits int not null, cautions jsonb not null, words text not null)`,
  `create table vehicle (
     id bigint generated always as identity primary key, engine_id text not null references engine, make text not null,
     model text not null, built_from int not null, built_to int, words text not null)`,
  `create table engine_position (
     id bigint generated always as identity primary key, engine_id text not null references engine, cylinder int not null,
     place text not null, label text not null, thread_diameter_mm double precision, thread_pitch_mm double precision,
     reach_low_mm double precision, reach_high_mm double precision, seat text, gap_low_mm double precision,
     gap_high_mm double precision, unique (engine_id, cylinder, place))`,
  `create table named_number (
     engine_id text not null references engine, part_id bigint not null references part, place text, note text,
     primary key (engine_id, part_id))`,

  `create table figure (
     id bigint generated always as identity primary key, part_id bigint references part,
     position_id bigint references engine_position, attribute text not null references attribute,
     low double precision, high double precision, code text, unit text, source_rank text not null, source_name text not null,
     readings int not null default 1, at timestamptz not null default now(), withdrawn_at timestamptz,
     check (num_nonnulls(part_id, position_id) = 1), check (num_nonnulls(low, code) >= 1))`,
  `create index figure_part on figure (part_id) where part_id is not null`,
  `create index figure_position on figure (position_id) where position_id is not null`,
  `create table chosen_figure (
     figure_id bigint primary key references figure, part_id bigint references part,
     position_id bigint references engine_position, rules boolean not null)`,
  `create index chosen_figure_part on chosen_figure (part_id) where part_id is not null`,
  `create index chosen_figure_position on chosen_figure (position_id) where position_id is not null`,
  `create table plug_spec (
     part_id bigint primary key references part, thread_diameter_mm double precision, thread_pitch_mm double precision,
     reach_mm double precision, seat text, hex_mm double precision, heat_index_bar double precision)`,
  `create index plug_spec_size on plug_spec (thread_diameter_mm, thread_pitch_mm, seat, reach_mm)`,

  `create table reference (
     id bigint generated always as identity primary key, from_part_id bigint not null references part,
     to_part_id bigint not null references part, grade text not null
       check (grade in ('same', 'supersedes', 'equivalent', 'alternative', 'observed')),
     source text not null, noted_on date not null, note text, rejected_at timestamptz, rejected_by bigint,
     unique (from_part_id, to_part_id, grade, source))`,
  `create index reference_to on reference (to_part_id)`,
  `create table listing (
     id bigint generated always as identity primary key, part_id bigint not null references part,
     engine_id text not null references engine, place text, source text not null, stated_on date not null, built_from text,
     built_to text, unique (part_id, engine_id, source))`,
  `create index listing_engine on listing (engine_id)`,

  `create table stock (part_id bigint primary key references part, on_hand int not null, bin text)`,
  `create table price (part_id bigint primary key references part, each_minor int not null check (each_minor > 0))`,
  `create table catalogue_version (only_row boolean primary key default true check (only_row), version bigint not null)`,
  `insert into catalogue_version (version) values (1)`,

  `create table staff (
     id bigint generated always as identity primary key, name text not null unique, initials text not null,
     role text not null check (role in ('specialist', 'starter', 'supervisor', 'editor')), password_hash text not null,
     pin_hash text not null, active boolean not null default true)`,
  `create table session (
     token_hash bytea primary key, staff_id bigint not null references staff, created_at timestamptz not null default now(),
     expires_at timestamptz not null)`,
  `create index session_expires on session (expires_at)`,

  `create sequence docket_number start 4201`,
  `create table slip (
     id bigint generated always as identity primary key, docket int not null unique default nextval('docket_number'),
     state text not null default 'open' check (state in ('open', 'parked', 'closed')), version int not null default 1,
     customer text not null default '', vehicle text not null default '', came_for text not null default '',
     engine_id text references engine, in_hand_part_id bigint references part, holder_id bigint references staff,
     created_at timestamptz not null default now(), updated_at timestamptz not null default now())`,
  `create index slip_state on slip (state, updated_at desc)`,
  `create table slip_line (
     id bigint generated always as identity primary key, slip_id bigint not null references slip,
     part_id bigint not null references part, kind text not null check (kind in ('sale', 'customers-own')),
     quantity int not null check (quantity between 1 and 999), unit_price_minor int, positions text[] not null,
     added_at timestamptz not null default now(), removed_at timestamptz)`,
  `create index slip_line_slip on slip_line (slip_id)`,
  `create table slip_note (
     id bigint generated always as identity primary key, slip_id bigint not null references slip,
     staff_id bigint not null references staff, text text not null, at timestamptz not null default now())`,
  `create index slip_note_slip on slip_note (slip_id)`,
  `create table judgement (
     id bigint generated always as identity primary key, slip_line_id bigint not null references slip_line,
     staff_id bigint not null references staff, catalogue_version bigint not null, rules_version int not null,
     verdict text not null, reason text not null, findings jsonb not null, at timestamptz not null default now())`,
  `create index judgement_line on judgement (slip_line_id, id desc)`,
  `create table change_entry (
     id bigint generated always as identity primary key, at timestamptz not null default now(),
     staff_id bigint references staff, subject text not null, subject_id text not null, action text not null,
     before jsonb, after jsonb)`,
  `create index change_entry_subject on change_entry (subject, subject_id)`,
  `create table request_receipt (
     key uuid primary key, staff_id bigint not null references staff, call_hash text not null, status int,
     response jsonb, at timestamptz not null default now())`,

  // Least privilege: read everything, change what a counter changes, add to evidence and history, rewrite nothing told.
  `grant usage on schema public to brackenfell_app`,
  `grant select on all tables in schema public to brackenfell_app`,
  `grant usage on all sequences in schema public to brackenfell_app`,
  `grant insert, update on slip, slip_line to brackenfell_app`,
  `grant insert on slip_note, judgement, change_entry to brackenfell_app`,
  `grant insert, update, delete on request_receipt, session to brackenfell_app`,
];
