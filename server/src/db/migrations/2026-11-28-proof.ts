import { sql, type Kysely } from 'kysely';

/**
 * Sellers, deliveries and batches; references of genuine and suspect parts, inspections and their journals; quarantine and
 * recall. The last word on whether a batch may be sold is the database's own: see `sale_of_held`.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const CHANNEL = `('depot', 'wholesale', 'clearance', 'marketplace', 'returned')`;

const STATEMENTS = [
  `create table seller (
     id bigint generated always as identity primary key, name text not null unique, channel text not null check (channel in ${CHANNEL}))`,
  // Where a customer cannot say; the unknown is met as the open market is.
  `insert into seller (name, channel) values ('Seller not said', 'marketplace')`,
  `create table proof_reference (
     id bigint generated always as identity primary key, maker_id text not null references maker, part_kind text not null,
     generation text not null, version int not null check (version > 0), content jsonb not null, staff_id bigint references staff,
     at timestamptz not null default now(), unique (maker_id, part_kind, generation, version))`,

  `create table delivery (
     id bigint generated always as identity primary key, seller_id bigint not null references seller, note text not null default '',
     staff_id bigint not null references staff, at timestamptz not null default now())`,
  `create table batch (
     id bigint generated always as identity primary key, part_id bigint not null references part,
     seller_id bigint not null references seller, delivery_id bigint references delivery, code text not null,
     code_normal text not null, quantity int not null check (quantity >= 0), on_hand int not null,
     unit_cost_minor int check (unit_cost_minor > 0), ordered_under text not null default '',
     received_at timestamptz not null default now(),
     state text not null default 'open' check (state in ('open', 'held', 'released', 'confirmed')), version int not null default 1)`,
  `create index batch_part on batch (part_id)`,
  `create index batch_code on batch (code_normal) where code_normal <> ''`,
  `create index batch_seller on batch (seller_id)`,
  `create index batch_delivery on batch (delivery_id) where delivery_id is not null`,
  `create table stock_movement (
     id bigint generated always as identity primary key, part_id bigint not null references part, batch_id bigint references batch,
     quantity int not null check (quantity <> 0), why text not null check (why in ('received', 'sold', 'reopened')),
     slip_line_id bigint references slip_line, named boolean not null default false,
     staff_id bigint not null references staff, at timestamptz not null default now())`,
  `create index stock_movement_batch on stock_movement (batch_id) where batch_id is not null`,
  `create index stock_movement_line on stock_movement (slip_line_id) where slip_line_id is not null`,
  `alter table slip_line add column batch_id bigint references batch`,
  `create index slip_line_batch on slip_line (batch_id) where batch_id is not null`,

  `create table inspection (
     id bigint generated always as identity primary key, part_id bigint not null references part,
     seller_id bigint references seller, channel text not null check (channel in ${CHANNEL}),
     batch_id bigint references batch, reference_id bigint references proof_reference, reference_used text not null
       check (reference_used in ('drawings', 'shop-stock', 'removed-original')),
     pieces int not null check (pieces between 1 and 16), batch_size int not null, asked_for int,
     slip_line_id bigint references slip_line, staff_id bigint not null references staff, at timestamptz not null default now())`,
  `create index inspection_batch on inspection (batch_id) where batch_id is not null`,
  `create index inspection_line on inspection (slip_line_id) where slip_line_id is not null`,
  `create table inspection_entry (
     id bigint generated always as identity primary key, inspection_id bigint not null references inspection,
     what text not null check (what in ('tell', 'measure', 'number')), subject text not null, piece int not null,
     answer text not null, value double precision, device text, staff_id bigint not null references staff,
     at timestamptz not null default now())`,
  `create index inspection_entry_inspection on inspection_entry (inspection_id, id)`,
  `create table inspection_conclusion (
     id bigint generated always as identity primary key, inspection_id bigint not null references inspection, band text not null,
     bands text[] not null, chance double precision not null, says jsonb not null, journal_length int not null,
     staff_id bigint not null references staff, at timestamptz not null default now())`,
  `create index inspection_conclusion_inspection on inspection_conclusion (inspection_id, id desc)`,

  `create table recall_notice (
     id bigint generated always as identity primary key, part_id bigint not null references part, code text not null,
     code_normal text not null, from_whom text not null, says text not null, staff_id bigint not null references staff,
     at timestamptz not null default now())`,
  `create index recall_notice_code on recall_notice (part_id, code_normal)`,
  `create table batch_event (
     id bigint generated always as identity primary key, batch_id bigint not null references batch,
     action text not null check (action in ('hold', 'release', 'confirm', 'close-recall', 'notice')), reason text not null,
     staff_id bigint not null references staff, inspection_id bigint references inspection, at timestamptz not null default now())`,
  `create index batch_event_batch on batch_event (batch_id, id)`,
  `create table recall_contact (
     id bigint generated always as identity primary key, batch_id bigint not null references batch,
     slip_line_id bigint not null references slip_line, outcome text not null, note text not null,
     staff_id bigint not null references staff, at timestamptz not null default now())`,
  `create index recall_contact_batch on recall_contact (batch_id)`,

  // A sale shares a part's lock, a change of a batch's state takes it alone: whichever comes second sees the first.
  `create function lock_part_for_batch() returns trigger language plpgsql as $$
   begin
     perform pg_advisory_xact_lock(new.part_id);
     return new;
   end $$`,
  `create trigger batch_state_takes_the_part before insert or update of state on batch
     for each row execute function lock_part_for_batch()`,

  // Why a sale of these lines must not be, in words; null where nothing stands against it.
  `create function sale_of_held(slip bigint) returns text language plpgsql security definer set search_path = public as $$
   declare
     line record;
     found_batch record;
   begin
     for line in select l.id, l.part_id, l.batch_id, n.printed
                   from slip_line l join part_name n on n.part_id = l.part_id and n.kind in ('catalogue', 'oe')
                  where l.slip_id = slip and l.kind = 'sale' and l.removed_at is null order by l.part_id, l.id loop
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
     end loop;
     return null;
   end $$`,
  `create function refuse_sale_of_held() returns trigger language plpgsql as $$
   declare why text;
   begin
     why := sale_of_held(new.id);
     if why is not null then raise exception using errcode = 'BF001', message = why; end if;
     return new;
   end $$`,
  `create trigger slip_closes_without_held before update of state on slip
     for each row when (new.state = 'closed' and old.state <> 'closed') execute function refuse_sale_of_held()`,
  // A line put on a slip that is closed already, or altered there, is a sale too.
  `create function refuse_held_on_closed() returns trigger language plpgsql security definer set search_path = public as $$
   declare why text;
   declare slip_state text;
   begin
     select state into slip_state from slip where id = new.slip_id for share;
     if slip_state = 'closed' then
       why := sale_of_held(new.slip_id);
       if why is not null then raise exception using errcode = 'BF001', message = why; end if;
     end if;
     return new;
   end $$`,
  `create trigger closed_slip_takes_no_held after insert or update of batch_id, part_id, kind, removed_at, slip_id on slip_line
     for each row execute function refuse_held_on_closed()`,

  `grant select on seller, proof_reference, delivery, batch, stock_movement, inspection, inspection_entry, inspection_conclusion,
     recall_notice, batch_event, recall_contact to brackenfell_app`,
  `grant insert on proof_reference, delivery, batch, stock_movement, inspection, inspection_entry, inspection_conclusion,
     recall_notice, batch_event, recall_contact to brackenfell_app`,
  `grant update (state, on_hand, version) on batch to brackenfell_app`,
  `grant update (batch_id) on inspection to brackenfell_app`,
  `grant insert, update (on_hand) on stock to brackenfell_app`,
  `grant insert on figure to brackenfell_app`,
  `grant usage on all sequences in schema public to brackenfell_app`,
];
