import type { Express } from 'express';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import { reasonPhrase } from '@brackenfell/core/fitment/reason';
import { sayIn } from '@brackenfell/core/fitment/say';
import { VERDICTS } from '@brackenfell/core/fitment/verdict';
import { followSupersession } from '@brackenfell/core/interchange/supersession';
import {
  getPart,
  getPartEngines,
  getPartFills,
  getPartGraph,
  listNumbers,
  NUMBERS_A_PAGE,
} from '@brackenfell/contract/part';
import { readPartSheets } from '../catalogue/fact-store.ts';
import { tellSuccession } from '../ask/present.ts';
import { readNamedParts } from '../catalogue/part-store.ts';
import type { Context } from '../context/context.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { readEnginesOfParts } from '../identify/store.ts';
import { readRenamings } from '../interchange/store.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import { plugShape } from '../tray/shapes.ts';
import { readPartRows } from '../catalogue/part-store.ts';
import { shelfCard } from '../catalogue/shelf-store.ts';
import { readFills } from './fills.ts';
import { readGraph } from './graph.ts';
import { readMakers, readNumbers } from './number-store.ts';
import { decodedView, factLines } from './present.ts';
import { asRecordedFigure, namesOf, readEnginesOf, readMakerId, readReferences, recordedOf } from './store.ts';

const NO_PART = 'No part of this catalogue has that number.';
const MOST_JUDGED = 20;

export function partRoutes(app: Express, context: Context): void {
  serve(app, context, listNumbers, async ({ query, db }) => {
    const [rows, makers] = await Promise.all([readNumbers(db, query), readMakers(db)]);
    return {
      numbers: rows.slice(0, NUMBERS_A_PAGE).map((row) => ({
        nameId: row.id,
        normal: row.normal_form,
        partId: row.part_id,
        printed: row.printed,
        as: row.kind,
        maker: row.maker,
        kind: row.part_kind,
        onHand: row.on_hand,
        priceMinor: row.each_minor,
      })),
      hasMore: rows.length > NUMBERS_A_PAGE,
      makers,
    };
  });

  serve(app, context, getPart, async ({ params, query, db }) => {
    const [part] = await readPartRows(db, [params.partId]);
    if (!part) return trouble('not-found', NO_PART);
    const [names, references, engines, held, index, makerId, recorded, renamings] = await Promise.all([
      namesOf(db, part.id).execute(),
      readReferences(db, part.id),
      readEnginesOf(db, part.id),
      context.sheets.at(db),
      context.indexes.at(db),
      readMakerId(db, part.id),
      recordedOf(db, part.id).execute(),
      readRenamings(db, [part.id]),
    ]);
    const sheet = (await readPartSheets(db, held.scales, [part.id])).get(part.id)!;
    const others = references.map((r) => (r.from_part_id === part.id ? r.to_part_id : r.from_part_id));
    const otherRows = new Map((await readPartRows(db, others)).map((row) => [row.id, row]));
    const renamed = await readNamedParts(db, [...new Set(renamings.flatMap(({ from, to }) => [from, to]))]);
    return {
      partId: part.id,
      printed: part.printed,
      maker: part.maker,
      kind: part.kind,
      names,
      facts: isPartKind(part.kind) ? factLines(sheet, sayIn(query.units)) : [],
      decoded:
        part.kind === 'plug'
          ? decodedView(part.printed, index.grammars.get(makerId), recorded.map(asRecordedFigure))
          : null,
      succession: tellSuccession(
        followSupersession(part.id, renamings),
        new Map(renamed.map((other) => [other.id, other])),
      ),
      references: references.map((r, i) => {
        const other = otherRows.get(others[i]!)!;
        return {
          partId: other.id,
          printed: other.printed,
          maker: other.maker,
          grade: r.grade,
          direction: r.from_part_id === part.id ? ('to' as const) : ('from' as const),
          source: r.source,
          notedOn: r.noted_on,
          note: r.note,
          inForceFrom: r.in_force_from,
        };
      }),
      engines: engines.map((e) => ({
        engineId: e.id,
        title: `${e.maker} ${e.code}`,
        how: e.listed_by === null ? 'named by the engine maker' : `listed: ${e.listed_by}`,
      })),
      onHand: part.on_hand,
      bin: part.bin,
      priceMinor: part.each_minor,
      shape: plugShape(sheet),
      shelf: await shelfCard(db, part),
    };
  });

  serve(app, context, getPartEngines, async ({ params, db }) => {
    const [part] = await readPartRows(db, [params.partId]);
    if (!part) return trouble('not-found', NO_PART);
    const { kind } = part;
    if (!isPartKind(kind)) return { engines: [], more: 0 };
    const index = await context.indexes.at(db);
    const reached = (await readEnginesOfParts(db, [part.id])).get(part.id) ?? new Set<string>();
    const byVisits = [...reached].sort((a, b) => index.engines.get(b)!.visits - index.engines.get(a)!.visits);
    const engines = [];
    for (const engineId of byVisits.slice(0, MOST_JUDGED)) {
      const judged = await judgeEngine(context, { engineId, kind, only: [part.id] }, 'metric', db);
      const candidate = judged?.candidates[0];
      const engine = index.engines.get(engineId)!;
      if (!candidate) continue;
      const { findings, verdict } = candidate.judgement;
      engines.push({
        engineId,
        title: `${engine.maker} ${engine.code}`,
        verdict,
        reason: reasonPhrase(findings, verdict, candidate.evidence),
      });
    }
    engines.sort((a, b) => VERDICTS.indexOf(b.verdict) - VERDICTS.indexOf(a.verdict));
    return { engines, more: Math.max(0, byVisits.length - MOST_JUDGED) };
  });

  serve(app, context, getPartFills, async ({ params, query, db }) => {
    const [part] = await readPartRows(db, [params.partId]);
    if (!part) return trouble('not-found', NO_PART);
    return readFills(context, db, { partId: part.id, engineId: query.engine, units: query.units });
  });

  serve(app, context, getPartGraph, async ({ params, query, db }) => {
    const graph = await readGraph(context, db, params.partId, query.engine);
    return graph ?? trouble('not-found', NO_PART);
  });
}
