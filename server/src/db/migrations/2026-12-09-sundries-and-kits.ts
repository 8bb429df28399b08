import { sql, type Kysely } from 'kysely';

/** Things of the shop that no engine asks for, and kits; what was read of old parts is kept on the slip. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `alter table part drop constraint part_kind_check`,
  `alter table part add constraint part_kind_check
     check (kind in ('plug', 'coil', 'lead-set', 'cap', 'rotor', 'sundry', 'kit', 'oe-number', 'unheld'))`,
  `create table sundry (part_id bigint primary key references part, title text not null, use text not null)`,
  `create index sundry_use on sundry (use)`,
  `create table kit_part (
     kit_id bigint not null references part, part_id bigint not null references part,
     quantity int not null check (quantity between 1 and 99), primary key (kit_id, part_id))`,
  `create index kit_part_of on kit_part (part_id)`,
  `grant select on sundry, kit_part to brackenfell_app`,
  `alter table slip_kept drop constraint slip_kept_kind_check`,
  `alter table slip_kept add constraint slip_kept_kind_check
     check (kind in ('swap-test', 'fitted-set', 'spark-evidence', 'fragile', 'old-plugs', 'compression', 'comeback'))`,
  // Kinds of part that a reading of old parts, or a comeback, holds back until it is told apart.
  `alter table slip add column held_kinds text[] not null default '{}'`,
  `alter table slip add column held_says text not null default ''`,
  `alter table slip add column held_by text check (held_by in ('plugs', 'compression', 'comeback'))`,
  `grant update (held_kinds, held_says, held_by) on slip to brackenfell_app`,
  // A sundry is judged for no engine: nothing of it keeps a sale but its batch and the shelf.
  `create or replace function sale_of_held(slip bigint) returns text language plpgsql security definer
     set search_path = public, pg_temp as $$
   declare
     line record;
     found_batch record;
     kept bigint;
     here bigint;
     sold int := 0;
     reading text;
   begin
     for line in select l.id, l.part_id, l.batch_id, l.quantity, n.printed, p.kind as part_kind, j.id as judgement_id,
                        j.verdict
                   from slip_line l join part p on p.id = l.part_id join part_name n on n.part_id = l.part_id and n.kind in ('catalogue', 'oe')
                   left join lateral (select * from judgement where slip_line_id = l.id order by id desc limit 1) j on true
                  where l.slip_id = slip and l.kind = 'sale' and l.removed_at is null order by l.part_id, l.id loop
       sold := sold + 1;
       perform pg_advisory_xact_lock_shared(line.part_id);
       if line.batch_id is not null then
         select b.code, b.state into found_batch from batch b where b.id = line.batch_id;
         if found_batch.state in ('held', 'confirmed') then
           return line.printed || ': ' || coalesce('batch ' || nullif(found_batch.code, ''), 'its delivery') || ' is held in quarantine.';
         end if;
       else
         select b.code into found_batch from batch b
          where b.part_id = line.part_id and b.state in ('held', 'confirmed') and b.on_hand > 0 order by b.id limit 1;
         if found then
           return line.printed || ': ' || coalesce('batch ' || nullif(found_batch.code, ''), 'a delivery')
             || ' of it is held in quarantine; say which batch these are from.';
         end if;
       end if;
       kept := kept_for_others(line.part_id, slip);
       select coalesce(on_hand, 0) into here from stock where part_id = line.part_id;
       if kept > 0 and coalesce(here, 0) - kept < line.quantity then
         return line.printed || ': what is here is kept for slips that are ready.';
       end if;
       if line.part_kind = 'sundry' then continue; end if;
       -- What was split off waits for the reading of the slip it came from.
       select s.held_says into reading from slip s
        where (s.id = slip or s.id = (select own.split_from_id from slip own where own.id = slip))
          and line.part_kind = any(s.held_kinds) limit 1;
       if found then return line.printed || ': ' || reading; end if;
       if line.verdict is null then return line.printed || ': it was not judged.'; end if;
       if line.verdict = 'refuse' then return line.printed || ': it is refused.'; end if;
       if line.verdict = 'ask-first' then return line.printed || ': a question is open.'; end if;
       if line.verdict = 'needs-supervisor'
          and not exists (select from release r where r.judgement_id = line.judgement_id) then
         return line.printed || ': it waits for the supervisor.';
       end if;
     end loop;
     if sold = 0 then return 'Nothing on it is sold.'; end if;
     return null;
   end $$`,
];
