import type { OpenTray } from '@brackenfell/contract/open-tray';
import { useKeys } from '../keys/keys.ts';
import { BUILD_LETTERS } from './build-question.tsx';
import type { RowPick } from './row-pick.ts';
import { FIND_IN_TRAY, type TrayActs } from './tray-bar.tsx';

/** Rows a page key goes. */
const PAGE = 10;

interface KeyActs extends TrayActs {
  readonly turnAll: () => void;
  readonly turnSources: () => void;
  readonly onMore: () => void;
  readonly chooseBuild: (build: string | null) => void;
  /** Where coils may stay in the engine. */
  readonly turnStaying: (() => void) | undefined;
  /** Where something changed while the tray was looked at. */
  readonly layOut: (() => void) | undefined;
}

/** Everything a tray does by key. */
export function useTrayKeys({ kind, rows, split }: OpenTray, pick: RowPick, acts: KeyActs): void {
  const { take, put, sellBetter, note, prove, compare, open, turnAll, turnSources, onMore, chooseBuild } = acts;
  const { turnStaying, layOut } = acts;
  const move = (by: number) => pick.set(Math.max(0, Math.min(rows.length - 1, pick.index + by)));
  useKeys('Tray', [
    { press: 'j', does: 'Next candidate', run: () => move(1), takeBack: () => move(-1) },
    { press: 'k', does: 'Candidate before', run: () => move(-1), takeBack: () => move(1) },
    { press: 'ArrowDown', printed: '↓', does: 'Next candidate', run: () => move(1) },
    { press: 'ArrowUp', printed: '↑', does: 'Candidate before', run: () => move(-1) },
    { press: 'Home', does: 'The first: what is recommended', run: () => pick.set(0) },
    { press: 'End', does: 'The last', run: () => pick.set(rows.length - 1) },
    { press: 'PageDown', printed: 'PgDn', does: 'Ten further', run: () => move(PAGE) },
    { press: 'PageUp', printed: 'PgUp', does: 'Ten back', run: () => move(-PAGE) },
    { press: 'g', does: 'Go to a number of the tray', run: () => document.getElementById(FIND_IN_TRAY)?.focus() },
    {
      press: 'Enter',
      does: 'Put it on the slip; answer its question; on a refused one, why',
      run: () => take(rows[pick.index]),
    },
    { press: '+', does: 'Put it on the slip as it stands', run: () => put(rows[pick.index]) },
    { press: 'Shift++', printed: '+', does: 'Put it on the slip as it stands', run: () => put(rows[pick.index]) },
    { press: 'Shift+Enter', printed: 'Shift Enter', does: 'Sell what is recommended instead', run: sellBetter },
    { press: 'w', does: 'Why: all checks, or only what differs', run: turnAll },
    { press: 's', does: 'Sources of every figure', run: turnSources },
    { press: 'x', does: 'Compare two: mark one, then the other', run: compare },
    { press: 'v', does: 'Proof: is the picked one in hand genuine?', run: () => prove(rows[pick.index]) },
    { press: 'c', does: 'Misfire code: which cylinder, and what to swap', run: () => open('misfire') },
    ...(kind === 'plug' || kind === 'coil'
      ? [{ press: 'f', does: 'What is fitted, cylinder by cylinder', run: () => open('fitted') }]
      : []),
    { press: 'e', does: 'Even more of the candidates', run: onMore },
    { press: 'Shift+H', printed: 'Shift h', does: 'House rules as they hold on this slip', run: () => open('rules') },
    ...(kind === 'plug'
      ? [
          { press: 'd', does: 'Duty: what the engine is used for', run: () => open('duty') },
          { press: 'h', does: 'How the picked plug is fitted here', run: () => open('fitting') },
          { press: 'n', does: 'Nearly fits: what one check alone keeps out', run: () => open('near') },
        ]
      : []),
    ...(split
      ? [
          ...split.choices.map(({ label }, i) => ({
            press: BUILD_LETTERS[i]!,
            does: `Built ${label}`,
            run: () => chooseBuild(label),
          })),
          { press: '0', does: 'The build is not known', run: () => chooseBuild(null) },
        ]
      : []),
    ...(turnStaying ? [{ press: 'y', does: 'Which revision of coil stays in the engine', run: turnStaying }] : []),
    ...(layOut ? [{ press: 't', does: 'What changed is seen: lay the tray out anew', run: layOut }] : []),
    ...(kind === 'lead-set' ? [{ press: 'l', does: 'Numbered labels for the leads', run: () => open('labels') }] : []),
    ...(kind === 'coil' || kind === 'lead-set'
      ? [{ press: 'm', does: 'Measure one: judge a reading', run: () => open('measure') }]
      : []),
    { press: 'r', does: 'Note it as the customer’s own part: told, never sold', run: note },
  ]);
}
