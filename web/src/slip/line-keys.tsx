import { useKeys, type KeyBinding } from '../keys/keys.ts';

interface LineKeysProps {
  readonly move: (by: number) => void;
  readonly answer: () => void;
  readonly quantity: (by: number) => void;
  readonly remove: () => void;
  readonly release: () => void;
  readonly batch: () => void;
  readonly proof: () => void;
  readonly told: () => void;
  readonly leave: () => void;
}

/** Keys while the slip's lines have the hand; they stand before the desk's own while it lasts. */
export function LineKeys({ move, answer, quantity, remove, release, batch, proof, told, leave }: LineKeysProps) {
  const keys: readonly KeyBinding[] = [
    { press: 'Shift+ArrowDown', printed: 'Shift ↓', does: 'Next line', run: () => move(1) },
    { press: 'Shift+ArrowUp', printed: 'Shift ↑', does: 'Line before', run: () => move(-1) },
    { press: 'Enter', does: 'Answer what is open on the line', run: answer },
    { press: '+', does: 'One more', run: () => quantity(1) },
    { press: 'Shift++', printed: '+', does: 'One more', run: () => quantity(1) },
    { press: '-', does: 'One fewer', run: () => quantity(-1) },
    { press: 'Delete', does: 'Take the line off', run: remove },
    { press: 'Shift+R', printed: 'Shift r', does: 'Supervisor’s release', run: release },
    { press: 'Shift+B', printed: 'Shift b', does: 'Which batch its pieces are from', run: batch },
    { press: 'Shift+V', printed: 'Shift v', does: 'Proof of its pieces', run: proof },
    { press: 'w', does: 'What was told of it, check by check', run: told },
    { press: 'Escape', does: 'Back to the desk', run: leave },
  ];
  useKeys(
    'Lines of the slip',
    keys.map((key) => ({ ...key, first: true })),
  );
  return null;
}
