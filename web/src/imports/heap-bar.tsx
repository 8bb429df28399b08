import { HEAPS, type Heap } from '@brackenfell/core/imports/sort-row';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import type { ImportView } from '@brackenfell/contract/imports';
import { HEAP_MARKS } from './import-words.ts';

/** Fills that are told apart without their colour. */
const FILLS: Readonly<Record<Heap, string>> = {
  invalid: 'heap-invalid',
  doubtful: 'heap-doubtful',
  new: 'heap-new',
  changed: 'heap-changed',
  same: 'heap-same',
};

interface HeapBarProps {
  readonly counts: NonNullable<ImportView['counts']>;
  readonly isComplete: boolean;
  readonly heap: Heap | undefined;
  readonly onHeap: (heap: Heap | undefined) => void;
}

/** How the rows of a list lie in heaps, to scale; each heap by itself at a press. */
export function HeapBar({ counts, isComplete, heap, onHeap }: HeapBarProps) {
  const all = HEAPS.reduce((sum, one) => sum + counts[one], 0);
  return (
    <section aria-label="Heaps" className="grid gap-1 border-b border-line px-3 py-2">
      <div className="flex h-5 border border-slate" aria-hidden="true">
        {HEAPS.filter((one) => counts[one] > 0).map((one) => (
          <span key={one} className={FILLS[one]} style={{ flex: `${counts[one]} 0 3px` }} />
        ))}
      </div>
      <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        {HEAPS.map((one) => (
          <button
            key={one}
            type="button"
            className={`sign-option ${heap === one ? 'sign-on' : ''}`}
            aria-pressed={heap === one}
            disabled={counts[one] === 0}
            onClick={() => onHeap(heap === one ? undefined : one)}
          >
            <Mark kind={HEAP_MARKS[one]} rem={0.75} label="" /> <span className="num">{counts[one]}</span> {one}
          </button>
        ))}
        {isComplete && (
          <span>
            <Mark kind={HEAP_MARKS.gone} rem={0.75} label="" /> <span className="num">{counts.gone}</span> gone from
            their list; no stock of ours is touched
          </span>
        )}
        <span className="flex-1 text-right text-soft">
          of {all} <Key>h</Key> next heap
        </span>
      </p>
    </section>
  );
}
