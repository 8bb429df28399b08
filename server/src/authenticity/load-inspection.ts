import { rulingValue, type FactSheet } from '@brackenfell/core/facts/facts';
import { latestEntry } from '@brackenfell/core/authenticity/inspection';
import { MEASURED, type DecodedSpan } from '@brackenfell/core/authenticity/measured';
import { MEASURED_IDS, type MeasuredId } from '@brackenfell/core/authenticity/tell';
import { decodeNumber, type NumberGrammar } from '@brackenfell/core/part-numbers/grammar';
import type { Inspection } from '@brackenfell/contract/inspection';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { decodedView } from '../part/present.ts';
import { plugShape } from '../tray/shapes.ts';
import { findInspection, readAround, type JournalRow } from './inspection-store.ts';
import { judgePaper } from './paper-trail.ts';
import { referenceView } from './reference-routes.ts';

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

/** What a price paid is noted under. */
export const PAID = 'paidMinor';
export const NO_INSPECTION = 'There is no inspection of that number.';

/** The journal as everybody reads it. */
export const journalView = (journal: readonly JournalRow[]): Inspection['journal'] =>
  journal.map(({ what, subject, piece, answer, value, device, at, by }) => ({
    what,
    subject,
    piece,
    answer,
    value,
    device,
    by,
    at: at.toISOString(),
  }));

/** An inspection with everything it is judged from, as it stands now: two readings and the catalogue's version. */
export async function loadInspection(
  context: Context,
  db: Database,
  inspectionId: string,
): Promise<Inspection | Trouble> {
  const found = await findInspection(db, inspectionId);
  if (!found) return trouble('not-found', NO_INSPECTION);
  const { row, journal, conclusion, reference } = found;
  context.entryFrames.keep(inspectionId, { pieces: row.pieces, content: reference?.content });
  const batchCode = latestEntry(journal, { what: 'number', subject: 'batch', piece: 0 })?.answer ?? row.code ?? '';
  const paidMinor = latestEntry(journal, { what: 'measure', subject: PAID, piece: 0 })?.value ?? row.unit_cost_minor;
  const numbers = journal
    .filter(({ what, subject, answer }) => what === 'number' && subject !== 'batch' && answer !== 'withdrawn')
    .map(({ answer }) => answer);
  const papers = { partId: row.part_id, sellerId: row.seller_id, batchId: row.batch_id, batchCode };
  const { part, makerId, names, recorded, references, record, elsewhere, bearers } = await readAround(db, papers, {
    // Of a piece that was out of sight, the seller's record says nothing.
    recordOf: row.channel === 'returned' ? null : row.seller_id,
    numbers,
  });
  const kind = part.kind as PartKind;
  const { sheet, version } = await context.sheets.ofPart(db, kind, row.part_id);
  const index = await context.indexes.at(db, version);
  const paper = judgePaper({ batchCode, paidMinor, content: reference?.content }, elsewhere);
  const decoded = kind === 'plug' ? decodedView(part.printed, index.grammars.get(makerId), recorded) : null;
  return {
    inspectionId,
    part: {
      partId: row.part_id,
      printed: part.printed,
      maker: part.maker,
      makerId,
      kind: part.kind,
      names: [...new Set([part.printed, ...names])],
      shape: kind === 'plug' ? plugShape(sheet) : null,
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
    otherReferences: references
      .filter(({ id }) => id !== row.reference_id)
      .map(({ id, content }) => ({ referenceId: id, title: content.title })),
    referenceUsed: row.reference_used,
    pieces: row.pieces,
    batchSize: row.batch_size,
    askedFor: row.asked_for,
    catalogue: measuredFigures(sheet),
    bearers: Object.fromEntries(
      [...new Set(numbers)].map((answer) => [
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
          figures: decodedSpans(part.printed, index.grammars.get(makerId)),
          against: decoded.mismatches.map(({ says }) => says),
        }
      : null,
    journal: journalView(journal),
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
