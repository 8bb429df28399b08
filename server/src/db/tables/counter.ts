import type { DrillCase } from '@brackenfell/core/drill/drill-case';
import type { DrillTopic } from '@brackenfell/core/drill/topics';
import type { HeldBy } from '@brackenfell/core/old-parts/held';
import type { ColumnType, Generated, GeneratedAlways } from 'kysely';
import type { Finding } from '@brackenfell/contract/tray';
import type { SlipKept } from '@brackenfell/contract/slip-kept';
import type { Role } from '@brackenfell/contract/endpoint';
import type { FactId } from '@brackenfell/core/facts/facts';
import type { OwnedBlade } from '@brackenfell/core/gap/blade-sets';
import type { GapStage } from '@brackenfell/core/gap/gap-desk';
import type { SetUpFigures } from '@brackenfell/core/set-up/told-figures';
import type { PaperView } from '@brackenfell/contract/hand-over';
import type { GapHow } from '@brackenfell/contract/set-up';
import type { Verdict } from '@brackenfell/core/fitment/verdict';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { Currency, Locale } from '@brackenfell/core/words/money';
import type { ReadingHow } from '@brackenfell/core/slip/piece-readings';
import type { EndReason, SlipState } from '@brackenfell/core/slip/slip-states';

type Key = GeneratedAlways<string>;

/** What a rule chosen since makes of a line that was sold. */
export interface LineReview {
  readonly rule: string;
  readonly before: Verdict;
  readonly after: Verdict;
  readonly at: string;
}
/** jsonb: read as data, written as JSON text. */
type Json<T> = ColumnType<T, string, string>;

export interface StaffTable {
  id: Key;
  name: string;
  initials: string;
  role: Role;
  password_hash: string;
  pin_hash: string;
  active: Generated<boolean>;
}
/** One row at most: a database is of one shop. */
export interface ShopTable {
  name: string;
  address: string;
  currency: Currency;
  tax_basis_points: number;
  locale: Locale;
  time_zone: string | null;
  units: UnitDisplay;
  version: Generated<number>;
}
export interface BackupMadeTable {
  id: Key;
  at: Generated<Date>;
  tables: number;
  /** A bigint, as its digits. */
  rows: string;
}
export interface SessionTable {
  /** SHA-256 of the token in the cookie; the token itself is never stored. */
  token_hash: Buffer;
  staff_id: string;
  created_at: Generated<Date>;
  last_seen_at: Generated<Date>;
  expires_at: Date;
}
export interface SlipTable {
  id: Key;
  docket: Generated<number>;
  state: Generated<SlipState>;
  /** Why it ended without a sale. */
  end_reason: Generated<EndReason | null>;
  version: Generated<number>;
  customer: Generated<string>;
  vehicle: Generated<string>;
  phone: Generated<string>;
  came_for: Generated<string>;
  engine_id: string | null;
  /** Which build of the engine, by its label, once that is known. */
  build: string | null;
  /** Revision of the coils that stay in the engine; null where all are renewed. */
  revision_staying: string | null;
  /** How many such engines the job is for. */
  engine_count: Generated<number>;
  /** What the engine is used for, as `printDuty` writes it; empty for standard duty. */
  duty: Generated<string>;
  in_hand_part_id: string | null;
  /** On its goods, the rate it was begun under. */
  tax_basis_points: Generated<number>;
  /** Last day that a quote’s prices are held, or that what is ready is kept; a day as YYYY-MM-DD. */
  held_until: Generated<string | null>;
  /** Kinds of part that a reading of old parts holds back, and why; settled with each that is kept. */
  held_kinds: Generated<string[]>;
  held_says: Generated<string>;
  held_by: Generated<HeldBy | null>;
  /** The slip that this one was split from. */
  split_from_id: Generated<string | null>;
  /** Its vehicle in the garage book. */
  garage_vehicle_id: Generated<string | null>;
  holder_id: string | null;
  created_at: Generated<Date>;
  updated_at: Generated<Date>;
}
export interface SlipLineTable {
  id: Key;
  slip_id: string;
  part_id: string;
  kind: 'sale' | 'customers-own';
  quantity: number;
  unit_price_minor: number | null;
  positions: string[];
  /** The batch its pieces are from, where somebody said. */
  batch_id: Generated<string | null>;
  added_at: Generated<Date>;
  removed_at: Date | null;
  /** Set on a sold line that a rule changed since would judge otherwise. */
  review: Json<LineReview> | null;
}
export interface SlipNoteTable {
  id: Key;
  slip_id: string;
  staff_id: string;
  text: string;
  at: Generated<Date>;
  /** The note it mends; that one is shown no more, and kept. */
  replaces_id: Generated<string | null>;
}
/** What was found of the very pieces on a slip, or of its vehicle (then of no part). */
export interface PieceReadingTable {
  id: Key;
  slip_id: string;
  part_id: string | null;
  fact: FactId;
  value: Json<unknown>;
  how: ReadingHow;
  device: string | null;
  staff_id: string;
  at: Generated<Date>;
  withdrawn_at: Generated<Date | null>;
}
/** A wrong password or PIN; for nobody known, `staff_id` is null. */
export interface FailedTryTable {
  id: Key;
  staff_id: string | null;
  what: 'sign-in' | 'pin';
  address: string;
  at: Generated<Date>;
}
/** Append-only: what was told stays as told. */
export interface JudgementTable {
  id: Key;
  slip_line_id: string;
  staff_id: string;
  catalogue_version: string;
  rules_version: number;
  verdict: Verdict;
  reason: string;
  findings: Json<Finding[]>;
  at: Generated<Date>;
  /** What changed since the judgement before: `rule:…`, `slip`; null for the first. */
  cause: string | null;
  /** What is to be set, as it was told; null for what is no plug, and for what was judged before it was told. */
  set_up: Json<SetUpFigures[]> | null;
}
/** A piece's gap as it was read; taken back, never changed. */
export interface GapReadingTable {
  id: Key;
  slip_line_id: string;
  piece: number;
  stage: GapStage;
  gap_mm: number;
  how: GapHow;
  device: string | null;
  staff_id: string;
  at: Generated<Date>;
  withdrawn_at: Generated<Date | null>;
}
/** A step that was done; taken back, never changed. */
export interface WorkTickTable {
  id: Key;
  slip_line_id: string;
  step_id: string;
  staff_id: string;
  at: Generated<Date>;
  withdrawn_at: Generated<Date | null>;
}
/** Append-only: what was printed, byte for byte. */
export interface PrintedPaperTable {
  id: Key;
  slip_id: string;
  kind: PaperView['kind'];
  size: PaperView['size'];
  pdf: Buffer;
  staff_id: string;
  at: Generated<Date>;
}
/** Append-only: the latest list of the shop's blades stands. */
export interface BladesOwnedTable {
  id: Key;
  blades: Json<OwnedBlade[]>;
  staff_id: string;
  at: Generated<Date>;
}
/** Append-only: what was written last of a claim stands. */
export interface HeardClaimTable {
  id: Key;
  claim_key: string;
  says: string;
  answer: string;
  basis: 'check' | 'unknown';
  is_taken_away: boolean;
  staff_id: string;
  at: Generated<Date>;
}
/** A practice case as it was dealt, with its answer; answered once. */
export interface DrillCaseTable {
  id: Key;
  staff_id: string;
  topic: DrillTopic;
  dealt: Json<DrillCase>;
  dealt_at: Generated<Date>;
  choice: string | null;
  is_right: boolean | null;
  answered_at: Date | null;
}
/** Append-only: the latest choice of a rule stands. */
export interface HouseRuleChoiceTable {
  id: Key;
  rule: string;
  /** Null takes a conditional choice back. */
  school: string | null;
  /** Where it holds; null for the shop's default. */
  condition: string | null;
  staff_id: string;
  at: Generated<Date>;
}
/** Append-only: a rule settled otherwise for one slip; no school takes it back. */
export interface SlipRuleChoiceTable {
  id: Key;
  slip_id: string;
  rule: string;
  school: string | null;
  reason: string;
  staff_id: string;
  at: Generated<Date>;
}
/** Append-only: work on a slip as far as it has come; the latest of a kind stands. */
export interface SlipKeptTable {
  id: Key;
  slip_id: string;
  kind: SlipKept['kind'];
  kept: Json<SlipKept>;
  staff_id: string;
  at: Generated<Date>;
}
/** Append-only: a supervisor's word on one judgement. */
export interface ReleaseTable {
  id: Key;
  judgement_id: string;
  supervisor_id: string;
  asked_by: string;
  reason: string;
  at: Generated<Date>;
}
export interface ChangeEntryTable {
  id: Key;
  at: Generated<Date>;
  staff_id: string | null;
  subject: string;
  subject_id: string;
  action: string;
  before: Json<unknown> | null;
  after: Json<unknown> | null;
}
export interface RequestReceiptTable {
  key: string;
  staff_id: string;
  call_hash: string;
  status: number | null;
  response: Json<unknown> | null;
  at: Generated<Date>;
}
