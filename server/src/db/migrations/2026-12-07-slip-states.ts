import { sql, type Kysely } from 'kysely';

/** A slip through its day: quoted, ordered, ready, collected in part; what is ready is kept for it. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `alter table slip drop constraint slip_state_check`,
  `alter table slip add constraint slip_state_check
     check (state in ('open', 'parked', 'quoted', 'ordered', 'ready', 'collected', 'ended'))`,
  `alter table slip add column held_until date check (held_until is null or state in ('quoted', 'ready'))`,
  `alter table slip add column split_from_id bigint references slip`,
  `grant update (held_until) on slip to brackenfell_app`,
  `grant update (unit_price_minor) on slip_line to brackenfell_app`,
  `create index slip_ready on slip (id) where state = 'ready'`,

  // Pieces of a part that other slips, ready within their days, keep from this one.
  `create function kept_for_others(part bigint, slip bigint) returns bigint language sql stable security definer
     set search_path = public, pg_temp as $$
     select coalesce(sum(l.quantity), 0) from slip_line l join slip s on s.id = l.slip_id
      where l.part_id = part and s.id <> slip and l.kind = 'sale' and l.removed_at is null
        and s.state = 'ready' and s.held_until >= current_date $$`,
  `create or replace function sale_of_held(slip bigint) returns text language plpgsql security definer
     set search_path = public, pg_temp as $$
   declare
     line record;
     found_batch record;
     kept bigint;
     here bigint;
     sold int := 0;
   begin
     for line in select l.id, l.part_id, l.batch_id, l.quantity, n.printed, j.id as judgement_id, j.verdict
                   from slip_line l join part_name n on n.part_id = l.part_id and n.kind in ('catalogue', 'oe')
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
  // A sold slip may be freed of its customer's name, and nothing else of it changes. What is made ready is held to the same line as what is collected; a state follows only from those it may.
  `create or replace function refuse_wrong_sale() returns trigger language plpgsql security definer
     set search_path = public, pg_temp as $$
   declare why text;
   begin
     if old.state in ('collected', 'ended') then
       if new.customer = '' and (new.state, new.holder_id, new.engine_id, new.duty, new.build, new.docket)
          is not distinct from (old.state, old.holder_id, old.engine_id, old.duty, old.build, old.docket) then
         return new;
       end if;
       raise exception using errcode = 'BF003', message = 'Slip ' || old.docket || ' is ' || old.state || ' and final.';
     end if;
     if new.state <> old.state and not (case old.state
          when 'open' then true
          when 'parked' then new.state in ('open', 'ended')
          when 'quoted' then new.state in ('open', 'ordered', 'ready', 'collected', 'ended')
          when 'ordered' then new.state in ('ready', 'open', 'ended')
          when 'ready' then new.state in ('collected', 'open', 'ended') end) then
       raise exception using errcode = 'BF003',
         message = 'Slip ' || old.docket || ' is ' || old.state || ': it cannot be ' || new.state || ' from there.';
     end if;
     if new.state in ('collected', 'ready') and new.state <> old.state then
       why := sale_of_held(new.id);
       if why is not null then raise exception using errcode = 'BF001', message = why; end if;
     end if;
     return new;
   end $$`,
];
