import type { OpenMatter } from '@brackenfell/contract/open-matter';
import type { Slip } from '@brackenfell/contract/slip';
import { useCounter } from './use-counter.ts';
import { slipSheet } from './slip-sheet.ts';

/** What is done about each open matter, in a few words: what its button says. */
export const MATTER_ACTS: Readonly<Record<OpenMatter['kind'], string>> = {
  'nothing-sold': 'To the parts',
  'plugs-first': 'To the old plugs',
  'compression-first': 'To the compression',
  'comeback-first': 'To the comeback',
  'not-judged': 'Choose the engine',
  refused: 'Look at it in the tray',
  question: 'Answer it',
  'waits-for-supervisor': 'Supervisor’s release',
  'batch-held': 'Name another batch',
  'batch-not-named': 'Name the batch',
  'piece-to-return': 'To its gap',
  'not-on-shelf': 'Change how many',
};

/** Goes to where an open matter is answered: its one field, choice or screen. */
export function useOpenMatter(slip: Slip) {
  const { go } = useCounter();
  return ({ kind, lineId, facts, answeredHere, says }: OpenMatter): void => {
    const line = slip.lines.find((one) => one.lineId === lineId);
    slipSheet.set(undefined);
    if (!line) {
      go('/counter/parts');
      return;
    }
    const toTray = () => {
      go('/counter/parts', { part: line.partKind === 'plug' ? null : line.partKind, row: line.partId });
    };
    const ask = (of: 'release' | 'batch' | 'quantity') => {
      slipSheet.set({ kind: of, lineId: line.lineId });
    };
    switch (kind) {
      case 'not-judged':
        go('/counter/engine');
        break;
      case 'plugs-first':
      case 'compression-first':
      case 'comeback-first':
        go(`/counter/old-parts/${kind.replace('-first', '')}`);
        break;
      case 'waits-for-supervisor':
        ask('release');
        break;
      case 'batch-held':
      case 'batch-not-named':
        ask('batch');
        break;
      case 'piece-to-return':
        go('/counter/set-up', { line: line.lineId });
        break;
      case 'not-on-shelf':
        ask('quantity');
        break;
      case 'question':
        // What no reading answers (a build, a class and its date) is answered in the tray, where its choice stands.
        if (answeredHere) slipSheet.set({ kind: 'answer', part: line, facts, says });
        else toTray();
        break;
      default:
        toTray();
    }
  };
}
