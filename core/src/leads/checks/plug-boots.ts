import { listed } from '../../words/counted.ts';
import { defineCheck } from '../../fitment/define-check.ts';
import { assignLeads, servedBy } from '../assign-leads.ts';
import type { Lead, LeadBoot } from '../../facts/lead-facts.ts';
import { BOOT_WORDS, sayRoute } from '../say-route.ts';

const lead = (lengthMm: number, boot: LeadBoot): Lead => ({ lengthMm, boot, source: 'socket', kohmPerM: 10 });
const routes = [
  { to: '1', routedMm: 400, boots: ['90', '135'] },
  { to: '2', routedMm: 500, boots: ['straight', '135'] },
] as const;
const engine = { 'leadsAsked.routes': routes } as const;

export const plugBoots = defineCheck({
  id: 'plug-boots',
  title: 'Boots',
  why: 'A boot of the wrong bend bears on a manifold or a bracket and burns through.',
  source: 'Leads: Boots',
  needs: ['leads.set', 'leadsAsked.routes'],
  judge: (f) => {
    const [set, routes] = [f['leads.set'], f['leadsAsked.routes']];
    // Long enough and clearing at once: a bent boot on a lead that does not reach is none.
    const joint = assignLeads(set, routes, { mostSlackMm: Infinity });
    const fits = servedBy(joint) >= servedBy(assignLeads(set, routes, { mostSlackMm: Infinity, anyBoot: true }));
    const blocked = routes.filter((_, i) => joint.leadFor[i] === null);
    const figures = {
      where: fits ? [] : blocked.map(sayRoute),
      clears: fits ? [] : (blocked[0]?.boots ?? []).map((boot) => BOOT_WORDS[boot]),
      has: [...new Set(set.map(({ boot }) => BOOT_WORDS[boot]))],
    };
    return fits ? { outcome: 'match', caseId: 'clear', figures } : { outcome: 'refuse', caseId: 'bears', figures };
  },
  explain: ({ outcome, figures: g }) => ({
    asked: g.clears.join(' or ') || 'boots that clear',
    has: g.has.join(', '),
    difference: null,
    says:
      outcome === 'match'
        ? 'Every route has a boot that clears what stands around the plug.'
        : `No boot is left that clears ${listed(g.where)}: it bears on hot metal and burns through.`,
    toDo: outcome === 'match' ? null : 'Do not fit it.',
    phrase: outcome === 'match' ? 'Boots clear' : `Boot does not clear ${g.where[0] ?? 'the plug'}`,
  }),
  examples: [
    {
      says: 'a bent boot where one is needed and a straight one elsewhere match',
      facts: { ...engine, 'leads.set': [lead(520, 'straight'), lead(420, '90')] },
      outcome: 'match',
    },
    {
      says: 'straight boots alone do not clear the manifold: refused',
      facts: { ...engine, 'leads.set': [lead(520, 'straight'), lead(420, 'straight')] },
      outcome: 'refuse',
    },
    {
      says: 'the only bent boot on a lead too short for the manifold’s side is refused',
      facts: { ...engine, 'leads.set': [lead(520, 'straight'), lead(420, 'straight'), lead(380, '90')] },
      outcome: 'refuse',
    },
    { says: 'boots not seen are looked at first', facts: engine, outcome: 'unknown' },
  ],
});
