import type { NeedEntry } from '@brackenfell/contract/catalogue-file';
import type { LeadRoute } from '@brackenfell/core/facts/lead-facts';

type Boots = LeadRoute['boots'];
const ANY: Boots = ['straight', '135', '90'];
const BENT: Boots = ['90', '135'];

const way = (to: string, routedMm: number, boots: Boots = ANY) => ({ to, routedMm, boots: [...boots] });

const leads = (
  oe: string,
  routes: ReturnType<typeof way>[],
  source: 'socket' | 'peg',
  kohmPerM = { low: 5, high: 16 },
): NeedEntry => ({
  kind: 'lead-set',
  place: 'leads',
  facts: { 'leadsAsked.routes': routes, 'leadsAsked.source': source, 'leadsAsked.kohmPerM': kohmPerM },
  oeNumbers: [{ number: oe }],
});

/** The ways that leads run in each engine that has any. */
export const leadNeeds: Readonly<Record<string, readonly NeedEntry[]>> = {
  'skerrow-sc20': [leads('40-61-310-220', [way('1', 520), way('2', 430), way('3', 350), way('4', 290)], 'peg')],
  'skerrow-sc20g': [
    leads('40-61-310-228', [way('1', 520), way('2', 430), way('3', 350), way('4', 290)], 'peg', { low: 2, high: 8 }),
  ],
  'dunmarrow-dd70': [leads('DMW 70.310', [way('1', 340), way('2', 340)], 'peg', { low: 2, high: 12 })],
  'dunmarrow-hf22': [
    leads('DMW 33.310', [way('1', 610), way('2', 520), way('3', 430), way('4', 370), way('coil', 260)], 'socket'),
  ],
  // The exhaust manifold runs under plugs 3 and 4: only a bent boot clears it.
  'dunmarrow-h6': [
    leads(
      'DMW 31.310',
      [
        way('1', 760),
        way('2', 650),
        way('3', 560, BENT),
        way('4', 480, BENT),
        way('5', 420),
        way('6', 520),
        way('coil', 300),
      ],
      'socket',
    ),
  ],
  'pellworth-pg66': [
    leads(
      'P-66-3310/2',
      [
        way('1', 560, BENT),
        way('2', 640, BENT),
        way('3', 730, BENT),
        way('4', 820, BENT),
        way('5', 700, BENT),
        way('6', 780, BENT),
        way('7', 860, BENT),
        way('8', 940, BENT),
        way('coil', 420),
      ],
      'peg',
      { low: 2, high: 8 },
    ),
  ],
  'pellworth-pp20': [leads('P-20-3304/1', [way('1', 240)], 'peg', { low: 1, high: 12 })],
  'aldersyke-at20': [
    leads(
      'AK/2020-330',
      [
        way('1 intake', 480),
        way('2 intake', 400),
        way('3 intake', 320),
        way('4 intake', 260),
        way('1 exhaust', 620, BENT),
        way('2 exhaust', 540, BENT),
        way('3 exhaust', 460, BENT),
        way('4 exhaust', 400, BENT),
      ],
      'peg',
    ),
  ],
  'thrushgill-tc18': [
    leads('TG 88310 AA', [way('1', 540), way('2', 450), way('3', 370), way('4', 310), way('coil', 280)], 'socket'),
  ],
  // Each bank its own boots: straight ones on the right, bent ones under the left bank's pipe.
  'thrushgill-tn17': [
    leads(
      'TG 17310 AC',
      [way('1', 640, ['straight']), way('2', 660, BENT), way('3', 720, ['straight']), way('4', 740, BENT)],
      'peg',
    ),
  ],
};
