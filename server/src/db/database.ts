import { Kysely, PostgresDialect, type Transaction } from 'kysely';
import pg from 'pg';
import type * as catalogue from './tables/catalogue.ts';
import type * as counter from './tables/counter.ts';

export interface Tables {
  maker: catalogue.MakerTable;
  heat_rating: catalogue.HeatRatingTable;
  attribute: catalogue.AttributeTable;
  part: catalogue.PartTable;
  part_name: catalogue.PartNameTable;
  engine: catalogue.EngineTable;
  vehicle: catalogue.VehicleTable;
  engine_position: catalogue.EnginePositionTable;
  named_number: catalogue.NamedNumberTable;
  figure: catalogue.FigureTable;
  chosen_figure: catalogue.ChosenFigureTable;
  plug_spec: catalogue.PlugSpecTable;
  reference: catalogue.ReferenceTable;
  listing: catalogue.ListingTable;
  stock: catalogue.StockTable;
  price: catalogue.PriceTable;
  catalogue_version: catalogue.CatalogueVersionTable;
  staff: counter.StaffTable;
  session: counter.SessionTable;
  slip: counter.SlipTable;
  slip_line: counter.SlipLineTable;
  slip_note: counter.SlipNoteTable;
  judgement: counter.JudgementTable;
  change_entry: counter.ChangeEntryTable;
  request_receipt: counter.RequestReceiptTable;
}

/** Reads take this; writes take a `Writing`. */
export type Database = Kysely<Tables>;
export type Writing = Transaction<Tables>;

const DATE_OID = 1082;
/** Dates without a time stay as written; turned into instants they would shift with the machine's zone. */
const dates = new pg.TypeOverrides();
dates.setTypeParser(DATE_OID, (value) => value);

/** Opens a pool. A lost connection is reported to `onLost` and replaced at the next query. */
export function openDatabase(connectionString: string, onLost: (error: Error) => void, max = 8): Database {
  const pool = new pg.Pool({ connectionString, max, connectionTimeoutMillis: 3000, types: dates });
  pool.on('error', onLost);
  return new Kysely<Tables>({ dialect: new PostgresDialect({ pool }) });
}
