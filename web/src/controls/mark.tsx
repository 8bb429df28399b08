import type { Outcome } from '@brackenfell/core/fitment/finding';
import type { Verdict } from '@brackenfell/core/fitment/verdict';
import { MARK_INK, MARK_SHAPES, type MarkKind } from './mark-shapes.ts';

export const MARK_WORDS: Record<Outcome, string> = {
  match: 'match',
  acceptable: 'acceptable',
  caution: 'caution',
  refuse: 'refuse',
  unknown: 'not known',
  'not-asked': 'not asked',
};

export const VERDICT_MARK: Record<Verdict, Outcome> = {
  sell: 'match',
  'sell-with-advice': 'acceptable',
  'ask-first': 'unknown',
  'needs-supervisor': 'caution',
  refuse: 'refuse',
};

/** One kind of mark at one or several places of a drawing, in the drawing's own units. */
export function MarkPaths({ kind, at }: { kind: MarkKind; at: readonly (readonly [x: number, y: number])[] }) {
  const { fill, stroke } = MARK_SHAPES[kind];
  const placed = (d: string) => at.map(([x, y]) => `M${x} ${y}${d}`).join('');
  return (
    <g className={MARK_INK[kind]}>
      {stroke && (
        <path
          d={placed(stroke.d)}
          fill="none"
          stroke="currentColor"
          strokeWidth={stroke.width}
          strokeDasharray={stroke.dash}
        />
      )}
      {fill && <path d={placed(fill)} fill="currentColor" />}
    </g>
  );
}

const ORIGIN = [[0, 0]] as const;

/** A verdict mark. With a label it is an image to screen readers; without, decoration beside words that say the same. */
export function Mark({ kind, label, rem = 0.75 }: { kind: MarkKind; label?: string; rem?: number }) {
  const size = `${rem}rem`;
  return (
    <svg
      className="inline-block flex-none"
      style={{ width: size, height: size }}
      viewBox="0 0 12 12"
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      <MarkPaths kind={kind} at={ORIGIN} />
    </svg>
  );
}
