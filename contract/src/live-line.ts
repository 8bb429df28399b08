/** The live line's words, by themselves: the browser takes these along and not the schemas. */

/** What may have changed, as wide as a page shows it: the database names one with every write that changes it. */
export const TOPICS = [
  'shelf',
  'rules',
  'catalogue',
  'proof',
  'garage',
  'loans',
  'papers',
  'heard',
  'practice',
  'work',
  'people',
  'tries',
  'shop',
] as const;
export type Topic = (typeof TOPICS)[number];

/** Name of the event that carries tidings; that of one that says only that the line stands is `beat`. */
export const TIDINGS = 'tidings';
export const BEAT = 'beat';
/** How often a page hears something, though nothing changed. */
export const BEAT_MS = 10_000;
/** A line on which nothing was heard for as long as this is made anew. */
export const SILENT_MS = 2.2 * BEAT_MS;
