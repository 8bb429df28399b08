import { inspectionLine } from '../inspection/present.ts';
import { judgeBatch } from '@brackenfell/core/authenticity/judge-piece';
import { priorOf, shareOf } from '@brackenfell/core/authenticity/prior';
import { SETTLED_CONTACTS, type Batch, type BatchLine, type SellerRecord } from '@brackenfell/contract/quarantine';
import type { InspectionListRow } from '../inspection/store.ts';
import type { BatchRow, readEvents } from '../stock/batch-store.ts';
import type { NoticeRow, readContacts, SaleRow } from './recall-store.ts';
import type { SellerRow } from '../stock/seller-store.ts';

export function batchLine(row: BatchRow): BatchLine {
  const bands = row.found.flatMap((inspection) => inspection.bands);
  return {
    batchId: row.id,
    partId: row.part_id,
    printed: row.printed,
    maker: row.maker,
    code: row.code,
    seller: row.seller,
    state: row.state,
    quantity: row.quantity,
    onHand: row.on_hand,
    sold: row.sold,
    toContact: row.to_contact,
    receivedAt: row.received_at.toISOString(),
    band: judgeBatch(bands, row.quantity),
    chance: row.found.length === 0 ? null : Math.max(...row.found.map(({ chance }) => chance)),
  };
}

type Settled = (typeof SETTLED_CONTACTS)[number];
const isSettled = (outcome: string): outcome is Settled => (SETTLED_CONTACTS as readonly string[]).includes(outcome);

export function batchView(
  row: BatchRow,
  of: {
    events: Awaited<ReturnType<typeof readEvents>>;
    sales: readonly SaleRow[];
    contacts: Awaited<ReturnType<typeof readContacts>>;
    inspections: readonly InspectionListRow[];
  },
): Batch {
  const lastHold = of.events.findLast(({ action }) => action === 'hold' || action === 'confirm' || action === 'notice');
  const closed = of.events.findLast(({ action }) => action === 'close-recall');
  return {
    ...batchLine(row),
    version: row.version,
    sellerId: row.seller_id,
    channel: row.channel,
    deliveryId: row.delivery_id,
    unitCostMinor: row.unit_cost_minor,
    events: of.events.map(({ at, ...event }) => ({ ...event, at: at.toISOString() })),
    inspections: of.inspections.map(inspectionLine),
    sales: of.sales.map((sale) => {
      const contacts = of.contacts.filter((contact) => contact.slip_line_id === sale.line_id);
      return {
        slipId: sale.slip_id,
        docket: sale.docket,
        lineId: sale.line_id,
        customer: sale.customer,
        vehicle: sale.vehicle,
        quantity: sale.quantity,
        soldAt: sale.at.toISOString(),
        named: sale.named,
        contacts: contacts.map(({ at, by, outcome, note }) => ({ at: at.toISOString(), by, outcome, note })),
        settled: contacts.some(({ outcome }) => isSettled(outcome)),
      };
    }),
    // A hold after it opens the recall again.
    recallClosed:
      closed && (!lastHold || closed.at >= lastHold.at)
        ? { at: closed.at.toISOString(), by: closed.by, reason: closed.reason }
        : null,
  };
}

export const noticeView = (row: NoticeRow) => ({
  noticeId: row.id,
  printed: row.printed,
  maker: row.maker,
  code: row.code,
  from: row.from_whom,
  says: row.says,
  at: row.at.toISOString(),
  by: row.by,
  batches: row.batches,
});

export function sellerRecord(row: SellerRow): SellerRecord {
  const record = { settled: row.settled, notGenuine: row.not_genuine };
  return {
    sellerId: row.id,
    name: row.name,
    channel: row.channel,
    batches: row.batches,
    ...record,
    ...shareOf(record),
    prior: priorOf(row.channel, record),
  };
}
