import type { PaperKind, PaperView } from '@brackenfell/contract/hand-over';

/** What each paper is called. */
export const PAPER_WORDS: Readonly<Record<PaperKind, string>> = {
  'fitting-card': 'Fitting card',
  quote: 'Quote',
  slip: 'Slip',
  'lead-labels': 'Lead labels',
  'part-labels': 'Part labels',
  'loan-note': 'Tool loan',
};

/** What may be printed besides the card, on what it usually is. */
export const OTHER_PAPERS = [
  { kind: 'quote', size: 'A4' },
  { kind: 'slip', size: 'A5' },
  { kind: 'lead-labels', size: 'label' },
  { kind: 'part-labels', size: 'label' },
  { kind: 'loan-note', size: 'A5' },
] as const satisfies readonly { readonly kind: PaperKind; readonly size: PaperView['size'] }[];
