import { sql, type Kysely } from 'kysely';

/** The garage book: customers, their vehicles and machines, what they have run, what sits where, what was declined. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `create table garage_customer (
     id bigint generated always as identity primary key, name text not null, phone text not null default '',
     account_ref text not null default '', is_trade boolean not null default false, version int not null default 1,
     created_at timestamptz not null default now(), merged_into_id bigint references garage_customer, erased_at timestamptz,
     check (merged_into_id <> id))`,
  `create table garage_vehicle (
     id bigint generated always as identity primary key, customer_id bigint references garage_customer, called text not null,
     plate text not null default '', serial text not null default '', engine_id text references engine, build text,
     duty text not null default '', modified text not null default '',
     counts_in text not null check (counts_in in ('distance', 'hours')), per_day double precision check (per_day >= 0),
     months int[] not null default '{1,2,3,4,5,6,7,8,9,10,11,12}', version int not null default 1,
     created_at timestamptz not null default now())`,
  `create index garage_vehicle_customer on garage_vehicle (customer_id)`,
  `create table served_reading (
     id bigint generated always as identity primary key, vehicle_id bigint not null references garage_vehicle,
     on_day date not null, served double precision not null check (served >= 0), how text not null check (how in ('read', 'said')),
     staff_id bigint not null references staff, at timestamptz not null default now(), withdrawn_at timestamptz)`,
  `create index served_reading_vehicle on served_reading (vehicle_id, on_day)`,
  `create table fitted_record (
     id bigint generated always as identity primary key, vehicle_id bigint not null references garage_vehicle,
     part_id bigint not null references part, quantity int not null check (quantity > 0), places text[] not null,
     on_day date, served double precision check (served >= 0), how text not null check (how in ('known', 'said')),
     slip_line_id bigint references slip_line, set_up jsonb, interval double precision check (interval > 0),
     interval_source text, staff_id bigint not null references staff,
     at timestamptz not null default now(), withdrawn_at timestamptz,
     check (slip_line_id is null or withdrawn_at is null))`,
  `create index fitted_record_vehicle on fitted_record (vehicle_id)`,
  // A line is fitted once, however often its sale is told.
  `create unique index fitted_record_line on fitted_record (slip_line_id) where slip_line_id is not null`,
  `create table declined_advice (
     id bigint generated always as identity primary key, vehicle_id bigint not null references garage_vehicle,
     says text not null, price_minor int, staff_id bigint not null references staff, at timestamptz not null default now(),
     raised_at timestamptz, raised_by_id bigint references staff, taken boolean,
     check ((raised_at is null) = (taken is null)))`,
  `create index declined_advice_vehicle on declined_advice (vehicle_id)`,
  `alter table slip add column garage_vehicle_id bigint references garage_vehicle`,
  `create index slip_garage_vehicle on slip (garage_vehicle_id) where garage_vehicle_id is not null`,

  `grant select, insert on garage_customer, garage_vehicle, served_reading, fitted_record, declined_advice to brackenfell_app`,
  `grant update (name, phone, account_ref, is_trade, version, merged_into_id) on garage_customer to brackenfell_app`,
  `grant update (customer_id, called, plate, serial, engine_id, build, duty, modified, per_day, months, version)
     on garage_vehicle to brackenfell_app`,
  `grant update (withdrawn_at) on served_reading, fitted_record to brackenfell_app`,
  `grant update (garage_vehicle_id) on slip to brackenfell_app`,
  `grant update (raised_at, raised_by_id, taken) on declined_advice to brackenfell_app`,

  // The person goes, the ledger stays: only this function reaches into history, papers and kept answers, and only for that.
  `create function erase_person(person bigint) returns table (slips int, vehicles int, papers int, notes int)
     language plpgsql security definer set search_path = public, pg_temp as $$
   declare
     theirs bigint[];
     of_slips bigint[];
   begin
     select coalesce(array_agg(id), '{}') into theirs from garage_vehicle
      where customer_id = person or customer_id in (select id from garage_customer where merged_into_id = person);
     select coalesce(array_agg(id), '{}') into of_slips from slip where garage_vehicle_id = any (theirs);
     delete from printed_paper where slip_id = any (of_slips);
     get diagnostics papers = row_count;
     update slip_note set text = '' where slip_id = any (of_slips) and text <> '';
     get diagnostics notes = row_count;
     update slip set customer = '', phone = '', vehicle = '', came_for = '', version = version + 1 where id = any (of_slips);
     update change_entry set before = before - '{customer,phone,vehicle,came_for,text}'::text[],
                             after = after - '{customer,phone,vehicle,came_for,text}'::text[]
      where (subject in ('slip', 'slip note') and subject_id = any (of_slips::text[]))
         or (subject = 'slip note' and subject_id in (select id::text from slip_note where slip_id = any (of_slips)));
     update change_entry set before = null, after = null
      where (subject = 'garage vehicle' and subject_id = any (theirs::text[]))
         or (subject = 'garage customer' and subject_id = person::text);
     -- Kept answers hold whole slips; a retry of so long ago is told that its key is not known.
     delete from request_receipt where response->>'slipId' = any (of_slips::text[]) or response->>'vehicleId' = any (theirs::text[])
        or response->>'customerId' = person::text;
     update garage_vehicle set customer_id = null, plate = '', serial = '', called = 'Erased', modified = '', version = version + 1
      where id = any (theirs);
     delete from declined_advice where vehicle_id = any (theirs);
     update garage_customer set name = '', phone = '', account_ref = '', is_trade = false, erased_at = now(), version = version + 1
      where id = person or merged_into_id = person;
     slips := cardinality(of_slips);
     vehicles := cardinality(theirs);
     return next;
   end $$`,
  `revoke execute on function erase_person(bigint) from public`,
  `grant execute on function erase_person(bigint) to brackenfell_app`,
];
