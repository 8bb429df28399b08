import { counted, listed } from '../../words/counted.ts';
import { defineCheck } from '../../fitment/define-check.ts';
import type { Lead } from '../../facts/lead-facts.ts';
import { sayRoute } from '../say-route.ts';
import { assignLeads } from '../assign-leads.ts';

const lead = (lengthMm: number): Lead => ({ lengthMm, boot: 'straight', source: 'socket', kohmPerM: 10 });
const routes = [400, 500].map((routedMm, i) => ({ to: String(i + 1), routedMm, boots: ['straight'] as const }));
const engine = { 'leadsAsked.routes': routes } as const;

export const leadCount = defineCheck({
  id: 'lead-count',
  title: 'Leads',
  why: 'A set one lead short leaves the fitter with the engine open and a cylinder dead.',
  source: 'Leads: Count',
  needs: ['leads.set', 'leadsAsked.routes'],
  judge: (f) => {
    const [set, routes] = [f['leads.set'], f['leadsAsked.routes']];
    const coilLeads = (of: readonly { coilLead?: boolean | undefined; to?: string }[]) =>
      of.filter((one) => one.coilLead === true || one.to === 'coil').length;
    const shortBy =
      Math.max(0, coilLeads(routes) - coilLeads(set)) +
      Math.max(0, routes.length - coilLeads(routes) - (set.length - coilLeads(set)));
    const over = set.length - routes.length + shortBy;
    const { leadFor } = assignLeads(set, routes, { mostSlackMm: Infinity, anyBoot: true });
    const unserved = routes.filter((_, i) => leadFor[i] === null).map(sayRoute);
    const figures = { has: set.length, asked: routes.length, shortBy, over, unserved };
    if (shortBy > 0) return { outcome: 'refuse', caseId: 'short', figures };
    return over > 0
      ? { outcome: 'acceptable', caseId: 'over', figures }
      : { outcome: 'match', caseId: 'same', figures };
  },
  explain: ({ caseId, figures: g }) => {
    const leads = (count: number) => counted(count, 'lead');
    const common = { asked: leads(g.asked), has: leads(g.has), difference: null };
    switch (caseId) {
      case 'short':
        return {
          ...common,
          says: `The set is ${leads(g.shortBy)} short: ${listed(g.unserved) || 'a cylinder'} stays without.`,
          toDo: 'Sell a whole set, or the missing lead with it.',
          phrase: `${leads(g.shortBy)} short`,
        };
      case 'over':
        return {
          ...common,
          says: `${leads(g.over)} more than this engine needs.`,
          toDo: 'Say which one stays in the box, so that nobody looks for its place.',
          phrase: `${leads(g.over)} left over`,
        };
      default:
        return { ...common, says: 'One lead for each route.', toDo: null, phrase: 'All leads there' };
    }
  },
  examples: [
    {
      says: 'as many leads as routes match',
      facts: { ...engine, 'leads.set': [lead(420), lead(520)] },
      outcome: 'match',
    },
    { says: 'one lead short is refused', facts: { ...engine, 'leads.set': [lead(520)] }, outcome: 'refuse' },
    {
      says: 'one lead left over is acceptable',
      facts: { ...engine, 'leads.set': [lead(420), lead(520), lead(620)] },
      outcome: 'acceptable',
    },
    {
      says: 'a coil lead is no lead for a cylinder',
      facts: { ...engine, 'leads.set': [lead(420), { ...lead(520), coilLead: true }] },
      outcome: 'refuse',
    },
    { says: 'an unmeasured set is laid out first', facts: engine, outcome: 'unknown' },
  ],
});
