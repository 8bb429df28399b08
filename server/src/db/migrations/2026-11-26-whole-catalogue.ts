import { sql, type Kysely } from 'kysely';

/**
 * The catalogue at full size: names found with one character wrong, look-alike clusters, numbering schemes, what tells
 * engines apart, and the audit with its jobs, findings and decisions. What is derived from the rows of the release before
 * is computed after the migrations, by `completeDerived`.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `create extension if not exists pg_trgm`,

  // A number that some list speaks of and no catalogue holds is kept as such, so that the reference to it can be shown.
  `alter table part drop constraint part_kind_check`,
  `alter table part add constraint part_kind_check check (kind in ('plug', 'oe-number', 'unheld'))`,
  `alter table part add column cluster_id bigint`,
  `create index part_cluster on part (cluster_id)`,
  `alter table part_name add column maker_id text references maker`,
  `update part_name n set maker_id = p.maker_id from part p where p.id = n.part_id`,
  `alter table part_name alter column maker_id set not null`,
  `create index part_name_part on part_name (part_id)`,
  `create index part_name_trigram on part_name using gin (normal_form gin_trgm_ops)`,
  `create table name_neighbour (hash bigint not null, name_id bigint not null)`,
  `create index name_neighbour_hash on name_neighbour (hash) include (name_id)`,
  `create table maker_grammar (maker_id text primary key references maker, grammar jsonb not null)`,

  `alter table reference add column from_cluster_id bigint, add column to_cluster_id bigint, add column condition text`,
  `create index reference_trusted on reference (from_cluster_id)
     where rejected_at is null and grade in ('same', 'supersedes', 'equivalent')`,
  `create index reference_weak_from on reference (from_cluster_id)
     where rejected_at is null and grade in ('alternative', 'observed')`,
  `create index reference_weak_to on reference (to_cluster_id)
     where rejected_at is null and grade in ('alternative', 'observed')`,
  `create index reference_supersedes on reference (from_cluster_id) where rejected_at is null and grade = 'supersedes'`,
  `create index reference_supersedes_to on reference (to_part_id) where rejected_at is null and grade = 'supersedes'`,
  `create index slip_words on slip using gin (lower(customer || ' ' || vehicle) gin_trgm_ops)`,
  `create index reference_from on reference (from_part_id)`,
  `create index listing_part on listing (part_id)`,
  `create index named_number_part on named_number (part_id)`,

  // The version from which a plug's facts hold tells who keeps them in memory which to read again.
  `alter table plug_spec add column resistor text, add column supply text,
     add column catalogue_version bigint not null default 1`,
  `create index plug_spec_version on plug_spec (catalogue_version)`,

  `alter table engine add column traits jsonb not null default '{}', add column builds jsonb not null default '[]'`,
  `create index vehicle_engine on vehicle (engine_id)`,

  `create table job (
     id bigint generated always as identity primary key, kind text not null check (kind in ('audit')),
     state text not null default 'waiting' check (state in ('waiting', 'running', 'done', 'cancelled', 'failed')),
     asked_by bigint not null references staff, asked_at timestamptz not null default now(), started_at timestamptz,
     ended_at timestamptz, beat_at timestamptz, cancel_asked boolean not null default false,
     progress double precision not null default 0 check (progress between 0 and 1), doing text not null default '',
     outcome text)`,
  `create index job_open on job (id) where state in ('waiting', 'running')`,
  `create table audit_finding (
     id bigint generated always as identity primary key, job_id bigint not null references job, rule text not null,
     subject text not null, part_id bigint not null references part, other_part_id bigint references part,
     edge_ids bigint[] not null, trail jsonb not null, figures jsonb not null, engines int not null, stock int not null,
     unique (job_id, subject))`,
  `create index audit_finding_rank on audit_finding (job_id, engines desc, stock desc, id)`,
  `create table audit_decision (
     id bigint generated always as identity primary key, subject text not null,
     action text not null check (action in ('accept', 'note', 'cut', 'choose')), note text not null default '',
     edge_id bigint references reference, figure_ids bigint[] not null default '{}',
     staff_id bigint not null references staff, at timestamptz not null default now(), undone_at timestamptz,
     undone_by bigint references staff)`,
  `create index audit_decision_subject on audit_decision (subject) where undone_at is null`,

  `grant select on name_neighbour, maker_grammar, job, audit_finding, audit_decision to brackenfell_app`,
  `grant usage on all sequences in schema public to brackenfell_app`,
  `grant insert, update on job to brackenfell_app`,
  `grant insert, delete on audit_finding to brackenfell_app`,
  `grant insert, update (undone_at, undone_by) on audit_decision to brackenfell_app`,
  // A cut rejects an edge and renames clusters; a chosen figure withdraws its rivals and projects anew. Nothing is deleted.
  `grant update (rejected_at, rejected_by, from_cluster_id, to_cluster_id) on reference to brackenfell_app`,
  `grant update (cluster_id) on part to brackenfell_app`,
  `grant update (withdrawn_at) on figure to brackenfell_app`,
  `grant insert, update, delete on chosen_figure, plug_spec to brackenfell_app`,
  `grant update (version) on catalogue_version to brackenfell_app`,
];
