import type { Outcome } from '@brackenfell/core/fitment/finding';

export type MarkKind = Outcome | 'match-small';

export interface MarkShape {
  /** Filled outline in relative path commands, drawn from the top left corner of a 12-unit square. */
  readonly fill?: string;
  readonly stroke?: { readonly d: string; readonly width: number; readonly dash?: string };
}

/** Shapes of the marks, told apart by outline: they read in black and white, and at 12 px. */
export const MARK_SHAPES: Readonly<Record<MarkKind, MarkShape>> = {
  match: { fill: 'm5 1.1a5 5 0 1 0 2 0v3.6h-2z' },
  'match-small': { fill: 'm5 2.12a4 4 0 1 0 2 0v2.88h-2z' },
  acceptable: { stroke: { d: 'm4.5 1.76a4.5 4.5 0 1 0 3 0', width: 1.25 }, fill: 'm1.3 6.2a4.7 4.7 0 0 0 9.4 0z' },
  caution: { fill: 'm.7 11v-3.1l2.6-1.4v-5.2h5.4v5.2l2.6 1.4v3.1z' },
  refuse: { fill: 'm0 5h6l-1.8 5h-4.2zm7.8-3h4.2v5h-6z' },
  unknown: { stroke: { d: 'm1.5 6a4.5 4.5 0 1 0 9 0a4.5 4.5 0 1 0-9 0', width: 1.6, dash: '2.95 1.76' } },
  'not-asked': { stroke: { d: 'm4.5 6h3', width: 1 } },
};

export const MARK_INK: Readonly<Record<MarkKind, string>> = {
  match: 'text-lichen',
  'match-small': 'text-lichen-quiet',
  acceptable: 'text-gorse',
  caution: 'text-heather',
  refuse: 'text-madder',
  unknown: 'text-ash',
  'not-asked': 'text-line',
};
