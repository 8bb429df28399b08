import { useState } from 'react';
import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { SLIP_STATE_WORDS } from '@brackenfell/core/slip/slip-states';
import { isOwnVersion } from '../counter/outbox-flow.ts';
import { useUnsent } from '../counter/use-unsent.ts';

/** What was done to a slip at another till, each in words; by line where it is of one. */
export interface Elsewhere {
  readonly says: readonly string[];
  readonly lines: ReadonlySet<string>;
}

const NOTHING: Elsewhere = { says: [], lines: new Set() };

function changeOf(was: SlipLine, is: SlipLine): string | undefined {
  if (is.released && !was.released) return `released by ${is.released.by}`;
  if (is.held !== was.held) return is.held ?? 'no longer held';
  if (is.quantity !== was.quantity) return `${was.quantity} → ${is.quantity}`;
  if (is.verdict !== was.verdict && is.verdict !== null) return `now ${VERDICT_WORDS[is.verdict]}`;
  if (is.batch?.code !== was.batch?.code) return 'another batch';
  return undefined;
}

/** What differs between a slip as it was shown and as it is, as far as somebody at the counter would act upon it. */
export function elsewhere(was: Slip, is: Slip): Elsewhere {
  const lines = new Map<string, string>();
  const before = new Map(was.lines.map((line) => [line.lineId, line]));
  for (const line of is.lines) {
    const held = before.get(line.lineId);
    const change = held ? changeOf(held, line) : 'put on';
    if (change !== undefined) lines.set(line.lineId, `${line.printed}: ${change}`);
  }
  const kept = new Set(is.lines.map(({ lineId }) => lineId));
  return {
    says: [
      ...(is.state === was.state ? [] : [`the slip is ${SLIP_STATE_WORDS[is.state]}`]),
      ...(is.holderId === was.holderId ? [] : [`${is.holder ?? 'nobody'} holds it`]),
      ...lines.values(),
      ...was.lines.filter(({ lineId }) => !kept.has(lineId)).map(({ printed }) => `${printed}: taken off`),
      ...(is.notes.length > was.notes.length ? [`${is.notes.at(-1)!.by} noted something`] : []),
      ...(is.customer === was.customer && is.vehicle === was.vehicle ? [] : ['whose it is was written anew']),
    ],
    lines: new Set(lines.keys()),
  };
}

/** What others did to the slip while it was looked at; kept until it is seen to. */
export function useChangedElsewhere(slip: Slip): Elsewhere & { readonly seen: () => void } {
  const unsent = useUnsent(slip.slipId);
  const [{ shown, told }, set] = useState({ shown: slip, told: NOTHING });
  if (shown !== slip) {
    // What this till wrote comes back with its own answers, and changes nothing that somebody here does not know.
    const isOwn = unsent.length > 0 || isOwnVersion(slip);
    const more = isOwn ? NOTHING : elsewhere(shown, slip);
    const says = [...new Set([...told.says, ...more.says])];
    set({ shown: slip, told: more === NOTHING ? told : { says, lines: new Set([...told.lines, ...more.lines]) } });
  }
  return { ...told, seen: () => set({ shown: slip, told: NOTHING }) };
}
