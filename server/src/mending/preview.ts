import { auditedPlug, contradictionOf } from '@brackenfell/core/catalogue-audit/reference-contradiction';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { isWeak } from '@brackenfell/core/interchange/trail';
import type { Consequences } from '@brackenfell/contract/consequences';
import type { MendingChange } from '@brackenfell/contract/mending';
import { readPartSheets } from '../catalogue/fact-store.ts';
import { asIfDone } from '../consequences/as-if-done.ts';
import { consequencesOf, NOTHING_TURNS, turned } from '../consequences/consequences.ts';
import { wouldBe, type FigureChange } from '../consequences/would-be-store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import { readListingsOf } from './listing-store.ts';
import { make } from './make-change.ts';

interface PartMended {
  readonly id: string;
  readonly kind: PartKind;
  readonly printed: string;
}

/** What a change of a part would make of verdicts; nothing of it lasts. */
export async function previewOf(
  context: Context,
  db: Database,
  part: PartMended,
  change: MendingChange,
  staffId: string,
): Promise<Consequences> {
  switch (change.what) {
    case 'listing':
    case 'unlist':
      return ofListing(context, db, part, change, staffId);
    case 'reference':
      return { ...NOTHING_TURNS, contradicts: await against(context, db, part.id, change) };
    case 'figure': {
      const { fact, value, rank, source: name } = change;
      return ofFigures(context, db, part, { added: [{ fact, value, source: { rank, name } }], withdrawn: [] });
    }
    case 'withdraw':
      return ofFigures(context, db, part, { added: [], withdrawn: [change.figureId] });
    default:
      return NOTHING_TURNS;
  }
}

async function ofFigures(
  context: Context,
  db: Database,
  { id, kind }: PartMended,
  change: FigureChange,
): Promise<Consequences> {
  const { scales } = await context.sheets.at(db);
  const sheets = await wouldBe(db, scales, new Map([[id, change]]), async (partId) => {
    const { sheet } = await context.sheets.ofPart(db, kind, partId);
    return sheet;
  });
  return consequencesOf(context, db, sheets);
}

/** The verdict on the part for the engine it is listed for, or no more. */
async function ofListing(
  context: Context,
  db: Database,
  part: PartMended,
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
