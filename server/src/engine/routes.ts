import { seatsOf } from '@brackenfell/core/old-parts/seats';
import type { Express } from 'express';
import { PART_KINDS, type PartKind } from '@brackenfell/core/facts/part-kinds';
import { sayIn } from '@brackenfell/core/fitment/say';
import { getEngine, listEngines, type EngineLine } from '@brackenfell/contract/engine';
import { yearsOf } from '../ask/present.ts';
import type { Context } from '../context/context.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { oldPartFacts, planView, requirementLines } from './present.ts';
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
    const [stations, vehicles, named] = await Promise.all([
      listPositions(db, [engine.id], PART_KINDS),
      listVehicles(db, [engine.id]),
      listNamedNumbers(db, engine.id, PART_KINDS),
    ]);
    const positions = stations.filter(({ kind }) => kind === 'plug');
    const held = await context.sheets.at(db);
    const sheets = await context.sheets.positions(
      db,
      held,
      stations.map((p) => p.id),
    );
    const say = sayIn(query.units);
    const numbersOf = (kind: PartKind) =>
      named.filter((n) => n.kind === kind).map((n) => ({ partId: n.part_id, printed: n.printed, note: n.note }));
    const needs = PART_KINDS.filter((kind) => kind !== 'plug').flatMap((kind) => {
      const own = stations.filter((station) => station.kind === kind);
      if (own.length === 0) return [];
      const asked = own.map(({ id, label, build }) => ({ label: build ?? label, sheet: sheets.get(id)! }));
      return [
        {
          kind,
          quantity: new Set(own.map(({ label }) => label)).size,
          requirement: requirementLines(asked, say, kind).filter(
            ({ value, question }) => value !== 'not known' || question,
          ),
          oeNumbers: numbersOf(kind),
        },
      ];
    });
    return {
      engineId: engine.id,
      maker: engine.maker,
      code: engine.code,
      summary: engine.summary,
      cylinders: new Set(positions.map((p) => p.cylinder)).size,
      positions: positions.map((p) => ({ positionId: p.id, label: p.label })),
      cautions: engine.cautions,
      notes: engine.notes.map(({ about, says, torqueNm }) => ({
        about,
        says,
        torque: torqueNm ? say.span('fastener-torque', torqueNm) : null,
      })),
      requirement: requirementLines(
        positions.map((p) => ({ label: p.label, sheet: sheets.get(p.id)! })),
        say,
      ),
      plan: planView(engine.plan),
      seats: engine.plan ? [...seatsOf(positions, engine.plan)] : [],
      hasChargeCooler: engine.traits.chargeCooler ?? null,
      hasCarburettor: engine.traits.carburettor ?? null,
      ...oldPartFacts(positions.map((p) => sheets.get(p.id)!)),
      sparkBy: engine.traits.leadsGo ?? null,
      needs,
      oeNumbers: numbersOf('plug'),
      vehicles: vehicles.map((v) => ({
        vehicleId: v.id,
        title: `${v.make} ${v.model}`,
        years: yearsOf(v.built_from, v.built_to),
      })),
    };
  });
}
