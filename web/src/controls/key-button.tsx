import { act } from '../keys/keys.ts';
import { Key } from './key.tsx';

interface KeyButtonProps {
  /** As the key map has it: `j`, `Control+Enter`. */
  readonly press: string;
  readonly printed?: string;
  /** What it does: said to a screen reader, and shown where nothing stands beside it. */
  readonly does: string;
  readonly children?: React.ReactNode;
}

/** A key hint that is the key: pressed with a pointer or a finger it does the same. */
export function KeyButton({ press, printed = press, does, children }: KeyButtonProps) {
  return (
    <button type="button" className="min-h-6 min-w-6" aria-label={does} title={does} onClick={() => act(press)}>
      <Key>{printed}</Key>
      {children}
    </button>
  );
}
