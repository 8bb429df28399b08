import { sql, type Kysely } from 'kysely';

/**
 * What a row of a list costs once more. Its cells and what was read of them are kept as they are written, not taken apart; what a
 * list made is noted by the page, not by the row; and what another rule says already is not asked anew of every row. A number
 * that stands in a list again knows where it stood first.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `alter table list_row alter column why drop default, alter column changes drop default`,
  `alter table list_row alter column cells type json using to_json(cells), alter column why type json using to_json(why),
     alter column read type json using read::json, alter column changes type json using changes::json`,
  `alter table list_row alter column why set default '[]', alter column changes set default '[]'`,
  // Of whom a row speaks, and what it states of them: two rows of one subject are laid side by side by these.
  `alter table list_row add column subject text, add column said bigint, add column again_of int`,
  // A new number that waits for nothing but what it is; and how a list was read when its rows were last laid beside what is held.
  `alter table list_row add column waits boolean not null default false`,
  `alter table list_import add column sorted_as text`,
  `grant update (subject, said, again_of, waits) on list_row to brackenfell_app`,

  `alter table list_made rename to list_made_before`,
  `alter index list_made_subject rename to list_made_before_subject`,
  `create table list_made (
     id bigint generated always as identity primary key, import_id bigint not null,
     kind text not null check (kind in ('part', 'name', 'figure', 'reference', 'price', 'supplier-price')),
     subject_ids bigint[] not null, before json, after json)`,
  `create index list_made_import on list_made (import_id, kind, id)`,
  `insert into list_made (import_id, kind, subject_ids, before, after)
     select import_id, kind, array_agg(subject_id order by subject_id),
            case when count(before) > 0 then json_agg(before order by subject_id) end,
            case when count(after) > 0 then json_agg(after order by subject_id) end
       from (select *, row_number() over (partition by import_id, kind order by subject_id) / 1000 as page from list_made_before) m
      group by import_id, kind, page`,
  `drop table list_made_before`,
  // One by one, as it is taken back.
  `create view list_made_each as
     select m.import_id, m.kind, e.subject_id, case when e.before::text <> 'null' then e.before end as before,
            case when e.after::text <> 'null' then e.after end as after
       from list_made m
      cross join lateral rows from (unnest(m.subject_ids), json_array_elements(m.before), json_array_elements(m.after))
                 as e (subject_id, before, after)`,
  `grant select, insert on list_made to brackenfell_app`,
  `grant select on list_made_each to brackenfell_app`,
  `grant usage on all sequences in schema public to brackenfell_app`,
  `create or replace function take_back_list(which bigint) returns void language plpgsql security definer set search_path = public as $$
   begin
     delete from chosen_figure where figure_id in (select subject_id from list_made_each where import_id = which and kind = 'figure');
     delete from figure where id in (select subject_id from list_made_each where import_id = which and kind = 'figure');
     delete from reference where id in (select subject_id from list_made_each where import_id = which and kind = 'reference');
     delete from name_neighbour where name_id in (select subject_id from list_made_each where import_id = which and kind = 'name');
     delete from part_name where id in (select subject_id from list_made_each where import_id = which and kind = 'name');
     update price p set each_minor = (m.before ->> 'ourMinor')::int, pack_of = (m.before ->> 'packOf')::int
       from list_made_each m where m.import_id = which and m.kind = 'price' and m.before is not null and p.part_id = m.subject_id;
     delete from price p using list_made_each m
      where m.import_id = which and m.kind = 'price' and m.before is null and p.part_id = m.subject_id;
     update supplier_price s set net_minor = (m.before ->> 'netMinor')::int, import_id = (m.before ->> 'importId')::bigint
       from list_made_each m where m.import_id = which and m.kind = 'supplier-price' and m.before is not null
        and s.part_id = m.subject_id and s.import_id = which;
     delete from supplier_price s using list_made_each m
      where m.import_id = which and m.kind = 'supplier-price' and m.before is null and s.part_id = m.subject_id
        and s.import_id = which;
     delete from audit_finding where part_id in (select subject_id from list_made_each where import_id = which and kind = 'part')
         or other_part_id in (select subject_id from list_made_each where import_id = which and kind = 'part');
     delete from plug_spec where part_id in (select subject_id from list_made_each where import_id = which and kind = 'part');
     delete from coil_spec where part_id in (select subject_id from list_made_each where import_id = which and kind = 'part');
     delete from lead_set where part_id in (select subject_id from list_made_each where import_id = which and kind = 'part');
     delete from distributor_spec where part_id in (select subject_id from list_made_each where import_id = which and kind = 'part');
     delete from part where id in (select subject_id from list_made_each where import_id = which and kind = 'part');
     if exists (select 1 from list_made where import_id = which and kind = 'part') then
       update catalogue_version set removals = removals + 1;
     end if;
     delete from list_made where import_id = which;
   end $$`,

  // A chosen figure is of the figure's own part or position, which are there: the rule of own figures says so of each.
  `alter table chosen_figure drop constraint chosen_figure_part_id_fkey, drop constraint chosen_figure_position_id_fkey`,
  // A name is read by its own part's maker: one rule where there were two, and what was let through before.
  `alter table part add constraint part_of_maker unique (id, maker_id)`,
  `update part_name n set maker_id = p.maker_id from part p where p.id = n.part_id and n.maker_id <> p.maker_id`,
  `alter table part_name drop constraint part_name_part_id_fkey, drop constraint part_name_maker_id_fkey,
     add constraint part_name_of_part foreign key (part_id, maker_id) references part (id, maker_id)`,
  // Each is found by another of the table's indexes, whose first column is the same.
  `drop index part_name_part`,
  `drop index supplier_price_part`,
  `alter table supplier_price drop constraint supplier_price_pkey, add primary key (part_id, supplier)`,
  // Written by the import alone, which holds its own row while it does; an import is never taken away.
  `alter table supplier_price drop constraint supplier_price_import_id_fkey`,
];
