import type { ColumnType, Generated, GeneratedAlways } from 'kysely';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { Column, UnitAsked } from '@brackenfell/core/imports/columns';
import type { ReadRow } from '@brackenfell/core/imports/read-row';
import type { Change, Heap } from '@brackenfell/core/imports/sort-row';
import type { ImportState } from '@brackenfell/contract/imports';

/** A json or jsonb column, written as text. */
type Json<T> = ColumnType<T, string | undefined, string>;

export interface ListImportTable {
  id: GeneratedAlways<string>;
  supplier: string;
  file_name: string;
  state: ImportState;
  version: Generated<number>;
  /** What the file is, in words. */
  form: Generated<string>;
  columns: Json<readonly Column[]>;
  is_remembered: Generated<boolean>;
  /** Everything the supplier has: what is missing from it is gone. */
  is_complete: Generated<boolean>;
  new_kind: PartKind | null;
  /** Whose numbers they are where a row names no maker. */
  of_maker: Generated<string | null>;
  row_count: Generated<number>;
  /** Of each column: what its values ask about its unit, and its first value. Settled with the heaps. */
  asked: Json<readonly (UnitAsked | null)[]>;
  firsts: Generated<string[]>;
  counts: ColumnType<Readonly<Record<Heap, number>> | null, string | null | undefined, string | null>;
  gone: Generated<string[]>;
  /** Of a whole catalogue: how many lines there are of each kind. */
  whole: ColumnType<Readonly<Record<string, number>> | null, string | null | undefined, string | null>;
  /** The catalogue’s version when its rows were last laid beside it. */
  sorted_version: ColumnType<string | null, string | null | undefined, string | null>;
  /** How it was read then, but for what its new numbers are. */
  sorted_as: ColumnType<string | null, string | null | undefined, string | null>;
  outcome: string | null;
  staff_id: string;
  created_at: Generated<Date>;
}
/** The file itself, until it is read. */
export interface ListFileTable {
  import_id: string;
  bytes: Buffer;
}
export interface ListRowTable {
  import_id: string;
  /** In the file, the heading being 1. */
  line: number;
  cells: Json<readonly string[]>;
  /** Why it is no row at all. */
  broken: string | null;
  heap: Heap | null;
  number: Generated<string>;
  part_id: string | null;
  /** The part it is called equal to. */
  equal_id: string | null;
  maker_id: string | null;
  read: ColumnType<ReadRow | null, string | null, string | null>;
  changes: Json<readonly Change[]>;
  why: Json<readonly string[]>;
  /** Of whom it speaks: a part that is held, or a maker's number; null where nobody knows. */
  subject: string | null;
  /** What it states of them, as one number: alike where rows state alike, but for what they call equal. */
  said: string | null;
  /** The line where its number stands first, which states all but what this one calls equal. */
  again_of: number | null;
  /** A new number of which nothing is missing but what kind of part it is. */
  waits: Generated<boolean>;
}
/** How a supplier's columns were read the last time. */
export interface ListMappingTable {
  supplier: string;
  columns: ColumnType<readonly Column[], string, string>;
  of_maker: string | null;
}
/** What a supplier takes for a part, in minor units before tax. */
export interface SupplierPriceTable {
  supplier: string;
  part_id: string;
  net_minor: number;
  import_id: string;
}
/** What a page of a list made or changed, with what was before and after of each: what taking it back goes by. */
export interface ListMadeTable {
  id: GeneratedAlways<string>;
  import_id: string;
  kind: 'part' | 'name' | 'figure' | 'reference' | 'price' | 'supplier-price';
  subject_ids: string[];
  /** Null where there was nothing of any of them. */
  before: ColumnType<readonly unknown[] | null, string | null, never>;
  after: ColumnType<readonly unknown[] | null, string | null, never>;
}
