import type { ColumnType, Generated, GeneratedAlways } from 'kysely';
import type { SetUpFigures } from '@brackenfell/core/set-up/told-figures';

type Key = GeneratedAlways<string>;
type Json<T> = ColumnType<T, string, string>;

export interface GarageCustomerTable {
  id: Key;
  name: string;
  phone: Generated<string>;
  account_ref: Generated<string>;
  is_trade: Generated<boolean>;
  version: Generated<number>;
  created_at: Generated<Date>;
  /** The entry that this one turned out to be. */
  merged_into_id: Generated<string | null>;
  erased_at: Generated<Date | null>;
}
export interface GarageVehicleTable {
  id: Key;
  customer_id: string | null;
  called: string;
  plate: Generated<string>;
  serial: Generated<string>;
  engine_id: string | null;
  build: string | null;
  duty: Generated<string>;
  modified: Generated<string>;
  counts_in: 'distance' | 'hours';
  /** As somebody said; its readings stand above it. */
  per_day: number | null;
  months: Generated<number[]>;
  version: Generated<number>;
  created_at: Generated<Date>;
}
/** What was read off a vehicle, in its own counting; append-only but for being taken back. */
export interface ServedReadingTable {
  id: Key;
  vehicle_id: string;
  on_day: string;
  served: number;
  how: 'read' | 'said';
  staff_id: string;
  at: Generated<Date>;
  withdrawn_at: Generated<Date | null>;
}
export interface FittedRecordTable {
  id: Key;
  vehicle_id: string;
  part_id: string;
  quantity: number;
  places: string[];
  on_day: string | null;
  served: number | null;
  how: 'known' | 'said';
  /** The line that sold it: gaps, batch and judgement are there. */
  slip_line_id: string | null;
  /** What was told of it when it was fitted; null for what is no plug. */
  set_up: Json<SetUpFigures[]> | null;
  interval: number | null;
  interval_source: string | null;
  staff_id: string;
  at: Generated<Date>;
  withdrawn_at: Generated<Date | null>;
}
export interface DeclinedAdviceTable {
  id: Key;
  vehicle_id: string;
  says: string;
  price_minor: number | null;
  staff_id: string;
  at: Generated<Date>;
  raised_at: Generated<Date | null>;
  raised_by_id: Generated<string | null>;
  taken: Generated<boolean | null>;
}
/** A tool that left with a customer; settled once, never changed. */
export interface ToolLoanTable {
  id: Key;
  slip_id: string;
  tool: string;
  deposit_minor: number;
  due_on: string;
  staff_id: string;
  lent_at: Generated<Date>;
  settled_at: Generated<Date | null>;
  settled_by_id: Generated<string | null>;
  settled_as: Generated<'back' | 'sold' | null>;
}
