import type { Slip } from '@brackenfell/contract/slip';
import type { SlipKept } from '@brackenfell/contract/slip-kept';
import type { SlipCall } from './slip-call.ts';

/** What takes a write back, and what it is called. */
export interface Undo {
  readonly says: string;
  readonly name: SlipCall['name'];
  readonly request: SlipCall['request'];
}

const DETAILS = [
  'customer',
  'phone',
  'vehicle',
  'cameFor',
  'engineId',
  'build',
  'duty',
  'staying',
  'engineCount',
] as const;

/** The write that takes another back, from the slip before and after it; undefined for what is not stepped back from. */
export function inverseOf({ name, request }: SlipCall, before: Slip | undefined, after: Slip): Undo | undefined {
  const { slipId } = after;
  const lineId = request.params?.lineId ?? '';
  const body = request.body ?? {};
  const lineOf = (slip: Slip | undefined, id: string) => slip?.lines.find((line) => line.lineId === id);
  switch (name) {
    case 'addLine': {
      const added = after.lines.find((line) => !lineOf(before, line.lineId));
      if (added)
        return { says: `${added.printed} taken off`, name: 'removeLine', request: ofLine(slipId, added.lineId) };
      const counted = after.lines.find((line) => lineOf(before, line.lineId)?.quantity !== line.quantity);
      const was = counted && lineOf(before, counted.lineId);
      return was && quantityBack(slipId, was.lineId, was.printed, was.quantity);
    }
    case 'removeLine': {
      const gone = lineOf(before, lineId);
      return gone && { says: `${gone.printed} put back`, name: 'restoreLine', request: ofLine(slipId, lineId) };
    }
    case 'restoreLine': {
      const back = lineOf(after, lineId);
      return back && { says: `${back.printed} taken off`, name: 'removeLine', request: ofLine(slipId, lineId) };
    }
    case 'changeLine': {
      const was = lineOf(before, lineId);
      if (!was) return undefined;
      if ('quantity' in body) return quantityBack(slipId, lineId, was.printed, was.quantity);
      const batchId = was.batch?.batchId ?? null;
      return {
        says: `${was.printed}: batch as before`,
        name: 'changeLine',
        request: { ...ofLine(slipId, lineId), body: { batchId } },
      };
    }
    case 'changeSlip': {
      if (!before) return undefined;
      const changed = DETAILS.filter((detail) => detail in body);
      if (changed.length === 0) return undefined;
      const back = Object.fromEntries(changed.map((detail) => [detail, before[detail]]));
      return { says: 'what the slip is for is as before', name, request: { params: { slipId }, body: back } };
    }
    case 'addNote': {
      const note = after.notes.at(-1);
      return note && mended(slipId, note.noteId, '', 'note taken back');
    }
    case 'mendNote': {
      const was = before?.notes.find(({ noteId }) => noteId === request.params?.noteId);
      const now = after.notes.at(-1);
      return was && now && mended(slipId, now.noteId, was.text, 'note as before');
    }
    case 'addReading': {
      const reading = after.readings.at(-1);
      return (
        reading && {
          says: 'the last reading taken back',
          name: 'withdrawReading',
          request: { params: { slipId, readingId: reading.readingId }, body: {} },
        }
      );
    }
    case 'addGapReading':
      return {
        says: `the last gap of plug ${String(body.piece)} taken back`,
        name: 'withdrawGapReading',
        request: { ...ofLine(slipId, lineId), body: { piece: body.piece, which: 'last' } },
      };
    case 'chooseOnSlip': {
      const rule = request.params?.rule ?? '';
      const was = before?.rules.find((one) => one.rule === rule);
      const back = { school: was?.school ?? null, reason: was?.reason ?? 'taken back' };
      return { says: 'the rule is as before', name, request: { params: { slipId, rule }, body: back } };
    }
    case 'keepOnSlip': {
      const kept = body.kept as SlipKept;
      const was = before?.kept.find(({ kind }) => kind === kept.kind) ?? emptied(kept);
      return was && { says: 'what was kept is as before', name, request: { params: { slipId }, body: { kept: was } } };
    }
    default:
      return undefined;
  }
}

/** As it is before anything is read; undefined for what begins with an answer. */
function emptied(kept: SlipKept): SlipKept | undefined {
  switch (kept.kind) {
    case 'old-plugs':
      return { ...kept, cylinders: [], context: [], results: {} };
    case 'compression':
      return { ...kept, reads: [], conditions: [], specifiedKpa: null, isLeakDownMade: false, state: '' };
    case 'fragile':
      return { ...kept, isOpenedBefore: null, isOverTenYears: null, seenBroken: [] };
    case 'comeback':
      return { ...kept, results: {}, isTakenBack: true };
    default:
      return undefined;
  }
}

const ofLine = (slipId: string, lineId: string) => ({ params: { slipId, lineId }, body: {} });

const quantityBack = (slipId: string, lineId: string, printed: string, quantity: number): Undo => ({
  says: `${printed}: ${quantity} again`,
  name: 'changeLine',
  request: { params: { slipId, lineId }, body: { quantity } },
});

const mended = (slipId: string, noteId: string, text: string, says: string): Undo => ({
  says,
  name: 'mendNote',
  request: { params: { slipId, noteId }, body: { text } },
});
