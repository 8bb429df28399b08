import { printPrice } from '@brackenfell/core/words/money';
import { judgeInspection, NUMBER_PLACE_WORDS, pieceLabel } from '@brackenfell/core/authenticity/inspection';
import { MEASURED } from '@brackenfell/core/authenticity/measured';
import { chanceOf } from '@brackenfell/core/authenticity/evidence';
import type { MeasuredId } from '@brackenfell/core/authenticity/tell';
import type { EvidencePack } from '@brackenfell/contract/evidence-pack';
import type { Inspection } from '@brackenfell/contract/inspection';
import { matterOf } from '@brackenfell/contract/inspection-matter';
import type { Staff } from '@brackenfell/contract/session';
import { loadInspection } from '../authenticity/load-inspection.ts';
import { listInspectionRows } from '../inspection/store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { readBatches, readEvents } from '../stock/batch-store.ts';

const STATEMENT =
  'This pack sets down what was seen and measured on pieces of one batch, and how that was weighed. It is evidence about ' +
  'these pieces. It accuses nobody: a seller may have been deceived as the shop was. Please look at it against your own ' +
  'records and tell us what you find.';

/** A batch's evidence as it stands: every inspection judged again from its journal, so that the reader can follow each step. */
export async function makeEvidencePack(
  context: Context,
  db: Database,
  batchId: string,
  staff: Staff,
): Promise<EvidencePack | Trouble> {
  const [batch] = await readBatches(db, { batchId });
  if (!batch) return trouble('not-found', 'There is no such batch.');
  const inspections: EvidencePack['inspections'] = [];
  for (const { id } of (await listInspectionRows(db, { batchId })).reverse()) {
    const inspection = await loadInspection(context, db, id);
    if (!isTrouble(inspection)) inspections.push(packInspection(inspection));
  }
  const events = await readEvents(db, batchId);
  return {
    schema: 'urn:brackenfell:evidence-pack:1',
    madeAt: new Date().toISOString(),
    madeBy: staff.name,
    statement: STATEMENT,
    batch: {
      number: batch.printed,
      maker: batch.maker,
      code: batch.code,
      seller: batch.seller,
      channel: batch.channel,
      receivedAt: batch.received_at.toISOString(),
      quantity: batch.quantity,
      state: batch.state,
      unitCostMinor: batch.unit_cost_minor,
    },
    inspections,
    events: events.map(({ at, ...event }) => ({ ...event, at: at.toISOString() })),
    soldPieces: batch.sold,
  };
}

function packInspection(inspection: Inspection): EvidencePack['inspections'][number] {
  const judged = judgeInspection(matterOf(inspection));
  const tells = inspection.reference?.content.tells ?? [];
  return {
    inspectionId: inspection.inspectionId,
    at: inspection.begunAt,
    by: inspection.begunBy,
    band: judged.band,
    reference: inspection.reference
      ? `${inspection.reference.content.title}, version ${inspection.reference.version}`
      : 'none',
    referenceUsed: inspection.referenceUsed,
    priorChance: judged.prior,
    blocks: [...judged.blocks],
    numbers: judged.numbers.map(({ place, printed, outcome, says }) => ({ place, printed, outcome, says })),
    pieces: judged.pieces.map(({ label, judgement, answers, readings }) => ({
      piece: label,
      band: judgement.band,
      chance: judgement.chance,
      steps: judgement.steps
        .filter(({ moved, capped }) => moved !== 0 || capped)
        .map(({ title, aspect, moved, capped, logOddsAfter }) => ({
          title,
          aspect,
          factor: Math.exp(moved),
          capped,
          chanceAfter: chanceOf(logOddsAfter),
        })),
      tells: tells.flatMap(({ id, title, genuine, suspect }) =>
        answers[id] === undefined ? [] : [{ title, answer: answers[id], genuine, suspect }],
      ),
      readings: readings.map(({ id, value, expected }) => ({
        label: MEASURED[id].label,
        value,
        unit: MEASURED[id].unit,
        expected,
      })),
    })),
    journal: inspection.journal.map(({ at, by, piece, device, ...entry }) => ({
      at,
      by,
      piece,
      device,
      says: sayEntry(entry, tells),
    })),
  };
}

/** A journal's line in words. */
function sayEntry(
  { what, subject, answer, value }: Pick<Inspection['journal'][number], 'what' | 'subject' | 'answer' | 'value'>,
  tells: readonly { id: string; title: string }[],
): string {
  const withdrawn = answer === 'withdrawn' ? 'taken back' : undefined;
  switch (what) {
    case 'tell':
      return `${tells.find(({ id }) => id === subject)?.title ?? subject}: ${withdrawn ?? answer.replace('-', ' ')}`;
    case 'number': {
      const place = subject === 'batch' ? 'Batch code' : NUMBER_PLACE_WORDS[subject as keyof typeof NUMBER_PLACE_WORDS];
      return `${place}: ${withdrawn ?? answer}`;
    }
    case 'measure': {
      if (subject === 'paidMinor') return `Price paid: ${withdrawn ?? printPrice(value)}`;
      const { label, unit, decimals } = MEASURED[subject as MeasuredId];
      return `${label}: ${withdrawn ?? `${(value ?? 0).toFixed(decimals)} ${unit}`}`;
    }
  }
}

/** Which piece a journal's line is of, in words. */
export const sayPiece = (piece: number): string => (piece === 0 ? 'set' : pieceLabel(piece));
