import type { FactSheet } from '@brackenfell/core/facts/facts';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import { reasonPhrase } from '@brackenfell/core/fitment/reason';
import type { Consequences } from '@brackenfell/contract/consequences';
import { readPartRows } from '../catalogue/part-store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { readEnginesOfParts } from '../identify/store.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import type { JudgedCandidate } from '../tray/judge-plugs.ts';

/** So many verdicts are looked at both ways; the commonest engines first. */
const MOST_JUDGED = 200;

/** Of a change that no verdict rests on. */
export const NOTHING_TURNS: Consequences = { changes: [], judged: 0, isWhole: true, contradicts: null };

type VerdictChange = Consequences['changes'][number];

/** What is judged by afterwards. */
export interface Then {
  readonly context: Context;
  readonly db: Database;
}

/** What became of one verdict; none where it stayed. */
export function turned(
  { id: engineId, maker, code }: { readonly id: string; readonly maker: string; readonly code: string },
  part: { readonly id: string; readonly printed: string },
  was: JudgedCandidate,
  is: JudgedCandidate,
): VerdictChange[] {
  if (was.judgement.verdict === is.judgement.verdict) return [];
  return [
    {
      partId: part.id,
      printed: part.printed,
      engineId,
      engine: `${maker} ${code}`,
      before: was.judgement.verdict,
      after: is.judgement.verdict,
      reason: reasonPhrase(is.judgement.findings, is.judgement.verdict, is.evidence),
    },
  ];
}

/**
 * What becomes of the verdicts on parts if their sheets were these: each engine that leads to them, judged both ways. `then`:
 * what engines ask afterwards, where that is otherwise too.
 */
export async function consequencesOf(
  context: Context,
  db: Database,
  sheets: ReadonlyMap<string, FactSheet>,
  then: Then = { context, db },
): Promise<Consequences> {
  const ids = [...sheets.keys()];
  const [rows, reached, index] = await Promise.all([
    readPartRows(db, ids),
    readEnginesOfParts(db, ids),
    context.indexes.at(db),
  ]);
  const visits = (engineId: string) => index.engines.get(engineId)?.visits ?? 0;
  const pairs = rows
    .flatMap((part) => [...(reached.get(part.id) ?? [])].map((engineId) => ({ part, engineId })))
    .sort((a, b) => visits(b.engineId) - visits(a.engineId));
  const found = { ofVehicle: [], ofPart: new Map(), ofRules: [], asIf: sheets };
  const changes: VerdictChange[] = [];
  let judged = 0;
  for (const { part, engineId } of pairs.slice(0, MOST_JUDGED)) {
    if (!isPartKind(part.kind)) continue;
    const question = { engineId, kind: part.kind, only: [part.id] };
    const [before, after] = await Promise.all([
      judgeEngine(context, question, 'metric', db),
      judgeEngine(then.context, { ...question, found }, 'metric', then.db),
    ]);
    const [was, is] = [before?.candidates[0], after?.candidates[0]];
    if (!was || !is) continue;
    judged += 1;
    changes.push(...turned(index.engines.get(engineId)!, part, was, is));
  }
  return { changes, judged, isWhole: pairs.length <= MOST_JUDGED, contradicts: null };
}
