import type { AddressOf, EndpointName } from '@brackenfell/contract/endpoints';

/** Where each endpoint is. The contract's types hold this table to the contract, without its schemas coming to the browser. */
export const ADDRESSES: { readonly [N in EndpointName]: AddressOf<N> } = {
  health: ['GET', '/api/health'],
  signIn: ['POST', '/api/session'],
  whoAmI: ['GET', '/api/session'],
  signOut: ['DELETE', '/api/session'],
  listStaff: ['GET', '/api/staff'],
  switchPerson: ['POST', '/api/session/switch'],
  ask: ['GET', '/api/ask'],
  listEngines: ['GET', '/api/engines'],
  getEngine: ['GET', '/api/engines/:engineId'],
  getTray: ['GET', '/api/engines/:engineId/tray'],
  getPart: ['GET', '/api/parts/:partId'],
  listSlips: ['GET', '/api/slips'],
  createSlip: ['POST', '/api/slips'],
  getSlip: ['GET', '/api/slips/:slipId'],
  changeSlip: ['PATCH', '/api/slips/:slipId'],
  parkSlip: ['POST', '/api/slips/:slipId/park'],
  takeOverSlip: ['POST', '/api/slips/:slipId/take-over'],
  closeSlip: ['POST', '/api/slips/:slipId/close'],
  reopenSlip: ['POST', '/api/slips/:slipId/reopen'],
  addLine: ['POST', '/api/slips/:slipId/lines'],
  changeLine: ['PATCH', '/api/slips/:slipId/lines/:lineId'],
  removeLine: ['POST', '/api/slips/:slipId/lines/:lineId/remove'],
  restoreLine: ['POST', '/api/slips/:slipId/lines/:lineId/restore'],
  addNote: ['POST', '/api/slips/:slipId/notes'],
};
