import { listed } from '../../words/counted.ts';
import { sameOrRefuse } from '../../fitment/same-or-refuse.ts';
import type { Lead, SourceEnd } from '../../facts/lead-facts.ts';

const lead = (source: SourceEnd): Lead => ({ lengthMm: 500, boot: 'straight', source, kohmPerM: 10 });

export const sourceEnds = sameOrRefuse({
  id: 'source-ends',
  title: 'Source end',
  why: 'An end made for a peg does not hold in a socket: it creeps out and arcs.',
  source: 'Leads: Source ends',
  has: 'leads.set',
  asked: 'leadsAsked.source',
  same: (set, asked) => set.every(({ source }) => source === asked),
  print: (value) => {
    if (typeof value === 'string') return value;
    return listed([...new Set(value.map(({ source }) => source))]);
  },
  says: {
    same: 'The ends hold in the coil or cap.',
    other: 'The ends are made for the other form of tower: they creep out and arc.',
  },
  toDo: 'Do not fit it.',
  phrase: (has, asked) => `Ends for ${has}, asked ${asked}`,
  examples: [
    {
      says: 'socket ends for a socketed cap match',
      facts: { 'leads.set': [lead('socket')], 'leadsAsked.source': 'socket' },
      outcome: 'match',
    },
    {
      says: 'one end for a peg is enough to refuse',
      facts: { 'leads.set': [lead('socket'), lead('peg')], 'leadsAsked.source': 'socket' },
      outcome: 'refuse',
    },
    { says: 'ends not seen are looked at first', facts: { 'leadsAsked.source': 'socket' }, outcome: 'unknown' },
  ],
});
