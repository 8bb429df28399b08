import type { ReadRow } from '@brackenfell/core/imports/read-row';
import { sortRow, type Equal, type SortedRow } from '@brackenfell/core/imports/sort-row';
import { statedOf } from '@brackenfell/core/imports/stated';
import type { Database } from '../db/database.ts';
import type { HeatScale } from '@brackenfell/core/heat-range/heat-scale';
import { readHeatScales } from '../catalogue/fact-store.ts';
import { readHeld, readNamed, type Maker } from './held-store.ts';

export interface PlacedRow extends SortedRow {
  readonly line: number;
  readonly read: ReadRow;
  readonly partId: string | null;
  readonly equalId: string | null;
  readonly makerId: string | null;
}

/** Lays a page of rows beside what the catalogue holds, in a handful of questions however many they are. */
export async function placeRows(
  db: Database,
  makers: readonly Maker[],
  supplier: string,
  newKind: string | null,
  rows: readonly { readonly line: number; readonly read: ReadRow }[],
): Promise<readonly PlacedRow[]> {
  const named = await readNamed(
    db,
    makers,
    rows.flatMap(({ read }) => [read.number, read.equalTo ?? '']),
  );
  const find = (number: string, maker: Maker | undefined) => {
    const found = named(number).filter(({ makerId }) => maker === undefined || makerId === maker.id);
    return [...new Map(found.map(({ partId, makerId }) => [partId, makerId]))];
  };
  const makerCalled = new Map([
    ...makers.map((maker) => [maker.name.toLowerCase(), maker] as const),
    ...makers.map((maker) => [maker.id, maker] as const),
  ]);
  const placed = rows.map(({ line, read }) => {
    const maker = read.maker === undefined ? undefined : makerCalled.get(read.maker.toLowerCase());
    const [[partId, makerOfPart] = [], another] = find(read.number, maker);
    const [[equalId] = [], otherEqual] = read.equalTo === undefined ? [] : find(read.equalTo, undefined);
    const equalIsShared = otherEqual !== undefined;
    const ofMaker = makerOfPart ?? maker?.id;
    return {
      ...{ line, read: ratedBy(read, ofMaker), maker, ofMaker, partId },
      ...{ isShared: another !== undefined, equalId, equalIsShared },
    };
  });
  const distinct = (ids: readonly (string | undefined)[]) => [...new Set(ids.filter((id) => id !== undefined))];
  const held = await readHeld(db, supplier, {
    ids: distinct(placed.map(({ partId }) => partId)),
    stated: distinct(placed.map(({ partId, read }) => (statedOf(read).length > 0 ? partId : undefined))),
    paired: distinct(placed.flatMap(({ partId, equalId }) => (equalId === undefined ? [] : [partId, equalId]))),
  });
  const isRated = placed.some(({ read }) => read.told?.heat !== undefined);
  const scales = isRated ? await readHeatScales(db) : undefined;
  return placed.map(({ line, read, maker, ofMaker, partId, isShared, equalId, equalIsShared }) => {
    const ours = partId === undefined ? undefined : held.oursOf(partId);
    const equal: Equal | undefined =
      read.equalTo === undefined
        ? undefined
        : {
            isHeld: equalId !== undefined && equalId !== partId,
            isShared: equalIsShared,
            isSaid: partId !== undefined && equalId !== undefined && held.isSaid(partId, equalId),
            contradicts: equalId === undefined ? undefined : held.contradiction(partId, read, equalId),
          };
    return {
      line,
      read,
      partId: partId ?? null,
      equalId: equalId ?? null,
      makerId: maker?.id ?? null,
      ...sortRow(read, {
        ...{ ours, isShared, equal, isMakerHeld: maker !== undefined },
        isPlug: partId === undefined ? newKind === null || newKind === 'plug' : held.isPlug(partId),
        ratings: ofMaker === undefined ? undefined : codesOf(scales?.get(ofMaker)),
      }),
    };
  });
}

/** A rating is of its maker's own scale, whoever lists it. */
function ratedBy(read: ReadRow, maker: string | undefined): ReadRow {
  const [rated] = read.told?.heat ?? [];
  if (!rated || maker === undefined) return read;
  const [fact, value] = rated;
  return { ...read, told: { ...read.told, heat: [[fact, { ...(value as { code: string }), maker }]] } };
}

const codesOf = (scale: HeatScale | undefined): ReadonlySet<string> | undefined =>
  scale && new Set(scale.ratings.map(({ code }) => code));
