import type { Express } from 'express';
import { auditedPlug, contradictionOf } from '@brackenfell/core/catalogue-audit/reference-contradiction';
import { factsOfKind, isRecordable } from '@brackenfell/core/facts/fact-form';
import { FACTS } from '@brackenfell/core/facts/facts';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { isWeak } from '@brackenfell/core/interchange/trail';
import type { Consequences } from '@brackenfell/contract/consequences';
import { getMending, mendPart, previewMending, undoMending, type MendingChange } from '@brackenfell/contract/mending';
import { readPartSheets } from '../catalogue/fact-store.ts';
import { asIfDone } from '../consequences/as-if-done.ts';
import { consequencesOf, turned } from '../consequences/consequences.ts';
import { wouldBe } from '../consequences/would-be-store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import { readListingsOf } from './listing-store.ts';
import { canUndo, make, takeBack } from './make-change.ts';
import { partToMend, showMending } from './show-mending.ts';
import { readHistory, readPrice } from './store.ts';

const NOTHING_TURNS = { changes: [], judged: 0, isWhole: true, contradicts: null };

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

  serve(app, context, previewMending, async ({ params: { partId }, body: { change }, staff, db }) => {
    const part = await partToMend(db, partId);
    if (isTrouble(part)) return part;
    const wrong = amiss(part.kind, change);
    if (wrong) return wrong;
    if (change.what === 'listing' || change.what === 'unlist')
      return ofListing(context, db, { ...part, id: partId }, change, staff.id);
    if (change.what !== 'figure' && change.what !== 'withdraw' && change.what !== 'reference') return NOTHING_TURNS;
    if (change.what === 'reference')
      return { ...NOTHING_TURNS, contradicts: await against(context, db, partId, change) };
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
    if (!entry || !canUndo(entry, await readPrice(trx, partId)))
      return trouble('changed-meanwhile', 'It has been changed again since: look at the part as it is now.');
    await takeBack(trx, partId, entry, staff.id);
    return showMending(context, trx, partId);
  });
}

/** The verdict on the part for the engine it is listed for, or no more. */
async function ofListing(
  context: Context,
  db: Database,
  part: { readonly id: string; readonly kind: PartKind; readonly printed: string },
  change: Extract<MendingChange, { what: 'listing' | 'unlist' }>,
  staffId: string,
): Promise<Consequences> {
  const engineId =
    change.what === 'listing'
      ? change.engineId
      : (await readListingsOf(db, part.id)).find(({ id }) => id === change.listingId)?.engine_id;
  const engine = (await context.indexes.at(db)).engines.get(engineId ?? '');
  if (!engine) return NOTHING_TURNS;
  const question = { engineId: engine.id, kind: part.kind, only: [part.id] };
  const before = await judgeEngine(context, question, 'metric', db);
  const after = await asIfDone(
    context,
    (trx) => make(trx, part.id, change, staffId),
    (then) => judgeEngine(then.context, question, 'metric', then.db),
  );
  const [was, is] = [before?.candidates[0], after?.candidates[0]];
  if (!was || !is) return NOTHING_TURNS;
  return { ...NOTHING_TURNS, judged: 1, changes: turned(engine, part, was, is) };
}

/** What the dimensions say against calling two plugs equal; null for what says less. */
async function against(
  context: Context,
  db: Database,
  partId: string,
  { toPartId, grade }: Extract<MendingChange, { what: 'reference' }>,
): Promise<string | null> {
  if (isWeak(grade) || grade === 'supersedes') return null;
  const { scales } = await context.sheets.at(db);
  const sheets = await readPartSheets(db, scales, [partId, toPartId]);
  const [a, b] = [sheets.get(partId)!, sheets.get(toPartId)!];
  return contradictionOf(auditedPlug(a), auditedPlug(b)) ?? null;
}
