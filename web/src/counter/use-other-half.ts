import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { useCounter } from './use-counter.ts';

/** The cap for a rotor, the rotor for a cap, if it is on the slip: the two are judged as a pair. */
export function useOtherHalf(kind: PartKind): string | undefined {
  const { slip } = useCounter();
  const other = kind === 'cap' ? 'rotor' : kind === 'rotor' ? 'cap' : undefined;
  return slip.data?.lines.find((line) => line.partKind === other)?.partId;
}
