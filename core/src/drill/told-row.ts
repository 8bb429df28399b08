import { FACTS, type FactId } from '../facts/facts.ts';
import type { Finding } from '../fitment/finding.ts';
import { listed } from '../words/counted.ts';
import type { DrillRow } from './drill-case.ts';

/** Facts of what is offered; the others are the engine's, or the job's. */
const OFFERED = /^(?:plug|coil|leads|cap|rotor)\./;

/** What stands where one side of a check is not known: which fact is missing there. */
const missingAt = (missing: readonly FactId[], isOffered: boolean): string => {
  const labels = missing.filter((id) => OFFERED.test(id) === isOffered).map((id) => FACTS[id].label);
  return labels.length === 0 ? '–' : `not known: ${listed(labels)}`;
};

/** A finding as a row of a case. */
export const toldRow = (title: string, { told, outcome, missing }: Finding): DrillRow => ({
  title,
  asked: told.asked || missingAt(missing, false),
  has: told.has || missingAt(missing, true),
  outcome,
  says: told.says,
});
