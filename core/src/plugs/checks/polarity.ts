import { defineCheck } from '../../fitment/define-check.ts';
import { isPrecious, lifeAtPositionKm } from '../electrode-wear.ts';
import { within } from '../../fitment/tolerance.ts';
import { intervalOf, sayServed } from '../../service-plan/running-hours.ts';

const base = {
  'position.polarity': 'reverse',
  'position.centreDesign': 'platinum',
  'position.groundDesign': 'platinum',
  'position.singlePreciousBan': false,
  'position.intervalKm': 60_000,
  'position.gapMm': { low: 1, high: 1.1 },
  'position.aspiration': 'natural',
} as const;
const single = {
  ...base,
  'plug.centreMaterial': 'iridium',
  'plug.groundMaterial': 'nickel',
  'plug.lifeKm': 100_000,
} as const;

export const polarity = defineCheck({
  id: 'polarity',
  title: 'Polarity',
  why: 'Where the spark runs in reverse, metal leaves the ground electrode: a plain ground wears away under a fine tip.',
  source: 'Plugs: Polarity; Gap and wear: Wear',
  needs: [
    'position.polarity',
    'position.centreDesign',
    'position.groundDesign',
    'plug.centreMaterial',
    'plug.groundMaterial',
  ],
  mayUse: [
    'position.singlePreciousBan',
    'position.intervalKm',
    'position.intervalHours',
    'position.gapMm',
    'position.aspiration',
    'plug.lifeKm',
    'plug.lifeReversedKm',
  ],
  notAsked: (f) =>
    f['position.polarity'] === 'forward' ? 'This position fires forward, so the ground does not wear.' : undefined,
  canRefuse: (f) => f['position.singlePreciousBan'] === true,
  judge: (f) => {
    const [centre, ground] = [f['plug.centreMaterial'], f['plug.groundMaterial']];
    const lifeKm = lifeAtPositionKm({
      polarity: 'reverse',
      centre,
      ground,
      gapMm: f['position.gapMm'],
      aspiration: f['position.aspiration'],
      statedLifeKm: f['plug.lifeKm'],
      statedReversedKm: f['plug.lifeReversedKm'],
    });
    const { km: intervalKm, countsIn } = intervalOf(f['position.intervalKm'], f['position.intervalHours']);
    const figures = { centre, ground, lifeKm: lifeKm ?? null, intervalKm: intervalKm ?? null, countsIn };
    const serves = (has: typeof centre, designed: typeof centre) => !isPrecious(designed) || isPrecious(has);
    if (serves(centre, f['position.centreDesign']) && serves(ground, f['position.groundDesign'])) {
      return { outcome: 'match', caseId: 'as-designed', figures };
    }
    if (f['position.singlePreciousBan'] === true) return { outcome: 'refuse', caseId: 'forbidden', figures };
    if (lifeKm === undefined || intervalKm === undefined) {
      return {
        outcome: 'unknown',
        caseId: 'life-unknown',
        figures,
        missing: [intervalKm === undefined ? 'position.intervalKm' : 'plug.lifeKm'],
      };
    }
    return within(intervalKm, lifeKm)
      ? { outcome: 'acceptable', caseId: 'covers', figures }
      : { outcome: 'caution', caseId: 'falls-short', figures };
  },
  explain: ({ caseId, figures: g }, say) => {
    const km = (value: number | null) => (value === null ? 'not known' : sayServed(value, g.countsIn, say));
    const common = { asked: 'precious on both', has: `${g.centre} centre, ${g.ground} ground`, difference: null };
    const wears = `In reverse the ${g.ground} ground wears`;
    switch (caseId) {
      case 'forbidden':
        return {
          ...common,
          says: `${wears} away under the spark, the gap runs wide and the coil is overloaded; the engine maker forbids it here.`,
          toDo: 'Sell a plug with precious metal on both electrodes.',
          phrase: isPrecious(g.centre) ? 'Single precious in reverse' : 'Plain ground in reverse',
        };
      case 'covers':
        return {
          ...common,
          says: `${wears}, but it lasts ${km(g.lifeKm)} of the ${km(g.intervalKm)} interval.`,
          toDo: 'Tell the customer it must be changed on time.',
          phrase: 'Reverse: covers the interval',
        };
      case 'falls-short':
        return {
          ...common,
          says: `${wears} out after about ${km(g.lifeKm)}, short of the ${km(g.intervalKm)} interval; then the gap is too wide to fire.`,
          toDo: 'Let the supervisor decide; a shorter interval must be agreed.',
          phrase: `Reverse: lasts ${km(g.lifeKm)}`,
        };
      case 'life-unknown':
        return {
          ...common,
          says: `${wears}, and how long it lasts is not known.`,
          toDo: 'Look up the maker’s stated life.',
          phrase: 'Reverse: life not known',
        };
      default:
        return {
          ...common,
          says: 'Both electrodes bear the reversed spark as designed.',
          toDo: null,
          phrase: 'Bears reverse firing',
        };
    }
  },
  examples: [
    {
      says: 'a life its maker states for reversed positions outranks the estimate',
      facts: { ...single, 'plug.lifeReversedKm': 60_000 },
      outcome: 'acceptable',
      caseId: 'covers',
    },
    {
      says: 'and may fall short where it is stated shorter',
      facts: { ...single, 'plug.lifeReversedKm': 59_000 },
      outcome: 'caution',
      caseId: 'falls-short',
    },
    {
      says: 'a forward position does not ask',
      facts: { ...single, 'position.polarity': 'forward' },
      outcome: 'not-asked',
    },
    {
      says: 'double precious in reverse matches',
      facts: { ...single, 'plug.groundMaterial': 'platinum' },
      outcome: 'match',
    },
    {
      says: 'single precious whose ground wears out early is a caution',
      facts: single,
      outcome: 'caution',
      caseId: 'falls-short',
    },
    {
      says: 'single precious over a short interval is acceptable',
      facts: { ...single, 'position.intervalKm': 25_000 },
      outcome: 'acceptable',
      caseId: 'covers',
    },
    {
      says: 'the ground of a single-precious plug lasts 25 000 km at 0.10 mm in 10 000',
      facts: { ...single, 'position.intervalKm': 25_100 },
      outcome: 'caution',
      caseId: 'falls-short',
    },
    {
      says: 'boost wears the ground half as fast again',
      facts: { ...single, 'position.intervalKm': 20_000, 'position.aspiration': 'forced' },
      outcome: 'caution',
      caseId: 'falls-short',
    },
    {
      says: 'single precious where the maker forbids it is refused',
      facts: { ...single, 'position.singlePreciousBan': true },
      outcome: 'refuse',
      caseId: 'forbidden',
    },
    {
      says: 'nickel where nickel is designed matches',
      facts: {
        ...single,
        'position.centreDesign': 'nickel',
        'position.groundDesign': 'nickel',
        'plug.centreMaterial': 'nickel',
      },
      outcome: 'match',
    },
    {
      says: 'an unknown ground is asked for',
      facts: { ...base, 'plug.centreMaterial': 'iridium' },
      outcome: 'unknown',
    },
  ],
});
