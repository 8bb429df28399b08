import { Kysely, PostgresDialect, type Transaction } from 'kysely';
import pg from 'pg';
import { takeCopies } from './copy-rows.ts';
import { noteStatement } from './long-statements.ts';
import type * as audit from './tables/audit.ts';
import type * as catalogue from './tables/catalogue.ts';
import type * as counter from './tables/counter.ts';
import type * as garage from './tables/garage.ts';
import type * as imports from './tables/imports.ts';
import type * as proof from './tables/proof.ts';

export interface Tables {
  maker: catalogue.MakerTable;
  heat_rating: catalogue.HeatRatingTable;
  attribute: catalogue.AttributeTable;
  part: catalogue.PartTable;
  part_name: catalogue.PartNameTable;
  name_neighbour: catalogue.NameNeighbourTable;
  maker_grammar: catalogue.MakerGrammarTable;
  engine: catalogue.EngineTable;
  vehicle: catalogue.VehicleTable;
  engine_position: catalogue.EnginePositionTable;
  named_number: catalogue.NamedNumberTable;
  class_list: catalogue.ClassListTable;
  coil_spec: catalogue.CoilSpecTable;
  lead_set: catalogue.LeadSetTable;
  distributor_spec: catalogue.DistributorSpecTable;
  figure: catalogue.FigureTable;
  chosen_figure: catalogue.ChosenFigureTable;
  plug_spec: catalogue.PlugSpecTable;
  reference: catalogue.ReferenceTable;
  listing: catalogue.ListingTable;
  sundry: catalogue.SundryTable;
  kit_part: catalogue.KitPartTable;
  stock: catalogue.StockTable;
  price: catalogue.PriceTable;
  catalogue_version: catalogue.CatalogueVersionTable;
  shop: counter.ShopTable;
  backup_made: counter.BackupMadeTable;
  staff: counter.StaffTable;
  session: counter.SessionTable;
  slip: counter.SlipTable;
  slip_line: counter.SlipLineTable;
  slip_note: counter.SlipNoteTable;
  judgement: counter.JudgementTable;
  house_rule_choice: counter.HouseRuleChoiceTable;
  slip_rule_choice: counter.SlipRuleChoiceTable;
  slip_kept: counter.SlipKeptTable;
  release: counter.ReleaseTable;
  change_entry: counter.ChangeEntryTable;
  piece_reading: counter.PieceReadingTable;
  gap_reading: counter.GapReadingTable;
  blades_owned: counter.BladesOwnedTable;
  heard_claim: counter.HeardClaimTable;
  drill_case: counter.DrillCaseTable;
  printed_paper: counter.PrintedPaperTable;
  work_tick: counter.WorkTickTable;
  garage_customer: garage.GarageCustomerTable;
  garage_vehicle: garage.GarageVehicleTable;
  served_reading: garage.ServedReadingTable;
  fitted_record: garage.FittedRecordTable;
  declined_advice: garage.DeclinedAdviceTable;
  tool_loan: garage.ToolLoanTable;
  failed_try: counter.FailedTryTable;
  request_receipt: counter.RequestReceiptTable;
  list_import: imports.ListImportTable;
  list_file: imports.ListFileTable;
  list_row: imports.ListRowTable;
  list_mapping: imports.ListMappingTable;
  supplier_price: imports.SupplierPriceTable;
  list_made: imports.ListMadeTable;
  job: audit.JobTable;
  audit_finding: audit.AuditFindingTable;
  audit_decision: audit.AuditDecisionTable;
  seller: proof.SellerTable;
  proof_reference: proof.ProofReferenceTable;
  delivery: proof.DeliveryTable;
  batch: proof.BatchTable;
  stock_movement: proof.StockMovementTable;
  inspection: proof.InspectionTable;
  inspection_entry: proof.InspectionEntryTable;
  inspection_conclusion: proof.InspectionConclusionTable;
  recall_notice: proof.RecallNoticeTable;
  batch_event: proof.BatchEventTable;
  recall_contact: proof.RecallContactTable;
}

/** Reads take this; writes take a `Writing`. */
export type Database = Kysely<Tables>;
export type Writing = Transaction<Tables>;

const DATE_OID = 1082;
/** Dates without a time stay as written; turned into instants they would shift with the machine's zone. */
const dates = new pg.TypeOverrides();
dates.setTypeParser(DATE_OID, (value) => value);

/** Statements a connection keeps prepared. Those past it (lists of many lengths) are planned anew each time. */
const MOST_PREPARED = 400;
const preparedNames = new Map<string, string>();

function preparedName(text: string): string | undefined {
  const known = preparedNames.get(text);
  if (known ?? preparedNames.size >= MOST_PREPARED) return known;
  const name = `s${preparedNames.size}`;
  preparedNames.set(text, name);
  return name;
}

/** Has a connection prepare what it is asked again and again: a third of a short query's time is its planning. */
function prepareStatements(client: pg.ClientBase): void {
  const plain = client.query.bind(client) as (...given: unknown[]) => unknown;
  const query = (...given: unknown[]): unknown => {
    const [text, values] = given;
    if (given.length !== 2 || typeof text !== 'string' || !Array.isArray(values)) return plain(...given);
    const name = preparedName(text);
    return name === undefined ? plain(text, values) : plain({ name, text, values });
  };
  client.query = query as typeof client.query;
}

/**
 * How long the counter lets a statement run, wait for a lock, or a transaction stand idle. A machine that stands still for some
 * seconds is none that is away: who waited for a lock or a connection meanwhile gets it when it goes on. None is
 * shared out to further processes: to start those takes longer than anything a counter asks.
 */
const LIMITS = [
  'statement_timeout=15000',
  'lock_timeout=5000',
  'idle_in_transaction_session_timeout=20000',
  'max_parallel_workers_per_gather=0',
];

/** A database that stands still ends no statement by itself: after this the counter no longer waits for it. */
const STANDS_STILL_MS = 16_000;
/** All connections are busy, or none can be had. Longer than a lock is waited for: whose turn has come gives one back. */
const NO_CONNECTION_MS = 8000;

/** Names that share fewer of their trigrams are not alike to anybody who mistyped one; most of a search for them goes there. */
const MERELY_ALIKE = 'pg_trgm.similarity_threshold=0.35';

interface PoolOptions {
  readonly max?: number;
  /** For work that may take its time (an audit, a load): none of the counter’s limits. */
  readonly patient?: boolean;
  /**
   * Plans every statement anew, for what it is asked with: for work under which tables grow from nothing to millions of rows. What the
   * database asks itself for each of them (whether what a row refers to is there) is still planned once.
   */
  readonly plansAnew?: boolean;
  /** How long a statement is waited for where the database itself ends none. */
  readonly standsStillMs?: number;
  /** Hears of every statement that was run, but of what opens and closes a transaction. */
  readonly onStatement?: (sql: string) => void;
}

/**
 * Opens a pool. A lost connection is reported to `onLost` and replaced at the next query, whether it was lying idle or in
 * use when it was lost.
 */
export function openDatabase(
  connectionString: string,
  onLost: (error: Error) => void,
  { max = 16, patient = false, plansAnew = false, standsStillMs = STANDS_STILL_MS, onStatement }: PoolOptions = {},
): Database {
  // Every list of ids would be planned anew for its length, which takes longer than to run the plan.
  const planning = `plan_cache_mode=${plansAnew ? 'auto' : 'force_generic_plan'}`;
  const settings = [planning, MERELY_ALIKE, ...(patient ? [] : LIMITS)];
  const pool = new pg.Pool({
    connectionString,
    max,
    connectionTimeoutMillis: NO_CONNECTION_MS,
    ...(patient ? {} : { query_timeout: standsStillMs }),
    // A zone that was chosen anew is everywhere within the hour.
    maxLifetimeSeconds: 3600,
    types: dates,
    options: settings.map((setting) => `-c ${setting}`).join(' '),
  });
  pool.on('error', onLost);
  pool.on('connect', (client) => {
    // The pool hears of its idle clients alone; one that drops while in use would end the process.
    client.on('error', onLost);
    // Days are reckoned where the shop stands, by the database as by the server.
    if (process.env.TZ) void client.query(`set timezone to ${pg.escapeLiteral(process.env.TZ)}`).catch(onLost);
    if (!plansAnew) prepareStatements(client);
    takeCopies(client);
  });
  return new Kysely<Tables>({
    dialect: new PostgresDialect({ pool }),
    log: ({ query, queryDurationMillis }) => {
      noteStatement(query.sql, queryDurationMillis);
      onStatement?.(query.sql);
    },
  });
}
