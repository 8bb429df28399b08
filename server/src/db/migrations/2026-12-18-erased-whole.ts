import { sql, type Kysely } from 'kysely';

/** Who is erased is gone from the notes of recalls too, and from kept answers about batches, which list their buyers. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(
      `create or replace function erase_person(person bigint) returns table (slips int, vehicles int, papers int, notes int)
     language plpgsql security definer set search_path = public, pg_temp as $$
   declare
     theirs bigint[];
     of_slips bigint[];
     theirs_said text[];
   begin
     select coalesce(array_agg(id), '{}') into theirs from garage_vehicle
      where customer_id = person or customer_id in (select id from garage_customer where merged_into_id = person);
     select coalesce(array_agg(id), '{}') into of_slips from slip where garage_vehicle_id = any (theirs);
     -- What they are called and reached by, as it stands within JSON, every sign but letters and digits meaning itself.
     select coalesce(array_agg(distinct regexp_replace(btrim(to_json(said)::text, '"'), '([^[:alnum:] ])', '\\\\\\1', 'g')), '{}')
       into theirs_said from (
       select unnest(array[name, phone]) from garage_customer where id = person or merged_into_id = person
       union all select unnest(array[plate, serial]) from garage_vehicle where id = any (theirs)
       union all select unnest(array[customer, phone]) from slip where id = any (of_slips)) as known (said)
      where length(said) >= 3;
     delete from printed_paper where slip_id = any (of_slips);
     get diagnostics papers = row_count;
     update slip_note set text = '' where slip_id = any (of_slips) and text <> '';
     get diagnostics notes = row_count;
     update recall_contact set note = '' where note <> '' and slip_line_id in (select id from slip_line where slip_id = any (of_slips));
     update slip set customer = '', phone = '', vehicle = '', came_for = '', version = version + 1 where id = any (of_slips);
     update change_entry set before = before - '{customer,phone,vehicle,came_for,text}'::text[],
                             after = after - '{customer,phone,vehicle,came_for,text}'::text[]
      where (subject in ('slip', 'slip note') and subject_id = any (of_slips::text[]))
         or (subject = 'slip note' and subject_id in (select id::text from slip_note where slip_id = any (of_slips)));
     update change_entry set before = null, after = null
      where (subject = 'garage vehicle' and subject_id = any (theirs::text[]))
         or (subject = 'garage customer' and subject_id = person::text);
     -- Kept answers hold whole slips, and buyers by name, never as a part of another's; a retry of so long ago is told that its key is not known.
     delete from request_receipt where response->>'slipId' = any (of_slips::text[]) or response->>'vehicleId' = any (theirs::text[])
        or response->>'customerId' = person::text
        or exists (select from unnest(theirs_said) as known (said) where response::text ~ ('(^|[^[:alnum:]])' || said || '([^[:alnum:]]|$)'));
     update garage_vehicle set customer_id = null, plate = '', serial = '', called = 'Erased', modified = '', version = version + 1
      where id = any (theirs);
     delete from declined_advice where vehicle_id = any (theirs);
     update garage_customer set name = '', phone = '', account_ref = '', is_trade = false, erased_at = now(), version = version + 1
      where id = person or merged_into_id = person;
     slips := cardinality(of_slips);
     vehicles := cardinality(theirs);
     return next;
   end $$`,
    )
    .execute(db);
}
