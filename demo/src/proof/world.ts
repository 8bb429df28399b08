import type { z } from 'zod';
import type { ProofFile } from '@brackenfell/contract/proof-file';
import { batches, sales, sellers } from './past.ts';
import { pastSlips } from './past-slips.ts';
import { proofReferences } from './references.ts';

/** References, sellers, and what the demo counter received and sold before. */
export const demoProof: z.input<typeof ProofFile> = {
  sellers,
  references: proofReferences,
  batches,
  sales: [...sales, ...pastSlips].sort((a, b) => a.soldOn.localeCompare(b.soldOn)),
};
