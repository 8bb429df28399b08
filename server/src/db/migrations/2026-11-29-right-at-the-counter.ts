import { sql, type Kysely } from 'kysely';

/**
 * A slip is collected (the sale) or ended, both final; what may not be sold is refused by the database too; readings of the
 * very pieces on a slip; a keyed and short-lived memory of calls; sessions that end when nobody uses them.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  // Triggers of the release before would take the renaming of states for sales.
  `drop trigger slip_closes_without_held on slip`,
  `drop trigger closed_slip_takes_no_held on slip_line`,
  `drop function refuse_sale_of_held()`,
  `drop function refuse_held_on_closed()`,
  `alter table slip drop constraint slip_state_check`,
  `update slip set state = case when exists (
       select from slip_line l join stock_movement m on m.slip_line_id = l.id where l.slip_id = slip.id
        group by l.slip_id having sum(m.quantity) < 0) then 'collected' else 'ended' end
    where state = 'closed'`,
  `alter table slip add constraint slip_state_check check (state in ('open', 'parked', 'collected', 'ended'))`,
  `alter table slip add column end_reason text check (end_reason is null or state = 'ended')`,

  // Pieces of what is open on a slip, as the counter found them.
  `create table piece_reading (
     id bigint generated always as identity primary key, slip_id bigint not null references slip,
     part_id bigint references part, fact text not null, value jsonb not null,
     how text not null check (how in ('gauged', 'typed', 'seen')), device text,
     staff_id bigint not null references staff, at timestamptz not null default now(), withdrawn_at timestamptz)`,
  `create index piece_reading_slip on piece_reading (slip_id)`,
  `alter table slip_note add column replaces_id bigint references slip_note`,

  // Why a slip may not be collected, in words; null where nothing stands against it. The same line as core's openMatters.
  `create or replace function sale_of_held(slip bigint) returns text language plpgsql security definer
     set search_path = public, pg_temp as $$
   declare
     line record;
     found_batch record;
     sold int := 0;
   begin
     for line in select l.id, l.part_id, l.batch_id, n.printed, j.id as judgement_id, j.verdict
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
  `create function refuse_wrong_sale() returns trigger language plpgsql security definer
     set search_path = public, pg_temp as $$
   declare why text;
   begin
     if old.state in ('collected', 'ended') then
       raise exception using errcode = 'BF003', message = 'Slip ' || old.docket || ' is ' || old.state || ' and final.';
     end if;
     if new.state = 'collected' then
       why := sale_of_held(new.id);
       if why is not null then raise exception using errcode = 'BF001', message = why; end if;
     end if;
     return new;
   end $$`,
  // A note on a held batch still gives sold slips a next version.
  `create trigger slip_is_collected_rightly before update of state, holder_id, engine_id, duty, build, customer, docket on slip
     for each row when (old.* is distinct from new.*) execute function refuse_wrong_sale()`,
  `create function refuse_change_of_final() returns trigger language plpgsql security definer
     set search_path = public, pg_temp as $$
   declare slip_state text;
   begin
     select state into slip_state from slip where id = new.slip_id for share;
     if slip_state in ('collected', 'ended') then
       raise exception using errcode = 'BF003', message = 'The slip is ' || slip_state || ' and final.';
     end if;
     return new;
   end $$`,
  `create trigger final_slip_keeps_its_lines after insert or update of quantity, unit_price_minor, batch_id, part_id, kind, removed_at, slip_id
     on slip_line for each row execute function refuse_change_of_final()`,
  `alter function lock_part_for_batch() set search_path = public, pg_temp`,

  // Nothing is sold that is not there. What was negative before may only grow.
  `create function refuse_negative_stock() returns trigger language plpgsql set search_path = public, pg_temp as $$
   begin
     if new.on_hand < 0 and new.on_hand < old.on_hand then
       raise exception using errcode = 'BF002', message = 'Fewer are on the shelf than that: look at the stock as it is now.';
     end if;
     return new;
   end $$`,
  `create trigger stock_stays_real before update of on_hand on stock for each row execute function refuse_negative_stock()`,
  `create trigger batch_stays_real before update of on_hand on batch for each row execute function refuse_negative_stock()`,

  // Receipts are for retries of today: their hash is keyed from now on, and old ones are swept.
  `delete from request_receipt`,
  `create index request_receipt_at on request_receipt (at)`,
  `alter table session add column last_seen_at timestamptz not null default now()`,
  `create table failed_try (
     id bigint generated always as identity primary key, staff_id bigint references staff, what text not null
       check (what in ('sign-in', 'pin')), address text not null, at timestamptz not null default now())`,
  `create index failed_try_at on failed_try (at)`,
  `create index failed_try_staff on failed_try (staff_id, at)`,

  `revoke update on slip, slip_line from brackenfell_app`,
  `grant update (state, version, customer, vehicle, came_for, engine_id, build, revision_staying, engine_count, duty,
     in_hand_part_id, holder_id, updated_at, end_reason) on slip to brackenfell_app`,
  `grant update (quantity, positions, batch_id, removed_at, review) on slip_line to brackenfell_app`,
  `grant select, insert on piece_reading, failed_try to brackenfell_app`,
  `grant update (withdrawn_at) on piece_reading to brackenfell_app`,
  `grant delete on failed_try to brackenfell_app`,
  `grant update (password_hash, pin_hash, active) on staff to brackenfell_app`,
  `grant usage on all sequences in schema public to brackenfell_app`,
];
