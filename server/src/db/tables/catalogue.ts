import type { ColumnType, Generated, GeneratedAlways } from 'kysely';
import type { ReferenceGrade } from '@brackenfell/core/interchange/trail';
import type { NumberGrammar } from '@brackenfell/core/part-numbers/grammar';
import type { EngineBuild, EngineTraits } from '@brackenfell/core/identification/traits';
import type { EnginePlan } from '@brackenfell/core/engine-plan/engine-plan';
import type { EngineNote } from '@brackenfell/contract/engine-plan';
import type { SourceRank } from '@brackenfell/core/facts/facts';
import type { PartKind, SHELF_KINDS } from '@brackenfell/core/facts/part-kinds';

/** bigint columns are read and written as decimal strings. */
type Key = GeneratedAlways<string>;

export interface MakerTable {
  id: string;
  name: string;
}
export interface HeatRatingTable {
  maker_id: string;
  /** From hot (0) to cold. */
  ordinal: number;
  code: string;
  index_bar: number;
}
export interface AttributeTable {
  id: string;
  label: string;
  question: string;
}
/** What a counter sells, things of the shelf, numbers to order by, and `unheld`: a number some list speaks of and no catalogue holds. */
export type StoredKind = PartKind | (typeof SHELF_KINDS)[number] | 'oe-number' | 'unheld';
/** Maker under which unheld numbers stand. */
export const MAKER_NOT_KNOWN = 'not-known';

export interface PartTable {
  id: Key;
  maker_id: string;
  /** An `oe-number` is only a number to order by: it stands in trails and never in a tray. `unheld`: see StoredKind. */
  kind: StoredKind;
  /** Smallest part of its look-alike cluster; null only between a load's steps. */
  cluster_id: string | null;
  created_at: Generated<Date>;
}
export interface PartNameTable {
  id: Key;
  part_id: string;
  kind: 'catalogue' | 'stamping' | 'stock' | 'barcode' | 'oe' | 'box';
  printed: string;
  normal_form: string;
  fold_key: string;
  /** The part's maker, held here too so that a maker in the question narrows before parts are fetched. */
  maker_id: string;
}
/** A name under the hash of its fold key and of that less each one character. */
export interface NameNeighbourTable {
  hash: string;
  name_id: string;
}
export interface MakerGrammarTable {
  maker_id: string;
  grammar: NumberGrammar;
}
export interface EngineTable {
  id: string;
  maker_id: string;
  code: string;
  summary: string;
  layout: string;
  /** How often this engine came to the counter in the last year. */
  visits: number;
  cautions: string[];
  /** Lower-case words it answers to. */
  words: string;
  traits: Generated<EngineTraits>;
  builds: Generated<EngineBuild[]>;
  /** Null where nobody has entered how its cylinders stand. */
  plan: EnginePlan | null;
  notes: Generated<EngineNote[]>;
}
export interface VehicleTable {
  id: Key;
  engine_id: string;
  make: string;
  model: string;
  built_from: number;
  built_to: number | null;
  words: string;
}
/** The typed columns are a projection of the position's ruling figures, written with them. */
export interface EnginePositionTable {
  id: Key;
  engine_id: string;
  /** What is asked here: a plug in a cylinder, the coil on it, a pack, a set of leads. */
  kind: Generated<PartKind>;
  /** 0 for what serves the whole engine. */
  cylinder: number;
  place: string;
  label: string;
  /** Only in this build, by its label; null for all builds. */
  build: string | null;
  thread_diameter_mm: number | null;
  thread_pitch_mm: number | null;
  reach_low_mm: number | null;
  reach_high_mm: number | null;
  seat: string | null;
  gap_low_mm: number | null;
  gap_high_mm: number | null;
}
export interface NamedNumberTable {
  engine_id: string;
  part_id: string;
  kind: Generated<PartKind>;
  /** Only at this place of a cylinder; null for all of them. */
  place: string | null;
  note: string | null;
}
/** Append-only: a figure is withdrawn, never altered. */
export interface FigureTable {
  id: Key;
  part_id: string | null;
  position_id: string | null;
  attribute: string;
  /** As the fact declares what is recorded of it; a jsonb column, written as text. */
  value: ColumnType<unknown, string, string>;
  source_rank: SourceRank;
  source_name: string;
  readings: Generated<number>;
  at: Generated<Date>;
  withdrawn_at: Date | null;
}
export interface ChosenFigureTable {
  figure_id: string;
  part_id: string | null;
  position_id: string | null;
  /** False for a figure that may only raise a question. */
  rules: boolean;
}
export interface PlugSpecTable {
  part_id: string;
  thread_diameter_mm: number | null;
  thread_pitch_mm: number | null;
  reach_mm: number | null;
  seat: string | null;
  hex_mm: number | null;
  heat_index_bar: number | null;
  /** `none`, `present` or `value`. */
  resistor: string | null;
  supply: string | null;
  /** The catalogue's version from which its facts hold. */
  catalogue_version: Generated<string>;
}
/** The columns by which coils of one form are found. */
export interface CoilSpecTable {
  part_id: string;
  topology: string | null;
  connector: string | null;
  pins: number | null;
  towers: number | null;
  catalogue_version: Generated<string>;
}
/** A lead set's number of leads, and its longest. */
export interface LeadSetTable {
  part_id: string;
  leads: number | null;
  longest_mm: number | null;
  catalogue_version: Generated<string>;
}
/** A cap or rotor, and the mark of its pairing. */
export interface DistributorSpecTable {
  part_id: string;
  family: string | null;
  catalogue_version: Generated<string>;
}
export interface ReferenceTable {
  id: Key;
  from_part_id: string;
  to_part_id: string;
  grade: ReferenceGrade;
  source: string;
  noted_on: string;
  note: string | null;
  rejected_at: Date | null;
  rejected_by: string | null;
  from_cluster_id: string | null;
  to_cluster_id: string | null;
  /** For which engines a successor stands where a number splits, in words. */
  condition: string | null;
  /** And by their keys, where the maker names them. */
  engine_ids: string[] | null;
  /** Told for a day to come: it does not count before. */
  in_force_from: string | null;
}
export interface ListingTable {
  id: Key;
  part_id: string;
  engine_id: string;
  /** Only at this place of a cylinder; null for all of them. */
  place: string | null;
  source: string;
  stated_on: string;
  built_from: string | null;
  built_to: string | null;
}
/** The numbers a sanctioned class permits, as normal forms, while a list is in force. */
export interface ClassListTable {
  id: Key;
  class_name: string;
  valid_from: string;
  valid_to: string | null;
  numbers: string[];
  source: string;
}
/** A thing of the shop that no engine asks for: what it is, and what it is used for. */
export interface SundryTable {
  part_id: string;
  title: string;
  use: string;
}
/** What is in a kit. */
export interface KitPartTable {
  kit_id: string;
  part_id: string;
  quantity: number;
}
export interface StockTable {
  part_id: string;
  on_hand: number;
  bin: string | null;
}
export interface PriceTable {
  part_id: string;
  each_minor: number;
  /** Sold in packs of so many; 1 for what is sold singly. */
  pack_of: Generated<number>;
}
export interface CatalogueVersionTable {
  only_row: Generated<boolean>;
  version: string;
  /** How many of its versions changed plugs and their figures alone. */
  of_plugs: Generated<string>;
  /** How often parts were taken away. */
  removals: Generated<string>;
}
