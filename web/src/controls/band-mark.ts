import type { Band } from '@brackenfell/core/authenticity/judge-piece';
import type { MarkKind } from './mark-shapes.ts';

/** How a band is marked; the words always stand beside it. */
export const BAND_MARK: Readonly<Record<Band, MarkKind>> = {
  'not-inspected': 'not-asked',
  consistent: 'match',
  'not-proven': 'unknown',
  suspect: 'refuse',
};

export const BAND_INK: Readonly<Record<Band, string>> = {
  'not-inspected': 'text-soft',
  consistent: 'text-lichen',
  'not-proven': 'text-ash',
  suspect: 'text-madder',
};
