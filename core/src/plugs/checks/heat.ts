import { wordFor } from '../../words/counted.ts';
import type { HeatScale } from '../../heat-range/heat-scale.ts';
import { heatIndexBar, stepsFromRatings } from '../../heat-range/heat-scale.ts';
import { defineCheck } from '../../fitment/define-check.ts';
import { within } from '../../fitment/tolerance.ts';

const MATCH_STEPS = 0.5;
const ACCEPTABLE_COLDER_STEPS = 1.5;
const CAUTION_COLDER_STEPS = 2.5;
const CAUTION_HOTTER_STEPS = 1.5;
/** On boost or gas fuel a plug hotter than this many steps is refused. */
const BOOSTED_HOTTER_STEPS = 0.5;

const exampleScale: HeatScale = {
  maker: 'Example',
  ratings: [10, 11, 12, 13, 14, 15, 16].map((bar) => ({ code: String(bar), indexBar: bar })),
};
const base = {
  'position.heat': { scale: exampleScale, codes: ['13'] },
  'position.aspiration': 'natural',
  'position.fuel': 'petrol',
  'duty.heatOffsetSteps': 0,
} as const;
const plug = (indexBar: number) => ({ ...base, 'plug.heat': { maker: 'Example', code: String(indexBar), indexBar } });
const boosted = (indexBar: number) => ({ ...plug(indexBar), 'position.aspiration': 'forced' }) as const;

export const heat = defineCheck({
  id: 'heat',
  title: 'Heat',
  why: 'Too cold a plug fouls; too hot a one lights the mixture before the spark and holes pistons.',
  source: 'Plugs: Heat; Plugs: Heat rating',
  ruledBy: ['heatWithPower'],
  needs: ['plug.heat', 'position.heat', 'position.aspiration', 'position.fuel', 'duty.heatOffsetSteps'],
  mayUse: ['duty.shortColdRuns'],
  judge: (f) => {
    const { scale, codes } = f['position.heat'];
    const offsetSteps = f['duty.heatOffsetSteps'];
    const offered = f['plug.heat'];
    const requiredBar = codes.map((code) => heatIndexBar(scale, code)).filter((bar) => bar !== undefined);
    const figures = {
      code: offered.code,
      maker: offered.maker,
      indexBar: offered.indexBar,
      askedCodes: codes,
      askedMaker: scale.maker,
      askedBar: requiredBar.length > 0 ? requiredBar.reduce((sum, bar) => sum + bar, 0) / requiredBar.length : null,
      offsetSteps,
      stepsColder: null as number | null,
      stepsColderThanRequired: null as number | null,
      beyondEnd: false,
    };
    if (requiredBar.length === 0)
      return { outcome: 'unknown', caseId: 'rating-unknown', figures, missing: ['position.heat'] };
    const target = stepsFromRatings(scale, requiredBar, offered.indexBar, offsetSteps);
    const required = stepsFromRatings(scale, requiredBar, offered.indexBar);
    const told = {
      ...figures,
      stepsColder: target.stepsColder,
      stepsColderThanRequired: required.stepsColder,
      beyondEnd: target.beyondEnd,
    };
    const [colder, hotter] = [target.stepsColder, -required.stepsColder];
    const closeness = Math.abs(colder) / MATCH_STEPS;
    const spares = f['position.aspiration'] === 'natural' && f['position.fuel'] === 'petrol';
    if (!spares && !within(hotter, BOOSTED_HOTTER_STEPS))
      return { outcome: 'refuse', caseId: 'hotter-boosted', figures: told };
    if (!within(hotter, CAUTION_HOTTER_STEPS)) return { outcome: 'refuse', caseId: 'much-hotter', figures: told };
    if (!within(hotter, MATCH_STEPS)) return { outcome: 'caution', caseId: 'hotter', figures: told, closeness };
    if (!within(-colder, MATCH_STEPS))
      return { outcome: 'caution', caseId: 'hotter-than-target', figures: told, closeness };
    if (f['duty.shortColdRuns'] === true && !within(hotter, 0))
      return { outcome: 'caution', caseId: 'hotter-on-short-runs', figures: told, closeness };
    if (within(colder, MATCH_STEPS)) return { outcome: 'match', caseId: 'on-target', figures: told, closeness };
    if (within(colder, ACCEPTABLE_COLDER_STEPS))
      return { outcome: 'acceptable', caseId: 'colder', figures: told, closeness };
    return within(colder, CAUTION_COLDER_STEPS)
      ? { outcome: 'caution', caseId: 'much-colder', figures: told, closeness }
      : { outcome: 'refuse', caseId: 'far-colder', figures: told };
  },
  explain: ({ caseId, figures: g }) => {
    const steps = (value: number) => {
      const size = Number(Math.abs(value).toFixed(1));
      return `${size} ${wordFor(size, 'step')}`;
    };
    const colder = g.stepsColder ?? 0;
    const hotter = -(g.stepsColderThanRequired ?? 0);
    const target = g.askedBar === null ? '' : ` = ${g.askedBar.toFixed(1)} bar`;
    const past = g.beyondEnd ? ' (past the end of the scale, reckoned by its last step)' : '';
    const by = caseId.includes('hotter') && caseId !== 'hotter-than-target' ? -hotter : colder;
    const common = {
      asked: `${g.askedMaker} ${g.askedCodes.join(' or ')}${target}`,
      has: `${g.code} = ${g.indexBar.toFixed(1)} bar`,
      difference: Math.abs(by) < 0.05 ? null : `${steps(by)} ${by > 0 ? 'colder' : 'hotter'}`,
    };
    switch (caseId) {
      case 'hotter-boosted':
        return {
          ...common,
          says: `${steps(hotter)} hotter${past} on a boosted or gas engine: it glows, lights the charge early and melts the piston.`,
          toDo: 'Do not fit it.',
          phrase: `${steps(hotter)} hotter on boost or gas`,
        };
      case 'much-hotter':
        return {
          ...common,
          says: `${steps(hotter)} hotter${past} than the engine asks: it glows under load, lights the charge early and holes pistons.`,
          toDo: 'Do not fit it.',
          phrase: `${steps(hotter)} hotter than asked`,
        };
      case 'hotter':
        return {
          ...common,
          says: `${steps(hotter)} hotter${past} than the engine asks; under long load it may glow.`,
          toDo: 'Let the supervisor decide.',
          phrase: `${steps(hotter)} hotter than asked`,
        };
      case 'hotter-on-short-runs':
        return {
          ...common,
          says: `${steps(hotter)} hotter than asked: on short cold runs a hotter plug hides why the old ones fouled.`,
          toDo: 'Find why they foul first; let the supervisor decide.',
          phrase: `${steps(hotter)} hotter on short runs`,
        };
      case 'hotter-than-target':
        return {
          ...common,
          says: `It meets the engine maker’s rating but is ${steps(colder)} hotter than the shop’s rule for this duty.`,
          toDo: 'Let the supervisor decide.',
          phrase: `${steps(colder)} hotter than the shop’s target`,
        };
      case 'colder':
        return {
          ...common,
          says: `${steps(colder)} colder${past}: on short runs it may foul.`,
          toDo: 'Ask how it is driven; mention that short runs may foul it.',
          phrase: `${steps(colder)} colder: may foul`,
        };
      case 'much-colder':
        return {
          ...common,
          says: `${steps(colder)} colder${past}: it will foul unless the engine works hard.`,
          toDo: 'Let the supervisor decide.',
          phrase: `${steps(colder)} colder: likely to foul`,
        };
      case 'far-colder':
        return {
          ...common,
          says: `${steps(colder)} colder${past}: it never burns itself clean, fouls and misfires.`,
          toDo: 'Do not fit it.',
          phrase: `${steps(colder)} colder: fouls`,
        };
      case 'rating-unknown':
        return {
          ...common,
          says: 'The asked rating is not on its maker’s scale.',
          toDo: 'Look up the heat ratings this engine asks.',
          phrase: 'Asked heat not on the scale',
        };
      default:
        return { ...common, says: 'On the heat the engine asks.', toDo: null, phrase: 'On target' };
    }
  },
  examples: [
    { says: 'the asked rating matches', facts: plug(13), outcome: 'match' },
    { says: 'half a step colder matches', facts: plug(13.5), outcome: 'match' },
    { says: 'half a step hotter matches', facts: plug(12.5), outcome: 'match' },
    { says: '0.6 colder is acceptable', facts: plug(13.6), outcome: 'acceptable', caseId: 'colder' },
    { says: '1.5 colder is acceptable', facts: plug(14.5), outcome: 'acceptable', caseId: 'colder' },
    { says: '1.6 colder is a caution', facts: plug(14.6), outcome: 'caution', caseId: 'much-colder' },
    { says: '2.5 colder is a caution', facts: plug(15.5), outcome: 'caution', caseId: 'much-colder' },
    { says: '2.6 colder is refused', facts: plug(15.6), outcome: 'refuse', caseId: 'far-colder' },
    { says: '0.6 hotter is a caution', facts: plug(12.4), outcome: 'caution', caseId: 'hotter' },
    { says: '1.5 hotter is a caution', facts: plug(11.5), outcome: 'caution', caseId: 'hotter' },
    { says: '1.6 hotter is refused', facts: plug(11.4), outcome: 'refuse', caseId: 'much-hotter' },
    { says: '0.5 hotter on boost matches', facts: boosted(12.5), outcome: 'match' },
    { says: '0.6 hotter on boost is refused', facts: boosted(12.4), outcome: 'refuse', caseId: 'hotter-boosted' },
    {
      says: '0.6 hotter on gas is refused',
      facts: { ...plug(12.4), 'position.fuel': 'gas' },
      outcome: 'refuse',
      caseId: 'hotter-boosted',
    },
    {
      says: 'between two allowed ratings matches',
      facts: { ...plug(13.5), 'position.heat': { scale: exampleScale, codes: ['13', '14'] } },
      outcome: 'match',
    },
    {
      says: 'the maker’s own rating under a colder rule is only a caution',
      facts: { ...plug(13), 'duty.heatOffsetSteps': 3 },
      outcome: 'caution',
      caseId: 'hotter-than-target',
    },
    {
      says: 'half a step hotter on short cold runs is a caution',
      facts: { ...plug(12.5), 'duty.shortColdRuns': true },
      outcome: 'caution',
      caseId: 'hotter-on-short-runs',
    },
    {
      says: 'the asked rating on short cold runs matches',
      facts: { ...plug(13), 'duty.shortColdRuns': true },
      outcome: 'match',
    },
    { says: 'a rule moves the target colder', facts: { ...plug(14), 'duty.heatOffsetSteps': 1 }, outcome: 'match' },
    {
      says: 'past the scale’s end it is reckoned by the last step',
      facts: plug(17),
      outcome: 'refuse',
      caseId: 'far-colder',
    },
    { says: 'an unknown rating is asked for', facts: base, outcome: 'unknown' },
  ],
});
