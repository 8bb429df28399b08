import type { ReadRow } from '@brackenfell/core/imports/read-row';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { sortRow, type Equal, type SortedRow } from '@brackenfell/core/imports/sort-row';
import { statedOf } from '@brackenfell/core/imports/stated';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { nameHash } from '@brackenfell/core/part-numbers/one-edit';
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
  /** Of whom it speaks: a part that is held, or a maker's number; null where nobody knows. */
  readonly subject: string | null;
  /** What it states of them, as one number: alike where rows state alike, but for what they call equal. */
  readonly said: number;
  /** A new number of which nothing is missing but what kind of part it is. */
  readonly waits: boolean;
}

/** Lays a page of rows beside what the catalogue holds, in a handful of questions however many they are. */
export async function placeRows(
  db: Database,
  makers: readonly Maker[],
  supplier: string,
  newKind: PartKind | null,
  rows: readonly { readonly line: number; readonly read: ReadRow }[],
): Promise<readonly PlacedRow[]> {
  const named = await readNamed(
    db,
    makers,
    rows.flatMap(({ read }) => [read.number, read.equalTo ?? '']),
  );
  const find = (number: string, maker: Maker | undefined) => {
    const found = named(number).filter(({ makerId }) => maker === undefined || makerId === maker.id);
    return [...new Map(found.map((part) => [part.partId, part])).values()];
  };
  const makerCalled = new Map([
    ...makers.map((maker) => [maker.name.toLowerCase(), maker] as const),
    ...makers.map((maker) => [maker.id, maker] as const),
  ]);
  const placed = rows.map(({ line, read }): Found => {
    const maker = read.maker === undefined ? undefined : makerCalled.get(read.maker.toLowerCase());
    const [part, another] = find(read.number, maker);
    const [equal, otherEqual] = read.equalTo === undefined ? [] : find(read.equalTo, undefined);
    const ofMaker = part?.makerId ?? maker?.id;
    return {
      line,
      read: ratedBy(read, ofMaker),
      maker,
      ofMaker,
      partId: part?.partId,
      kind: part?.kind ?? newKind,
      isShared: another !== undefined,
      equalId: equal?.partId,
      equalIsShared: otherEqual !== undefined,
    };
  });
  const distinct = (ids: readonly (string | undefined)[]) => [...new Set(ids.filter((id) => id !== undefined))];
  const states = ({ partId, read }: Found) => partId !== undefined && statedOf(read).length > 0;
  const held = await readHeld(db, supplier, {
    ids: distinct(placed.map(({ partId }) => partId)),
    stated: distinct(placed.map((row) => (states(row) ? row.partId : undefined))),
    paired: distinct(placed.flatMap(({ partId, equalId }) => (equalId === undefined ? [] : [partId, equalId]))),
  });
  const isRated = placed.some(({ read }) => read.told?.heat !== undefined);
  const scales = isRated ? await readHeatScales(db) : undefined;
  return placed.map(({ line, read, maker, ofMaker, partId, kind, isShared, equalId, equalIsShared }) => {
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
    const sorted = sortRow(read, {
      ours,
      isShared,
      equal,
      isMakerHeld: maker !== undefined,
      isPlug: kind === null || kind === 'plug',
      ratings: ofMaker === undefined ? undefined : codesOf(scales?.get(ofMaker)),
    });
    // A number that nobody has waits until somebody says what kind of part the list is of.
    const waits = sorted.heap === 'new' && newKind === null;
    return {
      line,
      read,
      partId: partId ?? null,
      equalId: equalId ?? null,
      makerId: maker?.id ?? null,
      subject: partId ?? (maker ? `${maker.id} ${normalForm(read.number, maker.significant)}` : null),
      said: saidBy(read),
      changes: sorted.changes,
      heap: waits ? 'doubtful' : sorted.heap,
      why: waits ? WAITS : sorted.why,
      waits,
    };
  });
}

const WAITS = ['a new number: say what the new ones of this list are'];

/** A row with whom it speaks of. One object written out for each of a million rows: put together of others they took twice as long. */
interface Found {
  readonly line: number;
  readonly read: ReadRow;
  readonly maker: Maker | undefined;
  readonly ofMaker: string | undefined;
  readonly partId: string | undefined;
  /** What the part is, or would be. */
  readonly kind: PartKind | null;
  readonly isShared: boolean;
  readonly equalId: string | undefined;
  readonly equalIsShared: boolean;
}

/** All that a row states of its part but what it calls equal, as one number. */
const saidBy = ({ netMinor, ourMinor, packOf, barcode, figuresMm, told }: ReadRow): number =>
  nameHash(JSON.stringify([netMinor, ourMinor, packOf, barcode, figuresMm, told]));

/** A rating is of its maker's own scale, whoever lists it. */
function ratedBy(read: ReadRow, maker: string | undefined): ReadRow {
  const [rated] = read.told?.heat ?? [];
  if (!rated || maker === undefined) return read;
  const [fact, value] = rated;
  return { ...read, told: { ...read.told, heat: [[fact, { ...(value as { code: string }), maker }]] } };
}

const codesOf = (scale: HeatScale | undefined): ReadonlySet<string> | undefined =>
  scale && new Set(scale.ratings.map(({ code }) => code));
