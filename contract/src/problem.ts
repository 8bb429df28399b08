import { z } from 'zod';
import { OpenMatter } from './open-matter.ts';

export const PROBLEM_CODES = [
  'not-signed-in',
  'wrong-sign-in',
  'role-not-allowed',
  'not-found',
  'invalid-request',
  'unreadable-body',
  'body-too-large',
  'wrong-media-type',
  'wrong-origin',
  'too-many-tries',
  'changed-meanwhile',
  'not-allowed-now',
  'already-there',
  'not-collected',
  'key-reused',
  'busy',
  'disk-full',
  'fault',
] as const;

/** What every failed call returns, as application/problem+json. */
export const Problem = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.number().int(),
    code: z.enum(PROBLEM_CODES),
    /** What to do about it. */
    detail: z.string(),
    /** What is wrong, by field. */
    fields: z.record(z.string(), z.string()).optional(),
    /** What keeps a slip from being collected, each with its line. */
    open: z.array(OpenMatter).optional(),
    requestId: z.string().optional(),
  })
  .meta({ id: 'Problem' });
export type Problem = z.infer<typeof Problem>;
export type ProblemCode = Problem['code'];
