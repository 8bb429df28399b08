import { rulingValue, type FactSheet } from '@brackenfell/core/facts/facts';
import { latestEntry } from '@brackenfell/core/authenticity/inspection';
import { MEASURED, type DecodedSpan } from '@brackenfell/core/authenticity/measured';
import { MEASURED_IDS, type MeasuredId } from '@brackenfell/core/authenticity/tell';
import { decodeNumber, type NumberGrammar } from '@brackenfell/core/part-numbers/grammar';
import type { Inspection } from '@brackenfell/contract/inspection';
import { readPartSheets } from '../catalogue/fact-store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { decodedView } from '../part/present.ts';
import { readMakerId, readNames, readRecorded } from '../part/store.ts';
import { plugShape } from '../tray/shapes.ts';
import { readPartRows } from '../catalogue/part-store.ts';
import { readPaper } from './paper-trail.ts';
import { referenceView } from './reference-routes.ts';
import { findReference, readReferenceRows } from './reference-store.ts';
import { findInspection, readBearers, readConclusion, readJournal, readRecord } from '../inspection/store.ts';

/** The catalogue's figures of what can be measured on a piece. */
export function measuredFigures(sheet: FactSheet): Partial<Record<MeasuredId, number>> {
  const resistor = rulingValue(sheet, 'plug.resistor');
  const figures: Record<MeasuredId, number | undefined> = {
    reachMm: rulingValue(sheet, 'plug.reachMm'),
    lengthMm: rulingValue(sheet, 'plug.lengthMm'),
    hexMm: rulingValue(sheet, 'plug.hexMm'),
    threadMm: rulingValue(sheet, 'plug.threadDiameterMm'),
    gapMm: rulingValue(sheet, 'plug.gapMm'),
    resistorKohm: resistor?.kind === 'value' ? resistor.kohm : undefined,
    weightG: undefined,
    primaryOhm: rulingValue(sheet, 'coil.primaryOhm'),
  };
  return Object.fromEntries(Object.entries(figures).filter(([, value]) => value !== undefined));
}

/** What a number says of quantities that can be measured, by its maker's scheme. */
function decodedSpans(printed: string, grammar: NumberGrammar | undefined): Partial<Record<MeasuredId, DecodedSpan>> {
  const decoded = grammar && decodeNumber(printed, grammar);
  if (decoded?.kind !== 'decoded') return {};
  const facts = decoded.fields.flatMap((field) => field.facts);
  return Object.fromEntries(
    MEASURED_IDS.flatMap((id) => {
      const said = facts.find(({ fact }) => fact === MEASURED[id].fact);
      return said?.low === undefined ? [] : [[id, { low: said.low, high: said.high ?? said.low }]];
    }),
  );
}

const PAID = 'paidMinor';

/** An inspection with everything it is judged from, as it stands now. */
export async function loadInspection(
  context: Context,
  db: Database,
  inspectionId: string,
): Promise<Inspection | Trouble> {
  const row = await findInspection(db, inspectionId);
  if (!row) return trouble('not-found', 'There is no inspection of that number.');
  const [part] = await readPartRows(db, [row.part_id]);
  const journal = await readJournal(db, inspectionId);
  const names = await readNames(db, row.part_id);
  const makerId = await readMakerId(db, row.part_id);
  const held = await context.sheets.at(db);
  const sheet = (await readPartSheets(db, held.scales, [row.part_id])).get(row.part_id)!;
  const reference = row.reference_id === null ? undefined : await findReference(db, row.reference_id);
  const others = await readReferenceRows(db, { makerId, partKind: part!.kind });
  // Of a piece that was out of sight, the seller's record says nothing.
  const record = await readRecord(db, row.channel === 'returned' ? null : row.seller_id, row.batch_id);
  const batchCode = latestEntry(journal, { what: 'number', subject: 'batch', piece: 0 })?.answer ?? row.code ?? '';
  const paidMinor = latestEntry(journal, { what: 'measure', subject: PAID, piece: 0 })?.value ?? row.unit_cost_minor;
  const paper = await readPaper(db, {
    partId: row.part_id,
    sellerId: row.seller_id,
    batchId: row.batch_id,
    batchCode,
    paidMinor,
    content: reference?.content,
  });
  const numbers = journal.filter(
    ({ what, subject, answer }) => what === 'number' && subject !== 'batch' && answer !== 'withdrawn',
  );
  const bearers = await readBearers(
    db,
    numbers.map(({ answer }) => answer),
  );
  const index = await context.indexes.at(db);
  const decoded =
    part!.kind === 'plug'
      ? decodedView(part!.printed, index.grammars.get(makerId), await readRecorded(db, row.part_id))
      : null;
  const conclusion = await readConclusion(db, inspectionId);
  return {
    inspectionId,
    part: {
      partId: row.part_id,
      printed: part!.printed,
      maker: part!.maker,
      makerId,
      kind: part!.kind,
      names: [...new Set([part!.printed, ...names.map(({ printed }) => printed)])],
      shape: part!.kind === 'plug' ? plugShape(sheet) : null,
    },
    seller: row.seller_id === null ? null : { sellerId: row.seller_id, name: row.seller_name! },
    channel: row.channel,
    record,
    batch:
      row.batch_id === null
        ? null
        : { batchId: row.batch_id, code: row.code!, state: row.batch_state!, seller: row.batch_seller_name! },
    batchCode,
    batchCodeSays: paper.codeSays,
    paper: paper.items,
    price: paidMinor === null ? null : { paidMinor, usualMinor: paper.usualMinor },
    reference: reference ? referenceView(reference) : null,
    otherReferences: others
      .filter(({ id }) => id !== row.reference_id)
      .map(({ id, content }) => ({ referenceId: id, title: content.title })),
    referenceUsed: row.reference_used,
    pieces: row.pieces,
    batchSize: row.batch_size,
    askedFor: row.asked_for,
    catalogue: measuredFigures(sheet),
    bearers: Object.fromEntries(
      [...new Set(numbers.map(({ answer }) => answer))].map((answer) => [
        answer,
        bearers
          .filter(({ asked }) => asked === answer)
          .map(({ id, printed, maker, revision }) => ({ partId: id, printed, maker, revision })),
      ]),
    ),
    decoded: decoded
      ? {
          says: decoded.fields
            .filter(({ code: text }) => text !== '')
            .slice(1)
            .map(({ says }) => says)
            .join(', '),
          figures: decodedSpans(part!.printed, index.grammars.get(makerId)),
          against: decoded.mismatches.map(({ says }) => says),
        }
      : null,
    journal: journal.map(({ what, subject, piece, answer, value, device, at, by }) => ({
      what,
      subject,
      piece,
      answer,
      value,
      device,
      by,
      at: at.toISOString(),
    })),
    slip: row.slip_id === null ? null : { slipId: row.slip_id, docket: row.docket!, lineId: row.slip_line_id! },
    conclusion: conclusion
      ? {
          at: conclusion.at.toISOString(),
          by: conclusion.by,
          band: conclusion.band,
          chance: conclusion.chance,
          says: conclusion.says,
          stale: conclusion.journal_length !== journal.length,
        }
      : null,
    begunAt: row.at.toISOString(),
    begunBy: row.by,
  };
}
