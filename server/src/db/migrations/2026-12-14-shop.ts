import { sql, type Kysely } from 'kysely';

/** The shop itself: what it is called and how it counts, who may let others in, and when it was last backed up. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `create table shop (
     only_row boolean primary key default true check (only_row), name text not null, address text not null default '',
     currency text not null, tax_basis_points int not null check (tax_basis_points between 0 and 5000), locale text not null,
     time_zone text, units text not null check (units in ('metric', 'imperial', 'both')), version int not null default 1)`,
  // Where people work already, a shop has long begun: it goes on as it was.
  `insert into shop (name, currency, tax_basis_points, locale, units)
     select 'Parts counter', 'GBP', 2000, 'en-GB', 'metric' where exists (select from staff)`,
  // A slip keeps the rate it was begun under.
  `create function tax_of_shop() returns int language sql stable set search_path = public as
     $$ select coalesce((select tax_basis_points from shop), 0) $$`,
  `alter table slip add column tax_basis_points int not null default 2000 check (tax_basis_points between 0 and 5000)`,
  `alter table slip alter column tax_basis_points set default tax_of_shop()`,
  // Nobody is left outside: of the supervisors one always stays, two who step down at once included.
  `create function somebody_lets_in() returns trigger language plpgsql set search_path = public as $$
   begin
     perform 1 from shop for update;
     if exists (select from staff) and not exists (select from staff where active and role = 'supervisor') then
       raise exception 'The last supervisor stays: make somebody else one first.' using errcode = 'BF002';
     end if;
     return null;
   end $$`,
  `create constraint trigger staff_lets_in after update or delete on staff deferrable initially immediate
     for each row execute function somebody_lets_in()`,
  `create table backup_made (
     id bigint generated always as identity primary key, at timestamptz not null default now(), tables int not null,
     rows bigint not null)`,
  `grant select on shop, backup_made to brackenfell_app`,
  `grant insert, update on shop to brackenfell_app`,
  `grant insert (name, initials, role, password_hash, pin_hash), update (role) on staff to brackenfell_app`,
  `grant insert on maker, seller to brackenfell_app`,
  `grant usage on all sequences in schema public to brackenfell_app`,
];
