import { z } from 'zod';
import { Day } from './calendar.ts';
import { endpoint } from './endpoint.ts';

export const exportStock = endpoint('exportStock', {
  summary: 'What is on the shelf, part by part, with its price; as CSV.',
  roles: ['supervisor', 'editor'],
  response: z.unknown(),
  produces: 'text/csv',
});

export const exportSlips = endpoint('exportSlips', {
  summary:
    'Lines of the slips that were last written on from one day to another; as CSV, for the books. No customer is named.',
  roles: ['supervisor'],
  query: z.object({ from: Day, to: Day }),
  response: z.unknown(),
  produces: 'text/csv',
});
