import { z } from 'zod';
import { endpoint, EVERYONE, Id } from './endpoint.ts';
import { TOPICS } from './live-line.ts';

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

export const live = endpoint('live', {
  summary: 'What changes, as it changes: a stream of events, each a JSON document of tidings.',
  roles: EVERYONE,
  response: z.unknown(),
  produces: 'text/event-stream',
});
