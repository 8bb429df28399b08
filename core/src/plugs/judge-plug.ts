import type { FactSheet } from '../facts/facts.ts';
import { judgePart, type PartJudgement } from '../fitment/judge-part.ts';
import type { Say } from '../fitment/say.ts';
import type { Evidence } from '../fitment/verdict.ts';
import { PLUG_CHECKS } from './plug-checks.ts';

/** Judges one plug at one position. `sheet` joins the plug's facts with the position's, the duty's and the house rules'. */
export const judgePlug = (sheet: FactSheet, evidence: Evidence, say: Say): PartJudgement =>
  judgePart(PLUG_CHECKS, sheet, evidence, say);
