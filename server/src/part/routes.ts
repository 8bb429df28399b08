import type { Express } from 'express';
import { sayIn } from '@brackenfell/core/fitment/say';
import { getPart } from '@brackenfell/contract/part';
import type { Context } from '../context.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { plugShape } from '../tray/present.ts';
import { readPartRows } from '../tray/store.ts';
import { factLines } from './present.ts';
import { readEnginesOf, readNames, readReferences } from './store.ts';

export function partRoutes(app: Express, context: Context): void {
  serve(app, context, getPart, async ({ params, query, db }) => {
    const [part] = await readPartRows(db, [params.partId]);
    if (!part) return trouble('not-found', 'No part of this catalogue has that number.');
    const [names, references, engines, held] = await Promise.all([
      readNames(db, part.id),
      readReferences(db, part.id),
      readEnginesOf(db, part.id),
      context.sheets.at(db),
    ]);
    const sheet = (await context.sheets.plugs(db, held, [part.id])).get(part.id)!;
    const others = references.map((r) => (r.from_part_id === part.id ? r.to_part_id : r.from_part_id));
    const otherRows = new Map((await readPartRows(db, others)).map((row) => [row.id, row]));
    return {
      partId: part.id,
      printed: part.printed,
      maker: part.maker,
      isOeNumber: part.kind === 'oe-number',
      names,
      facts: part.kind === 'plug' ? factLines(sheet, sayIn(query.units)) : [],
      references: references.map((r, i) => {
        const other = otherRows.get(others[i]!)!;
        const direction = r.from_part_id === part.id ? ('to' as const) : ('from' as const);
        return {
          partId: other.id,
          printed: other.printed,
          maker: other.maker,
          grade: r.grade,
          direction,
          source: r.source,
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
    };
  });
}
