import { useMemo, useState } from 'react';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import { ourTax } from '../shop/our-shop.ts';
import { holdOrder, type HeldTray } from './held-order.ts';

/**
 * The tray as it was laid out when it was asked for, with what changed since marked on it. `asked` is what the person asked
 * for: another question lays it out anew, and so does the person.
 */
export function useHeldOrder(tray: OpenTray, asked: string | undefined): { held: HeldTray; layOut: () => void } {
  const [laidOut, set] = useState({ tray, asked });
  const isOther = asked !== undefined && asked !== laidOut.asked;
  // Before anything is drawn of the other answer.
  if (isOther) set({ tray, asked });
  const from = isOther ? tray : laidOut.tray;
  const held = useMemo(() => holdOrder(from, tray, ourTax()), [from, tray]);
  return { held, layOut: () => set({ tray, asked: asked ?? laidOut.asked }) };
}
