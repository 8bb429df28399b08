import type { FactId, FactSheet, FactSource } from '../facts/facts.ts';

/** Facts as a test makes them up; one that is undefined is not known. */
export type MadeUp = Partial<Record<FactId, unknown>>;

const SOURCE: FactSource = { rank: 'engine-maker', name: 'sheet' };

/** A sheet on which one source says each fact. */
export const sheetOf = (facts: MadeUp, source: FactSource = SOURCE): FactSheet =>
  Object.fromEntries(
    Object.entries(facts)
      .filter(([, value]) => value !== undefined)
      .map(([id, value]) => [id, { ruling: [{ value, source }] }]),
  );
