import type { Express } from 'express';
import { factsOfKind, formOf, isRecordable, isRecordedFact } from '@brackenfell/core/facts/fact-form';
import { FACTS, knowFact, type RecordedFactId } from '@brackenfell/core/facts/facts';
import type { HeatScales } from '@brackenfell/core/facts/fact';
import { isPartKind, type PartKind } from '@brackenfell/core/facts/part-kinds';
import { sayIn } from '@brackenfell/core/fitment/say';
import { printPrice } from '@brackenfell/core/words/money';
import {
  getMending,
  mendPart,
  previewMending,
  undoMending,
  type Mending,
  type MendingChange,
} from '@brackenfell/contract/mending';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { readPartRows } from '../catalogue/part-store.ts';
import { consequencesOf } from '../consequences/consequences.ts';
import { wouldBe } from '../consequences/would-be-store.ts';
import type { Context } from '../context/context.ts';
import type { Database, Writing } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { withdrawFigures } from '../interchange/edit-reference.ts';
import { printFact } from '../part/print-fact.ts';
import {
  addFigure,
  findFigure,
  readFigures,
  readHistory,
  readPrice,
  setPrice,
  type MendingEntry,
  type Price,
} from './store.ts';

const METRIC = sayIn('metric');
const GONE = 'It does not stand any more: look at the part as it is now.';

const printRecorded = (fact: RecordedFactId, value: unknown, scales: HeatScales): string => {
  const known = knowFact(fact, value, scales);
  // A rating on a scale nobody has given is told by its code.
  if (known === undefined) return (value as { code: string }).code;
  return printFact(fact, known, METRIC);
};

const sayOfPrice = (price: Price | null): string =>
  price === null ? 'no price' : `${printPrice(price.eachMinor)}, pack of ${price.packOf}`;

/** A part that is mended: what an engine may ask for. */
async function partToMend(db: Database, partId: string) {
  const [part] = await readPartRows(db, [partId]);
  if (!part) return trouble('not-found', 'No part of this catalogue has that number.');
  const { kind, ...rest } = part;
  return isPartKind(kind)
    ? { ...rest, kind }
    : trouble('not-allowed-now', 'A number that is only spoken of has no figures.');
}

/** Why a change cannot be made of a part; undefined where it can. */
function amiss(kind: PartKind, change: MendingChange): Trouble | undefined {
  if (change.what !== 'figure') return undefined;
  if (!factsOfKind(kind).includes(change.fact))
    return trouble('invalid-request', `A ${kind} has no ${FACTS[change.fact].label}.`, {
      'change.fact': 'is of another kind',
    });
  return isRecordable(change.fact, change.value)
    ? undefined
    : trouble('invalid-request', `That is no ${FACTS[change.fact].label}.`, {
        'change.value': 'is not what it records',
      });
}

/** What is recorded of a part, changed and taken back by those who keep the catalogue. */
export function mendingRoutes(app: Express, context: Context): void {
  serve(app, context, getMending, ({ params, db }) => showMending(context, db, params.partId));

  serve(app, context, previewMending, async ({ params: { partId }, body: { change }, db }) => {
    const part = await partToMend(db, partId);
    if (isTrouble(part)) return part;
    const wrong = amiss(part.kind, change);
    if (wrong) return wrong;
    if (change.what === 'price') return { changes: [], judged: 0, isWhole: true };
    const figure =
      change.what === 'figure'
        ? {
            added: [{ fact: change.fact, value: change.value, source: { rank: change.rank, name: change.source } }],
            withdrawn: [],
          }
        : { added: [], withdrawn: [change.figureId] };
    const held = await context.sheets.at(db);
    const sheets = await wouldBe(db, held.scales, new Map([[partId, figure]]), async (id) => {
      const { sheet } = await context.sheets.ofPart(db, part.kind, id);
      return sheet;
    });
    return consequencesOf(context, db, sheets);
  });

  serve(app, context, mendPart, async ({ params: { partId }, body: { change }, staff, trx }) => {
    const part = await partToMend(trx, partId);
    if (isTrouble(part)) return part;
    const wrong = amiss(part.kind, change) ?? (await make(trx, partId, change, staff.id));
    return wrong ?? showMending(context, trx, partId);
  });

  serve(app, context, undoMending, async ({ params: { partId }, body: { entryId }, staff, trx }) => {
    const entry = (await readHistory(trx, partId)).find(({ id }) => id === entryId);
    if (!entry || !canUndo(entry))
      return trouble('changed-meanwhile', 'It has been changed again since: look at the part as it is now.');
    await takeBack(trx, partId, entry, staff.id);
    return showMending(context, trx, partId);
  });
}

async function make(
  trx: Writing,
  partId: string,
  change: MendingChange,
  staffId: string,
): Promise<Trouble | undefined> {
  if (change.what === 'price') {
    await changePrice(trx, partId, change, staffId);
    return undefined;
  }
  if (change.what === 'figure') {
    const { fact, value, rank, source } = change;
    const figureId = await addFigure(trx, partId, change);
    await recordChange(trx, {
      staffId,
      subject: 'figure',
      subjectId: figureId,
      action: 'added',
      after: { fact, value, rank, source },
    });
  } else {
    const figure = await findFigure(trx, partId, change.figureId);
    if (figure?.withdrawn_at !== null) return trouble('changed-meanwhile', GONE);
    await withdrawFigures(trx, { figureIds: [figure.id], staffId, withdrawn: true });
  }
  await chooseFigures(trx, [partId], []);
  return undefined;
}

async function changePrice(trx: Writing, partId: string, { eachMinor, packOf }: Price, staffId: string): Promise<void> {
  const before = await readPrice(trx, partId);
  const after = { eachMinor, packOf };
  await setPrice(trx, partId, after);
  await recordChange(trx, { staffId, subject: 'price', subjectId: partId, action: 'changed', before, after });
}

/** The first price there ever was has nothing to go back to. */
const canUndo = ({ is_last, subject, before }: MendingEntry): boolean =>
  is_last && (subject === 'figure' || before !== null);

async function takeBack(trx: Writing, partId: string, entry: MendingEntry, staffId: string): Promise<void> {
  if (entry.subject === 'price') return changePrice(trx, partId, entry.before as Price, staffId);
  await withdrawFigures(trx, { figureIds: [entry.subject_id], staffId, withdrawn: entry.action !== 'withdrawn' });
  await chooseFigures(trx, [partId], []);
}

async function showMending(context: Context, db: Database, partId: string): Promise<Mending | Trouble> {
  const part = await partToMend(db, partId);
  if (isTrouble(part)) return part;
  const [{ scales }, figures, price, entries] = await Promise.all([
    context.sheets.at(db),
    readFigures(db, partId),
    readPrice(db, partId),
    readHistory(db, partId),
  ]);
  const figuresById = new Map<string, string>();
  for (const { subject, subject_id: id } of entries) {
    if (subject !== 'figure' || figuresById.has(id)) continue;
    const figure = await findFigure(db, partId, id);
    if (figure && isRecordedFact(figure.attribute))
      figuresById.set(
        id,
        `${FACTS[figure.attribute].label} ${printRecorded(figure.attribute, figure.value, scales)} (${figure.source_name})`,
      );
  }
  return {
    partId,
    printed: part.printed,
    maker: part.maker,
    kind: part.kind,
    facts: factsOfKind(part.kind).map((fact) => {
      const form = formOf(fact);
      return {
        fact,
        label: FACTS[fact].label,
        question: FACTS[fact].question,
        form:
          form === undefined
            ? null
            : form.kind === 'heat'
              ? { kind: 'heat' as const, scales: [...scales].map(([maker, { maker: name }]) => ({ maker, name })) }
              : form.kind === 'choose'
                ? { kind: 'choose' as const, options: [...form.options] }
                : form,
        figures: figures
          .filter(({ attribute }) => attribute === fact)
          .map((figure) => ({
            figureId: figure.id,
            value: printRecorded(fact, figure.value, scales),
            rank: figure.source_rank,
            source: figure.source_name,
            rules: figure.rules === true,
          })),
      };
    }),
    price,
    history: entries.map((entry) => ({
      entryId: entry.id,
      at: entry.at.toISOString(),
      by: entry.by,
      says:
        entry.subject === 'price'
          ? `price ${sayOfPrice(entry.after as Price)}; before ${sayOfPrice(entry.before as Price | null)}`
          : `${figuresById.get(entry.subject_id) ?? 'figure'}: ${entry.action}`,
      canUndo: canUndo(entry),
    })),
  };
}
