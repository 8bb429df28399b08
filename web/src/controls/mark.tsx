import type { Outcome } from '@brackenfell/core/fitment/finding';
import type { Verdict } from '@brackenfell/core/fitment/verdict';

export type MarkKind = Outcome | 'match-small';

/** Shapes of the marks on a 12-unit grid, told apart by outline: they read in black and white. */
const SHAPES: Record<MarkKind, React.ReactNode> = {
  match: <path d="M5 1.1A5 5 0 1 0 7 1.1V4.7H5Z" fill="currentColor" />,
  'match-small': <path d="M5 2.12A4 4 0 1 0 7 2.12V5H5Z" fill="currentColor" />,
  acceptable: (
    <>
      <path d="M4.5 1.76A4.5 4.5 0 1 0 7.5 1.76" fill="none" stroke="currentColor" strokeWidth="1.25" />
      <path d="M1.3 6.2A4.7 4.7 0 0 0 10.7 6.2Z" fill="currentColor" />
    </>
  ),
  caution: <path d="M.7 11V7.9L3.3 6.5V1.3H8.7V6.5L11.3 7.9V11Z" fill="currentColor" />,
  refuse: <path d="M0 5H6L4.2 10H0ZM7.8 2H12V7H6Z" fill="currentColor" />,
  unknown: (
    <circle
      cx="6"
      cy="6"
      r="4.5"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.6"
      strokeDasharray="2.95 1.76"
      strokeDashoffset="1.4"
    />
  ),
  'not-asked': <path d="M4.5 6H7.5" stroke="currentColor" strokeWidth="1" />,
};

const INK: Record<MarkKind, string> = {
  match: 'text-lichen',
  'match-small': 'text-lichen-quiet',
  acceptable: 'text-gorse',
  caution: 'text-heather',
  refuse: 'text-madder',
  unknown: 'text-ash',
  'not-asked': 'text-line',
};

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

/** The symbols every mark refers to; placed once in the page. */
export function MarkSymbols() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true">
      <defs>
        {(Object.keys(SHAPES) as MarkKind[]).map((kind) => (
          <symbol key={kind} id={`mark-${kind}`} viewBox="0 0 12 12">
            {SHAPES[kind]}
          </symbol>
        ))}
      </defs>
    </svg>
  );
}

/** A verdict mark. With a label it is an image to screen readers; without, decoration beside words that say the same. */
export function Mark({ kind, label, rem = 0.75 }: { kind: MarkKind; label?: string; rem?: number }) {
  const size = `${rem}rem`;
  return (
    <svg
      className={`inline-block flex-none ${INK[kind]}`}
      style={{ width: size, height: size }}
      viewBox="0 0 12 12"
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      <use href={`#mark-${kind}`} />
    </svg>
  );
}
