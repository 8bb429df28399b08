import type { Express } from 'express';
import { sayIn } from '@brackenfell/core/fitment/say';
import { getEngine, listEngines, type EngineLine } from '@brackenfell/contract/engine';
import { yearsOf } from '../ask/present.ts';
import type { Context } from '../context.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { requirementLines } from './present.ts';
import { countEngines, findEngine, listEngineRows, listNamedNumbers, listPositions, listVehicles } from './store.ts';

const CARD_LINES_SHOWN = ['Thread', 'Reach', 'Seat', 'Gap'];

export function engineRoutes(app: Express, context: Context): void {
  serve(app, context, listEngines, async ({ query, db }) => {
    const say = sayIn(query.units);
    const rows = await listEngineRows(db, query.words);
    const ids = rows.map((row) => row.id);
    const [positions, vehicles, total] = await Promise.all([
      listPositions(db, ids),
      listVehicles(db, ids),
      countEngines(db),
    ]);
    const held = await context.sheets.at(db);
    const sheets = await context.sheets.positions(
      db,
      held,
      positions.map((p) => p.id),
    );
    const engines = rows.map((row): EngineLine => {
      const own = positions.filter((p) => p.engine_id === row.id);
      const lines = requirementLines(
        own.map((p) => ({ label: p.label, sheet: sheets.get(p.id)! })),
        say,
      );
      const [thread, reach, seat, gap] = CARD_LINES_SHOWN.map((label) =>
        lines
          .filter((line) => line.label === label)
          .map((line) => line.value)
          .join(', '),
      );
      return {
        engineId: row.id,
        maker: row.maker,
        code: row.code,
        summary: row.summary,
        layout: row.layout,
        cylinders: new Set(own.map((p) => p.cylinder)).size,
        thread: thread!,
        reach: reach!,
        seat: seat!,
        gap: gap!,
        vehicles: vehicles
          .filter((v) => v.engine_id === row.id)
          .map((v) => ({ vehicleId: v.id, title: `${v.make} ${v.model}`, years: yearsOf(v.built_from, v.built_to) })),
      };
    });
    return { engines, total };
  });

  serve(app, context, getEngine, async ({ params, query, db }) => {
    const engine = await findEngine(db, params.engineId);
    if (!engine) return trouble('not-found', 'No engine of this catalogue has that key.');
    const [positions, vehicles, oeNumbers] = await Promise.all([
      listPositions(db, [engine.id]),
      listVehicles(db, [engine.id]),
      listNamedNumbers(db, engine.id),
    ]);
    const held = await context.sheets.at(db);
    const sheets = await context.sheets.positions(
      db,
      held,
      positions.map((p) => p.id),
    );
    return {
      engineId: engine.id,
      maker: engine.maker,
      code: engine.code,
      summary: engine.summary,
      cylinders: new Set(positions.map((p) => p.cylinder)).size,
      positions: positions.map((p) => ({ positionId: p.id, label: p.label })),
      cautions: engine.cautions,
      requirement: requirementLines(
        positions.map((p) => ({ label: p.label, sheet: sheets.get(p.id)! })),
        sayIn(query.units),
      ),
      oeNumbers: oeNumbers.map((n) => ({ partId: n.part_id, printed: n.printed, note: n.note })),
      vehicles: vehicles.map((v) => ({
        vehicleId: v.id,
        title: `${v.make} ${v.model}`,
        years: yearsOf(v.built_from, v.built_to),
      })),
    };
  });
}
