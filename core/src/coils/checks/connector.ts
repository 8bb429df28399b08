import { counted } from '../../words/counted.ts';
import type { Connector } from '../../facts/coil-facts.ts';
import { CONNECTOR_WORDS } from '../connector-words.ts';
import { defineCheck } from '../../fitment/define-check.ts';

const engine = { 'coilAsked.connector': 'flat-left', 'coilAsked.pinsCount': 3 } as const;

export const connector = defineCheck({
  id: 'connector',
  title: 'Connector',
  why: 'A connector of another face or with another number of pins does not go in, or goes in and joins the wrong wires.',
  source: 'Coils: Connector',
  needs: ['coil.connector', 'coil.pinsCount', 'coilAsked.connector', 'coilAsked.pinsCount'],
  judgePart: (f) => {
    const [face, askedFace] = [f['coil.connector'], f['coilAsked.connector']];
    const [pins, askedPins] = [f['coil.pinsCount'], f['coilAsked.pinsCount']];
    const figures = {
      face: face ?? null,
      askedFace: askedFace ?? null,
      pins: pins ?? null,
      askedPins: askedPins ?? null,
    };
    if (pins !== undefined && askedPins !== undefined && pins !== askedPins)
      return { outcome: 'refuse', caseId: 'pins', figures };
    if (face !== undefined && askedFace !== undefined && face !== askedFace)
      return { outcome: 'refuse', caseId: 'face', figures };
    return undefined;
  },
  judge: (f) => {
    const [face, askedFace] = [f['coil.connector'], f['coilAsked.connector']];
    const [pins, askedPins] = [f['coil.pinsCount'], f['coilAsked.pinsCount']];
    const figures: Record<'face' | 'askedFace', Connector> & Record<'pins' | 'askedPins', number> = {
      face,
      askedFace,
      pins,
      askedPins,
    };
    if (pins !== askedPins) return { outcome: 'refuse', caseId: 'pins', figures };
    if (face !== askedFace) return { outcome: 'refuse', caseId: 'face', figures };
    return { outcome: 'match', caseId: 'same', figures };
  },
  explain: ({ caseId, figures: g }) => {
    const print = (face: Connector | null, pins: number | null) =>
      `${pins === null ? 'pins not counted' : counted(pins, 'pin')}, ${face === null ? 'face not known' : CONNECTOR_WORDS[face]}`;
    const common = { asked: print(g.askedFace, g.askedPins), has: print(g.face, g.pins), difference: null };
    switch (caseId) {
      case 'pins':
        return {
          ...common,
          says: `It has ${g.pins} pins and the loom’s plug ${g.askedPins}: the wires for driving it are others.`,
          toDo: 'Do not fit it, and never splice the loom to suit.',
          phrase: `${g.pins} pins where ${g.askedPins} are asked`,
        };
      case 'face':
        return {
          ...common,
          says: 'The key stands elsewhere: the loom’s plug does not go on without force.',
          toDo: 'Do not fit it; hold the old coil beside it.',
          phrase: `Connector ${CONNECTOR_WORDS[g.face!]}`,
        };
      default:
        return { ...common, says: 'The loom’s plug goes on as it did.', toDo: null, phrase: 'Connector as asked' };
    }
  },
  examples: [
    {
      says: 'the same face and pins match',
      facts: { ...engine, 'coil.connector': 'flat-left', 'coil.pinsCount': 3 },
      outcome: 'match',
    },
    {
      says: 'four pins where three are asked are refused',
      facts: { ...engine, 'coil.connector': 'flat-left', 'coil.pinsCount': 4 },
      outcome: 'refuse',
      caseId: 'pins',
    },
    {
      says: 'the key on the other side is refused',
      facts: { ...engine, 'coil.connector': 'flat-right', 'coil.pinsCount': 3 },
      outcome: 'refuse',
      caseId: 'face',
    },
    {
      says: 'wrong pins refuse even while the face is unknown',
      facts: { ...engine, 'coil.pinsCount': 4 },
      outcome: 'refuse',
      caseId: 'pins',
    },
    { says: 'an unseen connector is looked at first', facts: engine, outcome: 'unknown' },
  ],
});
