import { z } from 'zod';
import { endpoint } from './endpoint.ts';

const day = z.iso.date('must be a day such as 2026-11-27');

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
  query: z.object({ from: day, to: day }),
  response: z.unknown(),
  produces: 'text/csv',
});
