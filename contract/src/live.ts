import { z } from 'zod';
import { endpoint, EVERYONE, Id } from './endpoint.ts';

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
  'work',
  'people',
  'tries',
  'shop',
] as const;
export type Topic = (typeof TOPICS)[number];

/** What changed since the page was last told. A page that holds a slip at this version or a later one knows it already. */
export const Tidings = z
  .object({
    topics: z.array(z.enum(TOPICS)),
    /** Parts of which the shelf, a batch or a price changed; many at once are the topic `shelf`. */
    parts: z.array(Id),
    slips: z.array(z.object({ slipId: Id, version: z.number().int().positive() })),
    /** Something may have been missed: everything that is shown is asked for anew. */
    gap: z.boolean(),
  })
  .meta({ id: 'Tidings' });
export type Tidings = z.infer<typeof Tidings>;

/** Name of the event that carries tidings; that of one that says only that the line stands is `beat`. */
export const TIDINGS = 'tidings';
export const BEAT = 'beat';
/** How often a page hears something, though nothing changed. One that heard nothing for twice as long calls anew. */
export const BEAT_MS = 10_000;

export const live = endpoint('live', {
  summary: 'What changes, as it changes: a stream of events, each a JSON document of tidings.',
  roles: EVERYONE,
  response: z.unknown(),
  produces: 'text/event-stream',
});
