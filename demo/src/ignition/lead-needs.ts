import type { NeedEntry } from '@brackenfell/contract/catalogue-file';
import type { LeadRoute } from '@brackenfell/core/facts/lead-facts';

type Boots = LeadRoute['boots'];
const ANY: Boots = ['straight', '135', '90'];
const BENT: Boots = ['90', '135'];

const route = (to: string, routedMm: number, boots: Boots = ANY) => ({ to, routedMm, boots: [...boots] });

const leads = (
  oe: string,
  routes: ReturnType<typeof route>[],
  source: 'socket' | 'peg',
  kohmPerM = { low: 5, high: 16 },
): NeedEntry => ({
  kind: 'lead-set',
  place: 'leads',
  facts: { 'leadsAsked.routes': routes, 'leadsAsked.source': source, 'leadsAsked.kohmPerM': kohmPerM },
  oeNumbers: [{ number: oe }],
});

/** The routes that leads run in each engine that has any. */
export const leadNeeds: Readonly<Record<string, readonly NeedEntry[]>> = {
  'skerrow-sc20': [leads('40-61-310-220', [route('1', 520), route('2', 430), route('3', 350), route('4', 290)], 'peg')],
  'skerrow-sc20g': [
    leads('40-61-310-228', [route('1', 520), route('2', 430), route('3', 350), route('4', 290)], 'peg', {
      low: 2,
      high: 8,
    }),
  ],
  'dunmarrow-dd70': [leads('DMW 70.310', [route('1', 340), route('2', 340)], 'peg', { low: 2, high: 12 })],
  'dunmarrow-hf22': [
    leads(
      'DMW 33.310',
      [route('1', 610), route('2', 520), route('3', 430), route('4', 370), route('coil', 260)],
      'socket',
    ),
  ],
  // The exhaust manifold runs under plugs 3 and 4: only a bent boot clears it.
  'dunmarrow-h6': [
    leads(
      'DMW 31.310',
      [
        route('1', 760),
        route('2', 650),
        route('3', 560, BENT),
        route('4', 480, BENT),
        route('5', 420),
        route('6', 520),
        route('coil', 300),
      ],
      'socket',
    ),
  ],
  'pellworth-pg66': [
    leads(
      'P-66-3310/2',
      [
        route('1', 560, BENT),
        route('2', 640, BENT),
        route('3', 730, BENT),
        route('4', 820, BENT),
        route('5', 700, BENT),
        route('6', 780, BENT),
        route('7', 860, BENT),
        route('8', 940, BENT),
        route('coil', 420),
      ],
      'peg',
      { low: 2, high: 8 },
    ),
  ],
  'pellworth-pp20': [leads('P-20-3304/1', [route('1', 240)], 'peg', { low: 1, high: 12 })],
  'aldersyke-at20': [
    leads(
      'AK/2020-330',
      [
        route('1 intake', 480),
        route('2 intake', 400),
        route('3 intake', 320),
        route('4 intake', 260),
        route('1 exhaust', 620, BENT),
        route('2 exhaust', 540, BENT),
        route('3 exhaust', 460, BENT),
        route('4 exhaust', 400, BENT),
      ],
      'peg',
    ),
  ],
  'thrushgill-tc18': [
    leads(
      'TG 88310 AA',
      [route('1', 540), route('2', 450), route('3', 370), route('4', 310), route('coil', 280)],
      'socket',
    ),
  ],
  // Each bank its own boots: straight ones on the right, bent ones under the left bank's pipe.
  'thrushgill-tn17': [
    leads(
      'TG 17310 AC',
      [route('1', 640, ['straight']), route('2', 660, BENT), route('3', 720, ['straight']), route('4', 740, BENT)],
      'peg',
    ),
  ],
};
