import type { Span } from '../facts/fact-shapes.ts';
import { inside } from '../fitment/tolerance.ts';

/** A lead as measured on the bench. */
export interface MeasuredLead {
  readonly kohm: number;
  readonly lengthMm: number;
}

const MM_PER_M = 1000;

/** Whether a lead's measured resistance fits its length. Leads: Lead test. */
export function testLead({ kohm, lengthMm }: MeasuredLead, asked: Span) {
  const kohmPerM = (kohm / lengthMm) * MM_PER_M;
  const verdict = inside(kohmPerM, asked) ? 'good' : kohmPerM < asked.low ? 'too-little' : 'too-much';
  return { kohmPerM, verdict } as const;
}
