import { auditedPlug, contradictionOf } from '@brackenfell/core/catalogue-audit/reference-contradiction';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import { reasonPhrase } from '@brackenfell/core/fitment/reason';
import { nearestFirst } from '@brackenfell/core/interchange/neighbourhood';
import type { PartGraph } from '@brackenfell/contract/part';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { readEdgesAround } from '../interchange/store.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import { readPartRows } from '../catalogue/part-store.ts';

const MOST_NODES = 40;

/**
 * The references around a part, nearest first, those to come among them; each number with its verdict for the engine, each
 * reference with what contradicts it. Undefined without such a part.
 */
export async function readGraph(
  context: Context,
  db: Database,
  partId: string,
  engineId: string | undefined,
): Promise<PartGraph | undefined> {
  const edges = await readEdgesAround(db, [partId], { withThoseToCome: true });
  const hops = nearestFirst(partId, edges);
  const shown = new Map([...hops].slice(0, MOST_NODES));
  const rows = await readPartRows(db, [...shown.keys()]);
  const middle = rows.find(({ id }) => id === partId);
  if (!middle) return undefined;
  const { plugs } = await context.sheets.withPlugs(db);
  const compared = new Map(
    rows.flatMap(({ id }) => {
      const place = plugs.placeOf(id);
      return place === undefined ? [] : [[id, auditedPlug(plugs.sheetOf(place))] as const];
    }),
  );
  const kind = rows.map((row) => row.kind).find(isPartKind);
  const judged =
    engineId === undefined || kind === undefined
      ? undefined
      : await judgeEngine(
          context,
          { engineId, kind, only: rows.filter((row) => row.kind === kind).map(({ id }) => id) },
          'metric',
          db,
        );
  const told = new Map(
    judged?.candidates.map(({ part, judgement: { verdict, findings }, evidence }) => [
      part.id,
      { verdict, reason: reasonPhrase(findings, verdict, evidence) },
    ]),
  );
  return {
    partId,
    nodes: rows
      .map((row) => ({
        partId: row.id,
        printed: row.printed,
        maker: row.maker,
        kind: row.kind,
        onHand: row.on_hand,
        hops: shown.get(row.id)!,
        verdict: told.get(row.id)?.verdict ?? null,
        reason: told.get(row.id)?.reason ?? null,
      }))
      .sort((a, b) => a.hops - b.hops || (a.printed < b.printed ? -1 : 1)),
    edges: edges
      .filter(({ from, to }) => shown.has(from) && shown.has(to))
      .map(({ id, condition: _, ...edge }) => {
        const [a, b] = [compared.get(edge.from), compared.get(edge.to)];
        const equal = edge.grade === 'same' || edge.grade === 'equivalent';
        return { edgeId: id, ...edge, contradicts: equal && a && b ? (contradictionOf(a, b) ?? null) : null };
      }),
    more: hops.size - shown.size,
  };
}
