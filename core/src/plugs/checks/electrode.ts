import { defineCheck } from '../../fitment/define-check.ts';
import { lifeAtPositionKm, wearRank, wornMaterial } from '../electrode-wear.ts';
import { within } from '../../fitment/tolerance.ts';
import { intervalOf, sayServed } from '../../service-plan/running-hours.ts';

const iridium = {
  'position.polarity': 'forward',
  'position.centreDesign': 'iridium',
  'position.groundDesign': 'platinum',
  'position.electrodeBan': 'nothing',
  'position.intervalKm': 60_000,
  'rule.electrodeUpgrade': 'as-designed',
} as const;
const nickelPlug = { 'plug.centreMaterial': 'nickel', 'plug.groundMaterial': 'nickel' } as const;
const finePlug = { 'plug.centreMaterial': 'iridium', 'plug.groundMaterial': 'platinum' } as const;
const nickelEngine = { ...iridium, 'position.centreDesign': 'nickel', 'position.groundDesign': 'nickel' } as const;

/** A pump or generator: hours, no kilometres. */
const standingEngine = {
  'position.polarity': 'forward',
  'position.centreDesign': 'nickel',
  'position.groundDesign': 'nickel',
  'position.electrodeBan': 'nothing',
  'rule.electrodeUpgrade': 'as-designed',
} as const;

export const electrode = defineCheck({
  id: 'electrode',
  title: 'Electrode',
  why: 'The material that wears sets how long the gap holds; the engine was designed for one.',
  source: 'Plugs: Electrode; Gap and wear: Wear',
  ruledBy: ['electrodeUpgrade', 'interval'],
  needs: ['position.polarity', 'rule.electrodeUpgrade'],
  mayUse: [
    'plug.centreMaterial',
    'plug.groundMaterial',
    'plug.lifeKm',
    'plug.lifeReversedKm',
    'position.centreDesign',
    'position.groundDesign',
    'position.electrodeBan',
    'position.intervalKm',
    'position.intervalHours',
    'position.gapMm',
    'position.aspiration',
  ],
  canRefuse: (f) => f['position.electrodeBan'] !== undefined && f['position.electrodeBan'] !== 'nothing',
  judge: (f) => {
    const polarity = f['position.polarity'];
    const has = wornMaterial({ polarity, centre: f['plug.centreMaterial'], ground: f['plug.groundMaterial'] });
    const asked = wornMaterial({ polarity, centre: f['position.centreDesign'], ground: f['position.groundDesign'] });
    const lifeKm = lifeAtPositionKm({
      polarity,
      centre: f['plug.centreMaterial'],
      ground: f['plug.groundMaterial'],
      gapMm: f['position.gapMm'],
      aspiration: f['position.aspiration'],
      statedLifeKm: f['plug.lifeKm'],
      statedReversedKm: f['plug.lifeReversedKm'],
    });
    const { km: intervalKm, countsIn } = intervalOf(f['position.intervalKm'], f['position.intervalHours']);
    const figures = {
      where: polarity === 'forward' ? 'centre' : 'ground',
      has: has ?? null,
      asked: asked ?? null,
      lifeKm: lifeKm ?? null,
      intervalKm: intervalKm ?? null,
      countsIn,
      rule: f['rule.electrodeUpgrade'],
    };
    if (has === undefined) {
      return {
        outcome: 'unknown',
        caseId: 'material-unknown',
        figures,
        missing: [polarity === 'forward' ? 'plug.centreMaterial' : 'plug.groundMaterial'],
      };
    }
    if (asked === undefined) {
      return {
        outcome: 'unknown',
        caseId: 'design-unknown',
        figures,
        missing: [polarity === 'forward' ? 'position.centreDesign' : 'position.groundDesign'],
      };
    }
    const difference = wearRank(has) - wearRank(asked);
    if (difference === 0) {
      // As designed, and yet it may not last as long as the interval runs: then its own life is what is due.
      const fallsShort = lifeKm !== undefined && intervalKm !== undefined && !within(intervalKm, lifeKm);
      return fallsShort
        ? { outcome: 'acceptable', caseId: 'as-designed-shorter', figures }
        : { outcome: 'match', caseId: 'as-designed', figures };
    }
    const ban = f['position.electrodeBan'];
    if (difference > 0) {
      if (ban === 'better' || ban === 'any-other') return { outcome: 'refuse', caseId: 'better-forbidden', figures };
      return f['rule.electrodeUpgrade'] === 'allowed'
        ? { outcome: 'acceptable', caseId: 'better-allowed', figures }
        : { outcome: 'caution', caseId: 'better-by-rule', figures };
    }
    if (ban === 'poorer' || ban === 'any-other') return { outcome: 'refuse', caseId: 'poorer-forbidden', figures };
    if (lifeKm === undefined || intervalKm === undefined) {
      return {
        outcome: 'unknown',
        caseId: 'life-unknown',
        figures,
        missing: [intervalKm === undefined ? 'position.intervalKm' : 'plug.lifeKm'],
      };
    }
    return within(intervalKm, lifeKm)
      ? { outcome: 'acceptable', caseId: 'poorer-covers', figures }
      : { outcome: 'caution', caseId: 'poorer-falls-short', figures };
  },
  explain: ({ caseId, figures: g }, say) => {
    const km = (value: number | null) => (value === null ? 'not known' : sayServed(value, g.countsIn, say));
    const common = {
      asked: g.asked === null ? `${g.where} not known` : `${g.asked} ${g.where}`,
      has: g.has === null ? `${g.where} not known` : `${g.has} ${g.where}`,
      difference: null,
    };
    const lasts = `it lasts ${km(g.lifeKm)} of the ${km(g.intervalKm)} interval`;
    switch (caseId) {
      case 'better-forbidden':
      case 'poorer-forbidden':
        return {
          ...common,
          says: `The engine maker forbids ${g.has} here.`,
          toDo: 'Sell the material the maker asks.',
          phrase: `${g.has} forbidden by the maker`,
        };
      case 'better-allowed':
        return {
          ...common,
          says: `${g.has} wears more slowly than the ${g.asked} designed; the shop’s rule allows it.`,
          toDo: 'Say that the interval stays the engine maker’s.',
          phrase: `Better electrode: ${g.has}`,
        };
      case 'better-by-rule':
        return {
          ...common,
          says: `${g.has} is not what was designed, and the shop’s rule is to sell as designed.`,
          toDo: 'Let the supervisor decide.',
          phrase: `${g.has} where ${g.asked} is designed`,
        };
      case 'as-designed-shorter':
        return {
          ...common,
          says: `${g.has} as designed, but ${lasts}: it is due at its own life, not at the interval.`,
          toDo: `Tell the customer to change it by ${km(g.lifeKm)}.`,
          phrase: `Lasts ${km(g.lifeKm)} of ${km(g.intervalKm)}`,
        };
      case 'poorer-covers':
        return {
          ...common,
          says: `${g.has} wears faster than ${g.asked}, but ${lasts}.`,
          toDo: 'Tell the customer it must be changed on time.',
          phrase: `${g.has}: covers the interval`,
        };
      case 'poorer-falls-short':
        return {
          ...common,
          says: `${g.has} wears faster than ${g.asked}: ${lasts}, then it misfires.`,
          toDo: 'Let the supervisor decide; a shorter interval must be agreed and written down.',
          phrase: `${g.has}: ${km(g.lifeKm)} of ${km(g.intervalKm)}`,
        };
      case 'material-unknown':
        return {
          ...common,
          says: `What the ${g.where} electrode is made of is not known.`,
          toDo: 'See the box or the maker’s sheet.',
          phrase: `${g.where === 'centre' ? 'Centre' : 'Ground'} material not known`,
        };
      case 'design-unknown':
        return {
          ...common,
          says: 'What the engine was designed for is not known.',
          toDo: 'Look up the electrode this engine was designed for.',
          phrase: 'Design not known',
        };
      case 'life-unknown':
        return {
          ...common,
          says: `${g.has} wears faster than ${g.asked}, and whether it lasts the interval is not known.`,
          toDo: 'Look up the maker’s stated life.',
          phrase: `${g.has}: life not known`,
        };
      default:
        return {
          ...common,
          says: `${g.has} on the ${g.where} electrode, as designed.`,
          toDo: null,
          phrase: 'As designed',
        };
    }
  },
  examples: [
    { says: 'iridium where iridium is designed matches', facts: { ...iridium, ...finePlug }, outcome: 'match' },
    {
      says: 'as designed with a life that covers the interval matches',
      facts: { ...iridium, ...finePlug, 'plug.lifeKm': 60_000 },
      outcome: 'match',
      caseId: 'as-designed',
    },
    {
      says: 'as designed with a life shorter than the interval is told: due at its own life',
      facts: { ...iridium, ...finePlug, 'plug.lifeKm': 59_999 },
      outcome: 'acceptable',
      caseId: 'as-designed-shorter',
    },
    {
      says: 'an engine that counts hours is held to fifty kilometres an hour: 400 hours are 20 000 km',
      facts: {
        ...standingEngine,
        ...nickelPlug,
        'position.intervalHours': 400,
        'plug.lifeKm': 20_000,
      },
      outcome: 'match',
      caseId: 'as-designed',
    },
    {
      says: 'and 410 hours are more than such a plug lasts',
      facts: {
        ...standingEngine,
        ...nickelPlug,
        'position.intervalHours': 410,
        'plug.lifeKm': 20_000,
      },
      outcome: 'acceptable',
      caseId: 'as-designed-shorter',
    },
    {
      says: 'nickel whose life covers the interval is acceptable',
      facts: { ...iridium, ...nickelPlug, 'plug.lifeKm': 60_000 },
      outcome: 'acceptable',
      caseId: 'poorer-covers',
    },
    {
      says: 'nickel in an iridium engine falls short of the interval',
      facts: { ...iridium, ...nickelPlug, 'plug.lifeKm': 20_000 },
      outcome: 'caution',
      caseId: 'poorer-falls-short',
    },
    {
      says: 'nickel of unknown life is unknown',
      facts: { ...iridium, ...nickelPlug },
      outcome: 'unknown',
      caseId: 'life-unknown',
    },
    {
      says: 'poorer where the maker forbids it is refused',
      facts: { ...iridium, ...nickelPlug, 'plug.lifeKm': 90_000, 'position.electrodeBan': 'poorer' },
      outcome: 'refuse',
      caseId: 'poorer-forbidden',
    },
    {
      says: 'better under the rule "as designed" is a caution',
      facts: { ...nickelEngine, ...finePlug },
      outcome: 'caution',
      caseId: 'better-by-rule',
    },
    {
      says: 'better where the rule allows it is acceptable',
      facts: { ...nickelEngine, ...finePlug, 'rule.electrodeUpgrade': 'allowed' },
      outcome: 'acceptable',
    },
    {
      says: 'better where the maker forbids it is refused',
      facts: { ...nickelEngine, ...finePlug, 'rule.electrodeUpgrade': 'allowed', 'position.electrodeBan': 'better' },
      outcome: 'refuse',
      caseId: 'better-forbidden',
    },
    {
      says: 'silver wears faster than platinum',
      facts: {
        ...iridium,
        'position.centreDesign': 'platinum',
        'plug.centreMaterial': 'silver',
        'plug.lifeKm': 30_000,
      },
      outcome: 'caution',
      caseId: 'poorer-falls-short',
    },
    {
      says: 'in reverse the ground is judged, by its own wear',
      facts: {
        ...iridium,
        'position.polarity': 'reverse',
        'position.gapMm': { low: 1, high: 1.1 },
        'plug.centreMaterial': 'iridium',
        'plug.groundMaterial': 'nickel',
        'plug.lifeKm': 100_000,
      },
      outcome: 'caution',
      caseId: 'poorer-falls-short',
    },
    {
      says: 'in reverse with the ground unknown is unknown',
      facts: { ...iridium, 'position.polarity': 'reverse', 'plug.centreMaterial': 'iridium' },
      outcome: 'unknown',
      caseId: 'material-unknown',
    },
  ],
});
