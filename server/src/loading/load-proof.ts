import { isHeld } from '@brackenfell/core/authenticity/batch-states';
import { sql } from 'kysely';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { ProofFile } from '@brackenfell/contract/proof-file';
import type { Database, Writing } from '../db/database.ts';
import { projectSupply } from '../stock/project-supply.ts';

const at = (day: string): Date => new Date(`${day}T10:00:00Z`);

/** Dockets of the past stand before the first one the counter will write. */
const FIRST_DOCKET = 4001;

/** Brings a shop's past in, as the owner: sellers, references, batches and who bought of them. Into an empty past alone. */
export async function loadProof(db: Database, raw: unknown): Promise<{ batches: number; sales: number }> {
  const file = ProofFile.parse(raw);
  return db.transaction().execute(async (trx) => {
    const [partOf, staffOf] = [await readParts(trx), await readStaff(trx)];
    const sellers = await trx.insertInto('seller').values(file.sellers).returning(['id', 'name']).execute();
    const sellerOf = new Map(sellers.map(({ id, name }) => [name, id]));
    for (const { makerId, partKind, generation, content } of file.references)
      await trx
        .insertInto('proof_reference')
        .values({
          maker_id: makerId,
          part_kind: partKind,
          generation,
          version: 1,
          content: JSON.stringify(content),
          staff_id: null,
        })
        .execute();
    const batchOf = new Map<string, string>();
    for (const batch of file.batches) {
      const { id } = await trx
        .insertInto('batch')
        .values({
          part_id: known(partOf, batch.number),
          seller_id: known(sellerOf, batch.seller),
          delivery_id: null,
          code: batch.code,
          code_normal: normalForm(batch.code),
          quantity: batch.quantity,
          on_hand: batch.onHand,
          unit_cost_minor: batch.unitCostMinor,
          received_at: at(batch.receivedOn),
          state: batch.state,
        })
        .returning('id')
        .executeTakeFirstOrThrow();
      batchOf.set(`${batch.number} ${batch.code}`, id);
      if (batch.state === 'open') continue;
      await trx
        .insertInto('batch_event')
        .values({
          batch_id: id,
          action: batch.state === 'held' ? 'hold' : batch.state === 'released' ? 'release' : 'confirm',
          reason: batch.reason,
          staff_id: known(staffOf, batch.settledBy),
          inspection_id: null,
          at: at(batch.receivedOn),
        })
        .execute();
    }
    for (const [i, sale] of file.sales.entries()) {
      const staffId = known(staffOf, sale.soldBy);
      const slip = await trx
        .insertInto('slip')
        .values({
          docket: FIRST_DOCKET + i,
          state: 'open',
          customer: sale.customer,
          vehicle: sale.vehicle,
          engine_id: sale.engineId,
          build: null,
          revision_staying: null,
          in_hand_part_id: null,
          holder_id: staffId,
          created_at: at(sale.soldOn),
          updated_at: at(sale.soldOn),
        })
        .returning('id')
        .executeTakeFirstOrThrow();
      for (const line of sale.lines) {
        const partId = known(partOf, line.number);
        const named = line.batchCode !== undefined;
        const batchId = named
          ? known(batchOf, `${line.number} ${line.batchCode!}`)
          : await batchOnShelf(trx, partId, at(sale.soldOn));
        const { id: lineId } = await trx
          .insertInto('slip_line')
          .values({
            slip_id: slip.id,
            part_id: partId,
            kind: 'sale',
            quantity: line.quantity,
            unit_price_minor: null,
            positions: [],
            // Named at the sale, before anybody held it.
            batch_id: null,
            removed_at: null,
            review: null,
          })
          .returning('id')
          .executeTakeFirstOrThrow();
        await trx
          .insertInto('stock_movement')
          .values({
            part_id: partId,
            batch_id: batchId,
            quantity: -line.quantity,
            why: 'sold',
            slip_line_id: lineId,
            named,
            staff_id: staffId,
            at: at(sale.soldOn),
          })
          .execute();
      }
    }
    // Sales of before this counter: they were judged elsewhere, so the database's own refusal stands aside for them.
    await sql`alter table slip disable trigger slip_is_collected_rightly`.execute(trx);
    await sql`update slip set state = 'collected' where docket between ${FIRST_DOCKET} and ${FIRST_DOCKET + file.sales.length - 1}`.execute(
      trx,
    );
    await sql`alter table slip enable trigger slip_is_collected_rightly`.execute(trx);
    await projectSupply(trx, [
      ...new Set(file.batches.filter(({ state }) => isHeld(state)).map(({ number }) => known(partOf, number))),
    ]);
    return { batches: file.batches.length, sales: file.sales.length };
  });
}

function known(ids: ReadonlyMap<string, string>, name: string): string {
  const id = ids.get(name);
  if (id === undefined) throw new Error(`The past speaks of ${name}, which is not known here.`);
  return id;
}

async function readParts(trx: Writing): Promise<Map<string, string>> {
  const rows = await trx
    .selectFrom('part_name')
    .select(['printed', 'part_id'])
    .where('kind', '=', 'catalogue')
    .execute();
  return new Map(rows.map(({ printed, part_id }) => [printed, part_id]));
}

async function readStaff(trx: Writing): Promise<Map<string, string>> {
  const rows = await trx.selectFrom('staff').select(['id', 'name']).execute();
  return new Map(rows.map(({ id, name }) => [name, id]));
}

/** The latest batch that had come in by a day: what a sale of then is taken to be of. */
async function batchOnShelf(trx: Writing, partId: string, day: Date): Promise<string | null> {
  const { rows } = await sql<{ id: string }>`
    select id from batch where part_id = ${partId} and received_at <= ${day} order by received_at desc limit 1`.execute(
    trx,
  );
  return rows[0]?.id ?? null;
}
