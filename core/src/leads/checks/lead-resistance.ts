import { defineCheck } from '../../fitment/define-check.ts';
import { inside } from '../../fitment/tolerance.ts';
import type { Lead } from '../../facts/lead-facts.ts';

const lead = (kohmPerM: number): Lead => ({ lengthMm: 500, boot: 'straight', source: 'socket', kohmPerM });
const engine = { 'leadsAsked.kohmPerM': { low: 5, high: 16 } } as const;
const of = (...values: number[]) => ({ ...engine, 'leads.set': values.map(lead) });

export const leadResistance = defineCheck({
  id: 'lead-resistance',
  title: 'Resistance',
  why: 'Too little lets the spark disturb radio and control unit; too much weakens it.',
  source: 'Leads: Lead resistance',
  startsGroup: true,
  vouchedBy: ['own-number', 'listing'],
  needs: ['leads.set', 'leadsAsked.kohmPerM'],
  canRefuse: (f) => (f['leadsAsked.kohmPerM']?.low ?? 1) > 0,
  judge: (f) => {
    const asked = f['leadsAsked.kohmPerM'];
    const values = f['leads.set'].map(({ kohmPerM }) => kohmPerM);
    const [lowKohm, highKohm] = [Math.min(...values), Math.max(...values)];
    const figures = { lowKohm, highKohm, askedLowKohm: asked.low, askedHighKohm: asked.high };
    if (lowKohm === 0 && asked.low > 0) return { outcome: 'refuse', caseId: 'plain-wire', figures };
    if (values.every((value) => inside(value, asked))) return { outcome: 'match', caseId: 'inside', figures };
    return { outcome: 'caution', caseId: lowKohm < asked.low ? 'too-little' : 'too-much', figures };
  },
  explain: ({ caseId, figures: g }, say) => {
    const print = (low: number, high: number) =>
      `${say.span('lead-resistance', { low: low * 1000, high: high * 1000 })} a metre`;
    const common = {
      asked: print(g.askedLowKohm, g.askedHighKohm),
      has: print(g.lowKohm, g.highKohm),
      difference: null,
    };
    switch (caseId) {
      case 'plain-wire':
        return {
          ...common,
          says: 'Plain wire where suppression is asked: it disturbs radio and control unit.',
          toDo: 'Sell suppressed leads.',
          phrase: 'Plain wire, no suppression',
        };
      case 'too-little':
        return {
          ...common,
          says: 'Less suppression than asked: it may disturb the control unit.',
          toDo: 'Let the supervisor decide.',
          phrase: 'Too little resistance',
        };
      case 'too-much':
        return {
          ...common,
          says: 'More resistance than asked: the spark is weaker, most of all on the longest lead.',
          toDo: 'Let the supervisor decide.',
          phrase: 'Too much resistance',
        };
      default:
        return { ...common, says: 'Suppressed as asked.', toDo: null, phrase: 'Resistance as asked' };
    }
  },
  examples: [
    { says: 'inside the range, ends included, matches', facts: of(5, 16), outcome: 'match' },
    { says: 'just above the range is a caution', facts: of(16.1), outcome: 'caution', caseId: 'too-much' },
    { says: 'just below the range is a caution', facts: of(10, 4.9), outcome: 'caution', caseId: 'too-little' },
    { says: 'plain wire where suppression is asked is refused', facts: of(0), outcome: 'refuse' },
    { says: 'unpublished it is measured', facts: engine, outcome: 'unknown' },
  ],
});
