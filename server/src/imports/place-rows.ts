import type { ReadRow } from '@brackenfell/core/imports/read-row';
import { sortRow, type Equal, type SortedRow } from '@brackenfell/core/imports/sort-row';
import type { Database } from '../db/database.ts';
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
  rows: readonly { readonly line: number; readonly read: ReadRow }[],
): Promise<readonly PlacedRow[]> {
  const named = await readNamed(
    db,
    makers,
    rows.flatMap(({ read }) => [read.number, read.equalTo ?? '']),
  );
  const find = (number: string, maker: Maker | undefined): readonly string[] => {
    const found = named(number).filter(({ makerId }) => maker === undefined || makerId === maker.id);
    return [...new Set(found.map(({ partId }) => partId))];
  };
  const makerCalled = new Map([
    ...makers.map((maker) => [maker.name.toLowerCase(), maker] as const),
    ...makers.map((maker) => [maker.id, maker] as const),
  ]);
  const placed = rows.map(({ line, read }) => {
    const maker = read.maker === undefined ? undefined : makerCalled.get(read.maker.toLowerCase());
    const [partId, another] = find(read.number, maker);
    const [equalId, otherEqual] = read.equalTo === undefined ? [] : find(read.equalTo, undefined);
    const equalIsShared = otherEqual !== undefined;
    return { line, read, maker, partId, isShared: another !== undefined, equalId, equalIsShared };
  });
  const distinct = (ids: readonly (string | undefined)[]) => [...new Set(ids.filter((id) => id !== undefined))];
  const held = await readHeld(db, supplier, {
    ids: distinct(placed.map(({ partId }) => partId)),
    stated: distinct(placed.map(({ partId, read }) => (Object.keys(read.figuresMm).length > 0 ? partId : undefined))),
    paired: distinct(placed.flatMap(({ partId, equalId }) => (equalId === undefined ? [] : [partId, equalId]))),
  });
  return placed.map(({ line, read, maker, partId, isShared, equalId, equalIsShared }) => {
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
      ...sortRow(read, { ours, isShared, equal, isMakerHeld: maker !== undefined }),
    };
  });
}
