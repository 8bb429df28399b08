import { z } from 'zod';
import { CLAIM_BASES } from '@brackenfell/core/heard/claims';
import { EngineKey, endpoint, EVERYONE, line, Units } from './endpoint.ts';

/** A claim that customers bring, with its answer. */
const HeardClaim = z
  .object({
    claimId: z.string(),
    says: z.string(),
    words: z.string(),
    basis: z.enum(CLAIM_BASES),
    answer: z.string(),
    /** Who of the shop wrote it; null for what came with the application. */
    by: z.string().nullable(),
  })
  .meta({ id: 'HeardClaim' });
export type HeardClaim = z.infer<typeof HeardClaim>;

const HeardClaims = z.object({ claims: z.array(HeardClaim) });

export const listClaims = endpoint('listClaims', {
  summary: 'What customers say, each answered by a check, by a sum with the engine’s figures, or as not known.',
  roles: EVERYONE,
  query: z.object({ engine: EngineKey.optional(), units: Units.default('metric') }),
  response: HeardClaims,
});

/** A key of ours, or a new one. */
const ClaimKey = z
  .string()
  .regex(/^[a-z0-9]+(?:-[a-z0-9]+)*$/)
  .max(60);

export const saveClaim = endpoint('saveClaim', {
  summary: 'Write a claim of the shop’s own, or another answer to one there is; or take the shop’s own away.',
  roles: ['supervisor'],
  params: z.object({ claimId: ClaimKey }),
  body: z
    .object({
      says: line(120).trim().min(3),
      answer: line(400).trim().min(3),
      /** A sum is reckoned, not written: the shop’s own rest on a check, or say that nobody knows. */
      basis: z.enum(['check', 'unknown']),
      isTakenAway: z.boolean(),
    })
    .strict(),
  response: HeardClaims,
  idempotent: true,
});
