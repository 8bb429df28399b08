import { defineCheck } from '../../fitment/define-check.ts';
import { within } from '../../fitment/tolerance.ts';
import { SAME_HEX_MM, SOCKET_PLAY_MM, SOCKET_SIZES_MM, socketOuterMm } from '../socket.ts';

const base = {
  'plug.hexMm': 16,
  'plug.hexPoints': 6,
  'position.hexMm': 16,
  'position.hexPoints': 6,
  'position.wellBoreMm': 24,
} as const;

export const hexAndWell = defineCheck({
  id: 'hex-and-well',
  title: 'Hex, well',
  why: 'The socket must grip the hex and go down the plug well.',
  source: 'Plugs: Hex and well',
  sameWithin: { fact: 'plug.hexMm', by: SAME_HEX_MM },
  vouchedBy: ['own-number', 'listing'],
  needs: ['plug.hexMm', 'plug.hexPoints', 'position.hexMm', 'position.hexPoints'],
  mayUse: ['position.wellBoreMm'],
  canRefuse: (f) => f['position.wellBoreMm'] !== 'open',
  judge: (f) => {
    const wellBore = f['position.wellBoreMm'] ?? null;
    const socketMm = Number(socketOuterMm(f['plug.hexMm']).toFixed(2));
    const differenceMm = Number((f['plug.hexMm'] - f['position.hexMm']).toFixed(6));
    const figures = {
      hexMm: f['plug.hexMm'],
      points: f['plug.hexPoints'],
      askedHexMm: f['position.hexMm'],
      askedPoints: f['position.hexPoints'],
      differenceMm,
      socketMm,
      wellBore,
    };
    const closeness = Math.abs(differenceMm) / SAME_HEX_MM;
    const sameHex = within(Math.abs(differenceMm), SAME_HEX_MM);
    if (sameHex && f['plug.hexPoints'] === f['position.hexPoints'])
      return { outcome: 'match', caseId: 'same', figures, closeness };
    if (sameHex) {
      const made = SOCKET_SIZES_MM.some((size) => within(Math.abs(size - f['plug.hexMm']), SAME_HEX_MM));
      return made
        ? { outcome: 'acceptable', caseId: 'other-points', figures, closeness }
        : { outcome: 'unknown', caseId: 'no-socket-known', figures, missing: ['plug.hexPoints'] };
    }
    if (wellBore === null)
      return { outcome: 'unknown', caseId: 'well-unknown', figures, missing: ['position.wellBoreMm'] };
    const enters = wellBore === 'open' || within(socketMm + SOCKET_PLAY_MM, wellBore);
    return enters
      ? { outcome: 'acceptable', caseId: 'other-size', figures, closeness }
      : { outcome: 'refuse', caseId: 'socket-too-wide', figures };
  },
  explain: ({ caseId, figures: g }, say) => {
    const print = (hex: number, points: number) => `${say.quantity('hex', hex)}${points === 12 ? ', 12-point' : ''}`;
    const well = typeof g.wellBore === 'number' ? say.quantity('length', g.wellBore) : null;
    const socket = say.quantity('length', g.socketMm);
    const common = {
      asked: `${print(g.askedHexMm, g.askedPoints)}${well ? ` in a ${well} well` : ''}`,
      has: print(g.hexMm, g.points),
      difference: Math.abs(g.differenceMm) <= SAME_HEX_MM ? null : say.signed('hex', g.differenceMm),
    };
    switch (caseId) {
      case 'other-points':
        return {
          ...common,
          says: 'Same size across the flats, other points: it takes another socket.',
          toDo: `Check that the fitter has a ${g.points}-point socket.`,
          phrase: `${g.points}-point hex`,
        };
      case 'other-size':
        return {
          ...common,
          says: well
            ? `Its socket, ${socket} outside, enters the ${well} well.`
            : 'Nothing surrounds the plug, so its socket goes on.',
          toDo: `Tell the fitter: a ${print(g.hexMm, g.points)} socket.`,
          phrase: `Takes a ${say.quantity('hex', g.hexMm)} socket`,
        };
      case 'socket-too-wide':
        return {
          ...common,
          says: `Even a thin-wall socket for it is ${socket} outside and cannot enter the ${well} well: it could be neither tightened nor taken out.`,
          toDo: 'Do not fit it.',
          phrase: `Socket ${socket}, well ${well}`,
        };
      case 'well-unknown':
        return {
          ...common,
          says: `It takes a socket ${socket} outside, and the bore of the plug well is not known.`,
          toDo: 'Measure the bore of the plug well, in mm.',
          phrase: 'Measure the plug well',
        };
      case 'no-socket-known':
        return {
          ...common,
          says: `No ${g.points}-point socket of this size is known here.`,
          toDo: 'Ask the fitter whether there is a socket for it.',
          phrase: 'Is there a socket for it?',
        };
      default:
        return { ...common, says: 'The fitter’s usual socket fits.', toDo: null, phrase: 'Same hex' };
    }
  },
  examples: [
    { says: 'the same hex matches', facts: base, outcome: 'match' },
    { says: '5/8 in is 16 mm', facts: { ...base, 'plug.hexMm': 15.875 }, outcome: 'match' },
    { says: '0.25 mm apart is the same hex', facts: { ...base, 'plug.hexMm': 16.25 }, outcome: 'match' },
    {
      says: '13/16 in is 20.8 mm',
      facts: { ...base, 'position.hexMm': 20.8, 'plug.hexMm': 20.6375 },
      outcome: 'match',
    },
    {
      says: '0.3 mm apart is another hex',
      facts: { ...base, 'plug.hexMm': 16.3 },
      outcome: 'acceptable',
      caseId: 'other-size',
    },
    {
      says: 'a smaller hex whose socket enters is acceptable',
      facts: { ...base, 'plug.hexMm': 14 },
      outcome: 'acceptable',
      caseId: 'other-size',
    },
    {
      says: 'a 20.8 hex cannot enter a 24 mm well',
      facts: { ...base, 'plug.hexMm': 20.8 },
      outcome: 'refuse',
      caseId: 'socket-too-wide',
    },
    {
      says: 'a socket 0.5 mm under the bore enters',
      facts: { ...base, 'plug.hexMm': 20.8, 'position.wellBoreMm': 27.52 },
      outcome: 'acceptable',
      caseId: 'other-size',
    },
    {
      says: 'a socket 0.4 mm under the bore does not',
      facts: { ...base, 'plug.hexMm': 20.8, 'position.wellBoreMm': 27.42 },
      outcome: 'refuse',
      caseId: 'socket-too-wide',
    },
    {
      says: 'an open plug takes any socket',
      facts: { ...base, 'plug.hexMm': 20.8, 'position.wellBoreMm': 'open' },
      outcome: 'acceptable',
      caseId: 'other-size',
    },
    {
      says: 'twelve points on a 14 mm hex is acceptable',
      facts: { ...base, 'plug.hexMm': 14, 'position.hexMm': 14, 'plug.hexPoints': 12 },
      outcome: 'acceptable',
      caseId: 'other-points',
    },
    {
      says: 'twelve points in a size no socket is made for is asked',
      facts: { ...base, 'plug.hexMm': 17, 'position.hexMm': 17, 'plug.hexPoints': 12 },
      outcome: 'unknown',
      caseId: 'no-socket-known',
    },
    {
      says: 'another hex with the well unknown is asked',
      facts: { 'plug.hexMm': 20.8, 'plug.hexPoints': 6, 'position.hexMm': 16, 'position.hexPoints': 6 },
      outcome: 'unknown',
      caseId: 'well-unknown',
    },
  ],
});
