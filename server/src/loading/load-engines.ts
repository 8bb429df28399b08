import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { CatalogueFile } from '@brackenfell/contract/catalogue-file';
import type { Writing } from '../db/database.ts';
import {
  engineRow,
  figureRows,
  insertAll,
  NOT_CHOSEN,
  orderNumbers,
  vehicleRows,
  within,
  type Engine,
} from './rows.ts';

/** A place of an engine that takes a part, and what it asks of it. */
interface Station {
  readonly kind: PartKind;
  readonly cylinder: number;
  readonly place: string;
  readonly label: string;
  readonly build: string | null;
  readonly facts: object;
}

/** Where plugs go: a cylinder's places are told only where it has several. */
function plugStations({ positions, facts }: Engine): Station[] {
  const places = new Set(positions.map(({ place }) => place)).size;
  return positions.map(({ cylinder, place, facts: own }) => ({
    kind: 'plug',
    cylinder,
    place,
    label: places > 1 ? `${cylinder} ${place}` : String(cylinder),
    build: null as string | null,
    facts: { ...facts, ...own },
  }));
}

/** Where its other parts go: one for each cylinder named, or one in all. */
function needStations({ needs }: Engine): Station[] {
  return needs.flatMap(({ kind, place, cylinders, build, facts }) => {
    const several = new Set(needs.filter((need) => need.kind === kind).map((need) => need.place)).size > 1;
    return (cylinders ?? [0]).map((cylinder) => ({
      kind: kind,
      cylinder,
      place,
      label: cylinder === 0 ? place : several ? `${cylinder} ${place}` : String(cylinder),
      build: build ?? null,
      facts: facts,
    }));
  });
}

/** Engines with their places, figures, vehicles and the numbers their makers name; gives the ids of their places. */
export async function loadEngines(trx: Writing, file: CatalogueFile, partIds: Map<string, string>): Promise<string[]> {
  const formOf = within(file);
  const makerName = new Map(file.makers.map((maker) => [maker.id, maker.name]));
  const positionIds: string[] = [];
  for (const engine of file.engines) {
    await trx
      .insertInto('engine')
      .values(engineRow(engine, makerName.get(engine.maker) ?? engine.maker))
      .execute();
    const stations = [...plugStations(engine), ...needStations(engine)];
    const positions = await trx
      .insertInto('engine_position')
      .values(
        stations.map(({ facts: _, ...station }) => ({
          engine_id: engine.id,
          ...station,
          ...NOT_CHOSEN,
        })),
      )
      .returning('id')
      .execute();
    const figures = positions.flatMap(({ id }, i) => {
      const subject = { part_id: null, position_id: id } as const;
      return [
        ...figureRows(subject, stations[i]!.facts, engine.source),
        ...(stations[i]!.kind === 'plug'
          ? engine.extra.flatMap((extra) => figureRows(subject, extra.facts, extra.source, extra.readings))
          : []),
      ];
    });
    positionIds.push(...positions.map(({ id }) => id));
    await insertAll(trx, 'figure', figures);
    await insertAll(trx, 'vehicle', vehicleRows(engine));
    await insertAll(
      trx,
      'named_number',
      orderNumbers(engine).map((oe) => ({
        engine_id: engine.id,
        part_id: partIds.get(formOf(oe.number)),
        kind: oe.kind,
        place: oe.place ?? null,
        note: oe.note ?? null,
      })),
    );
  }
  return positionIds;
}
