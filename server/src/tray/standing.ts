import type { Evidence } from '@brackenfell/core/fitment/verdict';
import type { HouseRules } from '@brackenfell/core/house-rules/house-rules';

/** What counts for a candidate's place in the tray: by the shop's rule a named number may stand among its listed equals. */
export const standingBy = (rules: HouseRules): ((evidence: Evidence) => Evidence) =>
  rules.ownNumber === 'preferred'
    ? (evidence) => evidence
    : (evidence) => (evidence.named ? { ...evidence, named: false, listed: true } : evidence);
