import type { ColumnType, Generated, GeneratedAlways } from 'kysely';
import type { Band } from '@brackenfell/core/authenticity/judge-piece';
import type { Channel } from '@brackenfell/core/authenticity/prior';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { Batch, Sale } from '@brackenfell/contract/quarantine';
import type { Entry, Inspection } from '@brackenfell/contract/inspection';
import type { ReferenceContent } from '@brackenfell/contract/proof-reference';

type Key = GeneratedAlways<string>;
type Json<T> = ColumnType<T, string, string>;

export interface SellerTable {
  id: Key;
  name: string;
  channel: Channel;
}
/** Append-only: a reference's versions. */
export interface ProofReferenceTable {
  id: Key;
  maker_id: string;
  part_kind: PartKind;
  generation: string;
  version: number;
  content: Json<ReferenceContent>;
  /** Null for what a shop's past brought in. */
  staff_id: string | null;
  at: Generated<Date>;
}
export interface DeliveryTable {
  id: Key;
  seller_id: string;
  note: Generated<string>;
  staff_id: string;
  at: Generated<Date>;
}
/** Pieces of one number from one seller under one production code; without a code, one line of a delivery. */
export interface BatchTable {
  id: Key;
  part_id: string;
  seller_id: string;
  delivery_id: string | null;
  code: string;
  code_normal: string;
  quantity: number;
  on_hand: number;
  unit_cost_minor: number | null;
  ordered_under: Generated<string>;
  received_at: Generated<Date>;
  /** `held` and `confirmed` batches cannot be sold: the database refuses it itself. */
  state: Generated<Batch['state']>;
  version: Generated<number>;
}
/** Append-only. */
export interface StockMovementTable {
  id: Key;
  part_id: string;
  batch_id: string | null;
  quantity: number;
  why: 'received' | 'sold' | 'reopened';
  slip_line_id: string | null;
  /** Whether somebody said which batch it was; otherwise the oldest was taken for granted. */
  named: Generated<boolean>;
  staff_id: string;
  at: Generated<Date>;
}
export interface InspectionTable {
  id: Key;
  part_id: string;
  seller_id: string | null;
  channel: Channel;
  /** Set when its batch came to be known at the end. */
  batch_id: string | null;
  reference_id: string | null;
  reference_used: Inspection['referenceUsed'];
  pieces: number;
  batch_size: number;
  asked_for: number | null;
  slip_line_id: string | null;
  staff_id: string;
  at: Generated<Date>;
}
/** Append-only: what was seen, read and measured, in the order in which it was. */
export interface InspectionEntryTable {
  id: Key;
  inspection_id: string;
  what: Entry['what'];
  subject: string;
  piece: number;
  answer: string;
  value: number | null;
  device: string | null;
  staff_id: string;
  at: Generated<Date>;
}
/** Append-only: what was found, as told. */
export interface InspectionConclusionTable {
  id: Key;
  inspection_id: string;
  /** Of the pieces together, and of each. */
  band: Band;
  bands: Band[];
  chance: number;
  says: Json<string[]>;
  journal_length: number;
  staff_id: string;
  at: Generated<Date>;
}
export interface RecallNoticeTable {
  id: Key;
  part_id: string;
  code: string;
  code_normal: string;
  from_whom: string;
  says: string;
  staff_id: string;
  at: Generated<Date>;
}
/** Append-only: who held, released or confirmed a batch, and why. */
export interface BatchEventTable {
  id: Key;
  batch_id: string;
  action: Batch['events'][number]['action'];
  reason: string;
  staff_id: string;
  inspection_id: string | null;
  at: Generated<Date>;
}
/** Append-only: calls to those who bought of a batch. */
export interface RecallContactTable {
  id: Key;
  batch_id: string;
  slip_line_id: string;
  outcome: Sale['contacts'][number]['outcome'];
  note: string;
  staff_id: string;
  at: Generated<Date>;
}
