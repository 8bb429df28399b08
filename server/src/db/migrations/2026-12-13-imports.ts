import { sql, type Kysely } from 'kysely';

/** Lists of suppliers: their rows as they came, how they are read, what they would change, and what they made. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `create table list_import (
     id bigint generated always as identity primary key, supplier text not null, file_name text not null,
     state text not null check (state in ('reading', 'sorting', 'sorted', 'writing', 'written', 'taking-back', 'taken-back', 'failed')),
     version int not null default 1, form text not null default '', columns jsonb not null default '[]',
     is_remembered boolean not null default false, is_complete boolean not null default false, new_kind text,
     row_count int not null default 0, asked jsonb not null default '[]', firsts text[] not null default '{}', counts jsonb, gone text[] not null default '{}', outcome text,
     staff_id bigint not null references staff, created_at timestamptz not null default now())`,
  `create table list_file (import_id bigint primary key references list_import, bytes bytea not null)`,
  `create table list_row (
     import_id bigint not null references list_import, line int not null, cells text[] not null, broken text,
     heap text check (heap in ('invalid', 'doubtful', 'new', 'changed', 'same')), number text not null default '',
     part_id bigint, equal_id bigint, maker_id text,
     read jsonb, changes jsonb not null default '[]', why text[] not null default '{}', primary key (import_id, line))`,
  `create index list_row_heap on list_row (import_id, heap, line)`,
  `create table list_mapping (supplier text primary key, columns jsonb not null)`,
  `create table supplier_price (
     supplier text not null, part_id bigint not null references part, net_minor int not null check (net_minor > 0),
     import_id bigint not null references list_import, primary key (supplier, part_id))`,
  `create index supplier_price_part on supplier_price (part_id)`,
  `create table list_made (
     id bigint generated always as identity primary key, import_id bigint not null references list_import,
     kind text not null check (kind in ('part', 'name', 'figure', 'reference', 'price', 'supplier-price')),
     subject_id bigint not null, before jsonb, after jsonb)`,
  `create index list_made_import on list_made (import_id)`,
  `alter table job add column import_id bigint references list_import`,
  `alter table job add column tries int not null default 0`,
  `alter table job drop constraint job_kind_check`,
  `alter table job add constraint job_kind_check check (kind in ('audit', 'import') and (kind = 'import') = (import_id is not null))`,
  `create unique index job_of_import on job (import_id) where state in ('waiting', 'running')`,
  // What is kept in memory of parts is read anew once a part was taken away.
  `alter table catalogue_version add column removals bigint not null default 0`,
  // What a list made may be taken away again, and nothing else: what is in use holds the whole of it back.
  `create function take_back_list(which bigint) returns void language plpgsql security definer set search_path = public as $$
   begin
     delete from chosen_figure where figure_id in (select subject_id from list_made where import_id = which and kind = 'figure');
     delete from figure where id in (select subject_id from list_made where import_id = which and kind = 'figure');
     delete from reference where id in (select subject_id from list_made where import_id = which and kind = 'reference');
     delete from name_neighbour where name_id in (select subject_id from list_made where import_id = which and kind = 'name');
     delete from part_name where id in (select subject_id from list_made where import_id = which and kind = 'name');
     update price p set each_minor = (m.before ->> 'ourMinor')::int, pack_of = (m.before ->> 'packOf')::int
       from list_made m where m.import_id = which and m.kind = 'price' and m.before is not null and p.part_id = m.subject_id;
     delete from price p using list_made m
      where m.import_id = which and m.kind = 'price' and m.before is null and p.part_id = m.subject_id;
     update supplier_price s set net_minor = (m.before ->> 'netMinor')::int, import_id = (m.before ->> 'importId')::bigint
       from list_made m where m.import_id = which and m.kind = 'supplier-price' and m.before is not null
        and s.part_id = m.subject_id and s.import_id = which;
     delete from supplier_price s using list_made m
      where m.import_id = which and m.kind = 'supplier-price' and m.before is null and s.part_id = m.subject_id
        and s.import_id = which;
     delete from audit_finding where part_id in (select subject_id from list_made where import_id = which and kind = 'part')
         or other_part_id in (select subject_id from list_made where import_id = which and kind = 'part');
     delete from plug_spec where part_id in (select subject_id from list_made where import_id = which and kind = 'part');
     delete from coil_spec where part_id in (select subject_id from list_made where import_id = which and kind = 'part');
     delete from lead_set where part_id in (select subject_id from list_made where import_id = which and kind = 'part');
     delete from distributor_spec where part_id in (select subject_id from list_made where import_id = which and kind = 'part');
     delete from part where id in (select subject_id from list_made where import_id = which and kind = 'part');
     if exists (select 1 from list_made where import_id = which and kind = 'part') then
       update catalogue_version set removals = removals + 1;
     end if;
     delete from list_made where import_id = which;
   end $$`,
  `revoke execute on function take_back_list(bigint) from public`,
  `grant execute on function take_back_list(bigint) to brackenfell_app`,
  `grant select, insert, update on list_import, list_mapping, supplier_price to brackenfell_app`,
  `grant select, insert, delete on list_file to brackenfell_app`,
  `grant select, insert, delete on list_row to brackenfell_app`,
  `grant update (heap, number, part_id, equal_id, maker_id, read, changes, why) on list_row to brackenfell_app`,
  `grant select, insert on list_made to brackenfell_app`,
  `grant insert on part, part_name, name_neighbour, reference to brackenfell_app`,
  `grant insert, update (each_minor, pack_of) on price to brackenfell_app`,
  `grant usage on all sequences in schema public to brackenfell_app`,
];
