import { defineCheck } from '../../fitment/define-check.ts';
import { assignLeads, MOST_SLACK_MM, servedBy } from '../assign-leads.ts';
import type { Lead } from '../../facts/lead-facts.ts';
import { sayRoute } from '../say-route.ts';

const lead = (lengthMm: number): Lead => ({ lengthMm, boot: 'straight', source: 'socket', kohmPerM: 10 });
const routes = [400, 500].map((routedMm, i) => ({ to: String(i + 1), routedMm, boots: ['straight'] as const }));
const engine = { 'leadsAsked.routes': routes } as const;
const of = (...lengths: number[]) => ({ ...engine, 'leads.set': lengths.map(lead) });

export const leadLengths = defineCheck({
  id: 'lead-lengths',
  title: 'Lengths',
  why: 'A lead too short is stretched off its plug by the engine’s shaking; one too long hangs on hot or moving parts.',
  source: 'Leads: Lengths',
  needs: ['leads.set', 'leadsAsked.routes'],
  mayUse: ['leadsAsked.mostSlackMm'],
  judge: (f) => {
    const [set, routes] = [f['leads.set'], f['leadsAsked.routes']];
    const mostSlackMm = f['leadsAsked.mostSlackMm'] ?? MOST_SLACK_MM;
    // A lead that is missing altogether is the count's matter, and one whose boot does not clear that of the boots.
    const nowhere = routes.map((route) => ({ ...route, routedMm: 0 }));
    const possible = servedBy(assignLeads(set, nowhere, { mostSlackMm: Infinity, anyBoot: true }));
    const reach = (anyBoot: boolean) => servedBy(assignLeads(set, routes, { mostSlackMm: Infinity, anyBoot }));
    const anyBoot = reach(false) < reach(true);
    const tight = assignLeads(set, routes, { mostSlackMm, anyBoot });
    const { leadFor, slackMm, leftOver } = tight;
    const slackest = Math.max(0, ...slackMm.map((slack) => slack ?? 0));
    const loose = assignLeads(set, routes, { mostSlackMm: Infinity, anyBoot });
    const unservedAt = leadFor.findIndex((i) => i === null);
    const route = unservedAt < 0 ? undefined : routes[unservedAt]!;
    const longest = Math.max(
      0,
      ...leftOver.filter((i) => (set[i]!.coilLead === true) === (route?.to === 'coil')).map((i) => set[i]!.lengthMm),
    );
    const figures = {
      mostSlackMm,
      slackestMm: slackest,
      where: route ? sayRoute(route) : null,
      routedMm: route?.routedMm ?? null,
      longestMm: longest || null,
      looseAt: sayRoute(routes[loose.slackMm.findIndex((slack) => (slack ?? 0) > mostSlackMm)] ?? { to: '?' }),
      loosestMm: Math.max(0, ...loose.slackMm.map((slack) => slack ?? 0)),
    };
    if (servedBy(tight) >= possible)
      return { outcome: 'match', caseId: 'reach', figures, closeness: slackest / mostSlackMm };
    if (servedBy(loose) >= possible) return { outcome: 'caution', caseId: 'too-long', figures };
    return { outcome: 'refuse', caseId: 'too-short', figures };
  },
  explain: ({ caseId, figures: g }, say) => {
    const mm = (value: number | null) => (value === null ? 'none' : say.quantity('lead-length', value));
    switch (caseId) {
      case 'too-short':
        return {
          asked: `${g.where ?? ''} ${mm(g.routedMm)}`.trim(),
          has: mm(g.longestMm),
          difference: g.longestMm === null ? null : say.signed('lead-length', g.longestMm - (g.routedMm ?? 0)),
          says: `Nothing in the set reaches ${g.where}, ${mm(g.routedMm)} away: stretched, it pulls off while driving.`,
          toDo: 'Do not fit it.',
          phrase: `Too short for ${g.where}`,
        };
      case 'too-long':
        return {
          asked: `slack to ${mm(g.mostSlackMm)}`,
          has: mm(g.loosestMm),
          difference: null,
          says: `The lead for ${g.looseAt} has ${mm(g.loosestMm)} to spare and hangs on hot or moving parts.`,
          toDo: 'Let the supervisor decide; it must be clipped away.',
          phrase: `Too long for ${g.looseAt}`,
        };
      default:
        return {
          asked: `slack to ${mm(g.mostSlackMm)}`,
          has: `at most ${mm(g.slackestMm)}`,
          difference: null,
          says: 'Every lead reaches without being stretched and without hanging.',
          toDo: null,
          phrase: 'Lengths as asked',
        };
    }
  },
  examples: [
    { says: 'leads 0 and 80 mm longer than their routes match', facts: of(400, 580), outcome: 'match' },
    { says: 'a lead 81 mm longer hangs: a caution', facts: of(400, 581), outcome: 'caution', caseId: 'too-long' },
    { says: 'a lead 1 mm short of its route is refused', facts: of(420, 499), outcome: 'refuse', caseId: 'too-short' },
    {
      says: 'an engine with little room allows less slack',
      facts: { ...of(400, 540), 'leadsAsked.mostSlackMm': 30 },
      outcome: 'caution',
    },
    { says: 'with one lead missing the others are judged', facts: of(520), outcome: 'match' },
    { says: 'an unmeasured set is laid out first', facts: engine, outcome: 'unknown' },
  ],
});
