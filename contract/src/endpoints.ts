import type { z } from 'zod';
import { ask } from './ask.ts';
import { cancelAudit, decideFinding, getAudit, getFinding, startAudit, undoDecision } from './audit.ts';
import { getDelivery, listDeliveries, receiveDelivery } from './delivery.ts';
import { getEngine, listEngines } from './engine.ts';
import { evidencePackSchema, getEvidencePack, printEvidencePack } from './evidence-pack.ts';
import {
  beginInspection,
  concludeInspection,
  getInspection,
  listInspections,
  noteEvidence,
  readNumber,
} from './inspection.ts';
import { listReferences, saveReference } from './proof-reference.ts';
import {
  closeRecall,
  enterNotice,
  getBatch,
  holdBatch,
  listBatches,
  listSellers,
  noteContact,
  settleBatch,
} from './quarantine.ts';
import {
  getImport,
  getImportRows,
  listImports,
  readImportSo,
  rejectedSheet,
  stopImport,
  takeBackImport,
  takeList,
  writeImport,
} from './imports.ts';
import { exportCatalogue, openCatalogueSchema } from './open-catalogue.ts';
import { identify, lookUpPlate, readSentence } from './identify.ts';
import { getPart, getPartEngines, getPartFills, getPartGraph } from './part.ts';
import { getFittedSet } from './fitted-set.ts';
import { searchByDimension } from './dimensions.ts';
import { chooseOnSlip, keepOnSlip } from './slip-work.ts';
import { getFittingPlan } from './fitting-plan.ts';
import {
  addFittedRecord,
  addServedReading,
  changeCustomer,
  changeGarageVehicle,
  declineAdvice,
  dueCalendar,
  dueSheet,
  erasePerson,
  exportPerson,
  getGarageVehicle,
  listDue,
  mergePeople,
  raiseAdvice,
  rememberVehicle,
  searchGarage,
  withdrawFittedRecord,
  withdrawServedReading,
} from './garage.ts';
import { listClaims, saveClaim } from './heard.ts';
import { getHandOver, getPaper, listPapers, printPaper, tickStep } from './hand-over.ts';
import { lendTool, listLoans, settleLoan } from './loan.ts';
import { addGapReading, getBlades, getSetUp, saveBlades, withdrawGapReading } from './set-up.ts';
import { chooseHouseRule, chooseUnderCondition, getHouseRules } from './house-rules.ts';
import { listWaiting, releaseLine, releaseLineByPin } from './release.ts';
import {
  changeSecret,
  endSession,
  health,
  listFailedTries,
  listPeople,
  listSessions,
  listStaff,
  setStaffActive,
  signIn,
  signOut,
  switchPerson,
  whoAmI,
} from './session.ts';
import {
  addLine,
  addNote,
  changeLine,
  changeSlip,
  createSlip,
  getSlip,
  listSlips,
  removeLine,
  copySlip,
  mendNote,
  addReading,
  withdrawReading,
  getLineTold,
  restoreLine,
} from './slip.ts';
import {
  collectPart,
  collectSlip,
  endSlip,
  orderSlip,
  parkSlip,
  quoteSlip,
  readySlip,
  takeOverSlip,
} from './slip-moves.ts';
import { getNearMisses, getTray } from './tray.ts';

/** Every endpoint of the application. The server must register each; the OpenAPI document lists them. */
export const ENDPOINTS = {
  health,
  listLoans,
  lendTool,
  settleLoan,
  searchGarage,
  getGarageVehicle,
  rememberVehicle,
  changeGarageVehicle,
  changeCustomer,
  addServedReading,
  withdrawServedReading,
  addFittedRecord,
  withdrawFittedRecord,
  declineAdvice,
  raiseAdvice,
  listDue,
  dueCalendar,
  dueSheet,
  exportPerson,
  erasePerson,
  mergePeople,
  signIn,
  whoAmI,
  signOut,
  listStaff,
  switchPerson,
  listSessions,
  endSession,
  listFailedTries,
  changeSecret,
  setStaffActive,
  ask,
  listEngines,
  getEngine,
  getTray,
  getNearMisses,
  getPart,
  getPartEngines,
  getPartGraph,
  listSlips,
  createSlip,
  getSlip,
  changeSlip,
  parkSlip,
  takeOverSlip,
  collectSlip,
  collectPart,
  quoteSlip,
  orderSlip,
  readySlip,
  copySlip,
  endSlip,
  mendNote,
  addReading,
  withdrawReading,
  getLineTold,
  addLine,
  changeLine,
  removeLine,
  restoreLine,
  addNote,
  identify,
  readSentence,
  lookUpPlate,
  exportCatalogue,
  openCatalogueSchema,
  listImports,
  takeList,
  getImport,
  getImportRows,
  readImportSo,
  writeImport,
  takeBackImport,
  stopImport,
  rejectedSheet,
  getAudit,
  startAudit,
  cancelAudit,
  getFinding,
  decideFinding,
  undoDecision,
  getHouseRules,
  chooseHouseRule,
  listWaiting,
  releaseLine,
  releaseLineByPin,
  listClaims,
  saveClaim,
  getHandOver,
  tickStep,
  listPapers,
  printPaper,
  getPaper,
  addGapReading,
  withdrawGapReading,
  getSetUp,
  getBlades,
  saveBlades,
  getFittingPlan,
  getFittedSet,
  listReferences,
  saveReference,
  beginInspection,
  getInspection,
  noteEvidence,
  concludeInspection,
  listInspections,
  readNumber,
  listBatches,
  getBatch,
  holdBatch,
  settleBatch,
  noteContact,
  closeRecall,
  enterNotice,
  listSellers,
  receiveDelivery,
  getDelivery,
  listDeliveries,
  getEvidencePack,
  printEvidencePack,
  evidencePackSchema,
  chooseOnSlip,
  keepOnSlip,
  chooseUnderCondition,
  searchByDimension,
  getPartFills,
  listPeople,
} as const;

export type EndpointName = keyof typeof ENDPOINTS;

type Endpoints = typeof ENDPOINTS;
type Taken<N extends EndpointName, Part extends 'params' | 'query' | 'body'> =
  Endpoints[N] extends Readonly<Record<Part, infer S extends z.ZodType>> ? Record<Part, z.input<S>> : object;

/** What a caller sends to an endpoint. */
export type RequestOf<N extends EndpointName> = Taken<N, 'params'> & Taken<N, 'query'> & Taken<N, 'body'>;
/** What it gets back. */
export type ResponseOf<N extends EndpointName> = z.output<Endpoints[N]['response']>;
