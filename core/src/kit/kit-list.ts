import { rulingValue, type FactSheet } from '../facts/facts.ts';
import type { Say } from '../fitment/say.ts';
import type { SettledRules } from '../house-rules/settle-rules.ts';
import { SAME_HEX_MM, socketFor, socketOuterMm } from '../plugs/socket.ts';
import { torqueDesk } from '../torque/torque-desk.ts';
import { counted } from '../words/counted.ts';
import type { Fastener } from './fasteners.ts';
import { socketUse } from './sundries.ts';
import { lowerFirst } from '../words/case.ts';

/** What a thing of the kit is: a tool that comes back, something used up, or a question. */
export const KIT_KINDS = ['tool', 'used-up', 'to-ask'] as const;
export type KitKind = (typeof KIT_KINDS)[number];

/** One thing the job needs, and why. */
export interface KitItem {
  readonly kind: KitKind;
  readonly what: string;
  readonly why: string;
  /** What the shop sells for it, by its use; null where it sells nothing of the kind. */
  readonly use: string | null;
}

export interface KitAsked {
  /** What the place asks, under the shop's rules, with the coil's facts. */
  readonly position: FactSheet;
  readonly plug: FactSheet;
  readonly settled: SettledRules;
  readonly quantity: number;
  /** What comes off on the way. */
  readonly fasteners: readonly Fastener[];
}

const tool = (what: string, why: string, use: string | null = null): KitItem => ({ kind: 'tool', what, why, use });
const usedUp = (what: string, why: string, use: string): KitItem => ({ kind: 'used-up', what, why, use });
const ask = (what: string, why: string): KitItem => ({ kind: 'to-ask', what, why, use: null });
/** The socket that is sold for a hex, if any is. */
const useOf = (hexMm: number): string | null => {
  const socket = socketFor(hexMm);
  return socket ? socketUse(socket.mm) : null;
};

/** Sockets for what comes out and for what goes in; a magnet is not for a plug whose gap is set. Service: Kit. */
function sockets({ position, plug }: KitAsked, say: Say): KitItem[] {
  const [into, out] = [rulingValue(plug, 'plug.hexMm'), rulingValue(position, 'position.hexMm')];
  if (into === undefined) return [ask('Its socket', 'The plug’s hex is not known: measure across its flats.')];
  const well = rulingValue(position, 'position.wellBoreMm');
  const points = rulingValue(plug, 'plug.hexPoints');
  const named = (hexMm: number): string => {
    const socket = socketFor(hexMm);
    const size = socket ? `${socket.mm} mm${socket.inch ? ` or ${socket.inch} in` : ''}` : say.quantity('hex', hexMm);
    return `Socket ${size}, thin wall${points === 12 ? ', twelve-point' : ''}, with rubber insert or hose`;
  };
  const inWell =
    well === undefined
      ? 'how wide the well is, is not known: try it in'
      : well === 'open'
        ? 'nothing stands around it'
        : `${say.quantity('length', socketOuterMm(into))} outside, the well is ${say.quantity('length', well)}`;
  const items = [
    tool(named(into), `Its hex; ${inWell}. No magnet: a set gap that drops is gauged again.`, useOf(into)),
  ];
  if (out !== undefined && Math.abs(out - into) > SAME_HEX_MM)
    items.push(tool(named(out), 'What comes out may have the engine maker’s own hex, which is another.', useOf(out)));
  if (typeof well === 'number')
    items.push(tool('Extension', 'The plugs lie in wells; the torque is read at the handle.', 'extension'));
  return items;
}

function tightening({ position, plug, settled }: KitAsked, say: Say): KitItem[] {
  const { method, answer, compoundShare, compound } = torqueDesk(position, plug, settled);
  if (method !== 'wrench' || !answer)
    return [tool('A mark on the socket', 'It is tightened by turn: the mark counts the turn.')];
  const aimNm = answer.aimNm * (compound === 'compound' ? compoundShare : 1);
  return [
    tool(
      `Torque wrench for ${say.quantity('plug-torque', aimNm)}`,
      `On its scale, and no less than a fifth of its top: none above ${say.quantity('fastener-torque', aimNm * 5)}.`,
      'torque-wrench',
    ),
  ];
}

function gauge({ plug }: KitAsked): KitItem[] {
  const isSet =
    (rulingValue(plug, 'plug.groundCount') ?? 1) === 1 && rulingValue(plug, 'plug.groundForm') !== 'surface';
  if (!isSet) return [];
  const isNickel = rulingValue(plug, 'plug.centreMaterial') === 'nickel';
  return [
    tool(
      'Wire or blade gauge',
      isNickel ? 'Each gap is read before it goes in.' : 'Fine or precious tip: never a ramp gauge, never levered on.',
      'gap-gauge',
    ),
  ];
}

function consumables({ position, plug, settled: { rules }, quantity }: KitAsked): KitItem[] {
  const items: KitItem[] = [];
  if (rules.grease === 'smear')
    items.push(
      usedUp('Dielectric grease', `A smear in ${counted(quantity, 'boot')}, none on a contact.`, 'dielectric-grease'),
    );
  const plating = rulingValue(plug, 'plug.plating');
  if (rules.threadCompound === 'shank-only')
    items.push(usedUp('Anti-seize compound', 'A trace on the shank; the threads stay dry.', 'anti-seize'));
  else if (plating === 'none' && rules.threadCompound !== 'never')
    items.push(usedUp('Anti-seize compound', 'Bare threads: a trace, and the torque is cut for it.', 'anti-seize'));
  const topology = rulingValue(position, 'coil.topology');
  if (topology !== undefined && topology !== 'on-plug' && topology !== 'rail')
    items.push(usedUp('Lead labels', 'Each lead is named before the first comes off.', 'lead-labels'));
  return items;
}

function poweringDown({ position, settled: { rules } }: KitAsked): KitItem[] {
  const hasBattery = rulingValue(position, 'position.hasBattery');
  if (hasBattery === false) return [];
  if (hasBattery === undefined)
    return [ask('Is there a battery?', 'If not, the lead off its plug is what keeps it dead.')];
  return rules.battery === 'negative-off'
    ? [tool('Spanner and cover for the battery’s negative', 'It is off while hands are in.', 'battery-cover')]
    : [];
}

/** Everything a job on plugs needs, each with its reason: tools, and what is used up. Service: Kit. */
export function kitList(asked: KitAsked, say: Say): readonly KitItem[] {
  return [
    ...poweringDown(asked),
    tool('Blow gun, eye protection', 'Grit in a well falls into the cylinder.', 'eye-protection'),
    ...sockets(asked, say),
    ...gauge(asked),
    ...tightening(asked, say),
    ...asked.fasteners.map(({ says, torque }) =>
      tool(`Driver for ${lowerFirst(says)}`, torque ? `Back to ${torque}.` : 'It comes off on the way.'),
    ),
    ...consumables(asked),
  ];
}
