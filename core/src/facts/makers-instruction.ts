import { z } from 'zod';
import { month } from './fact-shapes.ts';

/**
 * What a maker instructs or forbids where shops choose for themselves: the school of a house rule it comes to, in the maker's
 * own sense. It stands above every rule of the house. `dated` is the month of the sheet. House rules: Who speaks.
 */
export const makersInstruction = z
  .object({
    rule: z.string().min(1).max(40),
    school: z.string().min(1).max(40),
    says: z.string().min(1).max(300),
    dated: month.optional(),
  })
  .readonly();
export type MakersInstruction = z.infer<typeof makersInstruction>;
