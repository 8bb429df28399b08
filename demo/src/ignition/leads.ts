import type { LeadSetFacts, ListingEntry, OtherPartEntry, ReferenceEntry } from '@brackenfell/contract/catalogue-file';
import type { Lead, LeadRoute } from '@brackenfell/core/facts/lead-facts';
import { leadNeeds } from './lead-needs.ts';

type Role = 'own' | 'equal' | 'long' | 'trap' | 'unpublished';
interface LeadSet {
  readonly part: Extract<OtherPartEntry, { kind: 'lead-set' }>;
  readonly engineId: string;
  readonly oe: string;
  readonly role: Role;
}

/** Leads of a set: so much longer than their routes, with the first boot that clears. */
const cut = (
  routes: readonly LeadRoute[],
  { source, kohmPerM, slackMm }: { source: Lead['source']; kohmPerM: number; slackMm: readonly number[] },
): Lead[] =>
  routes.map((route, i) => ({
    lengthMm: route.routedMm + slackMm[i % slackMm.length]!,
    boot: route.boots.includes('straight') ? 'straight' : '90',
    source,
    kohmPerM,
    ...(route.to === 'coil' ? { coilLead: true } : {}),
  }));

/** What is wrong with the set that tempts, engine by engine. */
function spoiled(engineId: string, right: readonly Lead[]): Lead[] {
  switch (engineId) {
    // One lead short, and nobody counts them at the counter.
    case 'dunmarrow-hf22':
    case 'aldersyke-at20':
      return right.filter((_, i) => i !== 2);
    // Straight boots alone: some of them lie on the manifold or a pipe.
    case 'dunmarrow-h6':
    case 'pellworth-pg66':
    case 'thrushgill-tn17':
      return right.map((lead) => ({ ...lead, boot: 'straight' }));
    case 'skerrow-sc20':
      return right.map((lead, i) => (i === 0 ? { ...lead, lengthMm: lead.lengthMm - 90 } : lead));
    case 'skerrow-sc20g':
      return right.map((lead) => ({ ...lead, kohmPerM: 0 }));
    default:
      return right.map((lead) => ({ ...lead, source: lead.source === 'peg' ? 'socket' : 'peg' }));
  }
}

const all: readonly LeadSet[] = Object.entries(leadNeeds).flatMap(([engineId, [need]], i): LeadSet[] => {
  const routes = need!.facts['leadsAsked.routes']!;
  const source = need!.facts['leadsAsked.source']!;
  const range = need!.facts['leadsAsked.kohmPerM']!;
  const kohmPerM = Number(((range.low + range.high) / 2).toFixed(1));
  const oe = need!.oeNumbers![0]!.number;
  const set = (
    role: Role,
    maker: 'corrin' | 'marlspark',
    serial: number,
    leads: Lead[] | undefined,
    [onHand, priceMinor]: readonly [number, number],
  ): LeadSet => {
    const facts: LeadSetFacts = { ...(leads ? { 'leads.set': leads } : {}), 'leads.supply': { state: 'active' } };
    const number =
      maker === 'corrin' ? `COR ${routes.length}-${110 + i * 8 + serial}` : `MS-L ${610 + i * 10 + serial}`;
    return {
      role,
      engineId,
      oe,
      part: { kind: 'lead-set', maker, number, facts, onHand, bin: `L${1 + (i % 4)}`, priceMinor },
    };
  };
  const right = cut(routes, { source, kohmPerM, slackMm: [20, 30] });
  return [
    set('own', 'corrin', 1, right, [3, 3200 + routes.length * 240]),
    set('equal', 'marlspark', 2, cut(routes, { source, kohmPerM: range.low + 1, slackMm: [40, 30, 50] }), [
      2,
      2600 + routes.length * 210,
    ]),
    // As many leads and one more, for an engine with another route.
    set(
      'long',
      'corrin',
      3,
      [...cut(routes, { source, kohmPerM, slackMm: [35] }), { ...right[0]!, lengthMm: 980 }],
      [1, 2900 + routes.length * 200],
    ),
    set('trap', 'marlspark', 4, spoiled(engineId, right), [2, 1800 + routes.length * 150]),
    set('unpublished', 'marlspark', 5, undefined, [0, 1500 + routes.length * 120]),
  ];
});

export const leadSets: OtherPartEntry[] = all.map(({ part }) => part);

export const leadReferences: ReferenceEntry[] = all.map(({ role, oe, part: { number, maker } }): ReferenceEntry => {
  const list = maker === 'corrin' ? 'Corrin cross list' : 'Marlspark cross list';
  if (role === 'own')
    return { from: oe, to: number, grade: 'same', source: 'Engine maker’s parts sheet', notedOn: '2022-10-01' };
  if (role === 'trap')
    return { from: number, to: oe, grade: 'equivalent', source: 'Eastgate list', notedOn: '2021-11-30' };
  if (role === 'unpublished')
    return { from: number, to: oe, grade: 'alternative', source: list, notedOn: '2023-05-15' };
  return { from: number, to: oe, grade: 'equivalent', source: list, notedOn: '2023-05-15' };
});

export const leadListings: ListingEntry[] = all
  .filter(({ role }) => role === 'own' || role === 'equal')
  .map(({ engineId, part }) => ({
    engineId,
    number: part.number,
    source: part.maker === 'corrin' ? 'Corrin application list' : 'Marlspark application list',
    statedOn: '2025-01-30',
  }));

export const leadSetOf = (engineId: string, role: Role): string =>
  all.find((set) => set.engineId === engineId && set.role === role)!.part.number;
