import { CHECKS_BY_KIND } from '@brackenfell/core/kinds/checks-by-kind';
import { FACTS } from '@brackenfell/core/facts/facts';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import { reasonPhrase } from '@brackenfell/core/fitment/reason';
import { sayIn } from '@brackenfell/core/fitment/say';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { PartFills } from '@brackenfell/contract/part';
import { readPartSheets } from '../catalogue/fact-store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { readEnginesOfParts } from '../identify/store.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import { readPartRows } from '../catalogue/part-store.ts';
import { factLines } from './present.ts';
import { readReferences } from './store.ts';

const MOST_COLUMNS = 6;

/**
 * The parts that an engine maker's number is filled with, whatever their boxes say: price, stock, verdict for the engine (the
 * one asked about, else the one that names the number), and the facts in which they differ.
 */
export async function readFills(
  context: Context,
  db: Database,
  { partId, engineId, units }: { partId: string; engineId: string | undefined; units: UnitDisplay },
): Promise<PartFills> {
  const same = (await readReferences(db, partId)).filter(({ grade }) => grade === 'same');
  const ids = [...new Set(same.map((r) => (r.from_part_id === partId ? r.to_part_id : r.from_part_id)))];
  const rows = (await readPartRows(db, ids)).filter(({ kind }) => isPartKind(kind));
  const held = await context.sheets.at(db);
  const sheets = await readPartSheets(
    db,
    held.scales,
    rows.map(({ id }) => id),
  );
  const say = sayIn(units);
  const printed = new Map(
    rows.map(({ id }) => [
      id,
      new Map(factLines(sheets.get(id)!, say).flatMap(({ label, value, ruling }) => (ruling ? [[label, value]] : []))),
    ]),
  );
  // Of course each bears its own number.
  const own = FACTS['plug.printedNumbers'].label;
  const labels = [...new Set([...printed.values()].flatMap((facts) => [...facts.keys()]))].filter(
    (label) => label !== own && new Set([...printed.values()].map((facts) => facts.get(label))).size > 1,
  );
  const kind = rows.map((row) => row.kind).find(isPartKind);
  const engine = engineId ?? [...((await readEnginesOfParts(db, [partId])).get(partId) ?? [])][0];
  const judged =
    engine === undefined || kind === undefined || CHECKS_BY_KIND[kind].length === 0
      ? undefined
      : await judgeEngine(context, { engineId: engine, kind, only: rows.map(({ id }) => id) }, units, db);
  const told = new Map(judged?.candidates.map((candidate) => [candidate.part.id, candidate]));
  return {
    engine: judged ? `${judged.engine.maker} ${judged.engine.code}` : null,
    differIn: labels.slice(0, MOST_COLUMNS),
    moreDiffer: Math.max(0, labels.length - MOST_COLUMNS),
    parts: rows.map((row) => {
      const candidate = told.get(row.id);
      return {
        partId: row.id,
        printed: row.printed,
        maker: row.maker,
        onHand: row.on_hand ?? 0,
        priceMinor: row.each_minor,
        verdict: candidate?.judgement.verdict ?? null,
        reason: candidate
          ? reasonPhrase(candidate.judgement.findings, candidate.judgement.verdict, candidate.evidence)
          : null,
        values: labels.slice(0, MOST_COLUMNS).map((label) => printed.get(row.id)?.get(label) ?? null),
      };
    }),
  };
}
