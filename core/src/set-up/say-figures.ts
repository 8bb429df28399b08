import type { Say } from '../fitment/say.ts';
import { commonRange } from '../gap/common-range.ts';
import { middleOf } from '../gap/gap-move.ts';
import { printCount } from '../words/counted.ts';
import type { SetUpFigures } from './told-figures.ts';

/** One figure of the setting up as it stands on a slip, with who says so. */
export interface FigureSaid {
  readonly what: 'Gap' | 'Tighten' | 'Due';
  readonly says: string;
  readonly source: string;
}

function sayGap({ range, source, against }: SetUpFigures['gap'], say: Say): FigureSaid {
  if (range === null) return { what: 'Gap', says: 'not known', source: 'nobody says what the engine asks' };
  const common = commonRange([range, ...against.map((one) => one.range)]);
  if (!common)
    return {
      what: 'Gap',
      says: `${say.span('gap', range)} or ${against.map((one) => say.span('gap', one.range)).join(' or ')}`,
      source: `${[source, ...against.map((one) => one.source)].join(' and ')} have nothing in common`,
    };
  return {
    what: 'Gap',
    says: `${say.quantity('gap', middleOf(common))}, in ${say.span('gap', common)}`,
    source: [source, ...against.map((one) => one.source)].join(' and '),
  };
}

function sayTightening({ method, torque, turn }: SetUpFigures['tightening'], say: Say): FigureSaid {
  if (method !== 'wrench' || torque === null)
    return {
      what: 'Tighten',
      says: turn ?? 'not known: look up thread and seat',
      source: { wrench: 'no torque is known', 'no-wrench-reaches': 'no wrench reaches', 'by-angle-here': 'house rule' }[
        method
      ],
    };
  const told = (share: number) =>
    `${say.quantity('plug-torque', torque.aimNm * share)}, in ${say.span('plug-torque', { low: torque.lowNm * share, high: torque.highNm * share })}`;
  const says = {
    dry: `${told(1)}${torque.condition === 'dry' ? ', dry' : ''}`,
    compound: torque.share === 1 ? told(1) : `${told(torque.share)}, cut for compound`,
    'by-thread': torque.share === 1 ? told(1) : `${told(1)} dry; ${told(torque.share)} with compound`,
  }[torque.compound];
  return { what: 'Tighten', says, source: `${torque.sources.join(' and ')}${torque.conflict ? ', in conflict' : ''}` };
}

function sayInterval({ value, countedIn, source, share }: NonNullable<SetUpFigures['interval']>, say: Say): FigureSaid {
  const says = countedIn === 'hours' ? `${printCount(value)} h` : say.quantity('distance', value);
  return { what: 'Due', says: `after ${says}`, source: share === 1 ? source : `${source}, by house rule and duty` };
}

/** The figures of one group of places, in the order they are worked by. */
export const sayFigures = ({ gap, tightening, interval }: SetUpFigures, say: Say): readonly FigureSaid[] => [
  sayGap(gap, say),
  sayTightening(tightening, say),
  ...(interval ? [sayInterval(interval, say)] : []),
];
