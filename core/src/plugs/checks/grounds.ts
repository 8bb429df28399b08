import { counted } from '../../words/counted.ts';
import { defineCheck } from '../../fitment/define-check.ts';

const one = { 'position.groundCount': 1, 'position.groundForm': 'over-tip' } as const;
const PRINTED = { 'over-tip': 'over the tip', side: 'beside the tip', surface: 'surface' } as const;

export const grounds = defineCheck({
  id: 'grounds',
  title: 'Grounds',
  why: 'Count and form of the ground electrodes set how the spark stands and whether the gap can be set.',
  source: 'Plugs: Grounds',
  needs: ['plug.groundCount', 'plug.groundForm', 'position.groundCount', 'position.groundForm'],
  canRefuse: () => false,
  judge: (f) => {
    const [has, asked] = [f['plug.groundForm'], f['position.groundForm']];
    const figures = {
      count: f['plug.groundCount'],
      askedCount: f['position.groundCount'],
      form: PRINTED[has],
      askedForm: PRINTED[asked],
    };
    if (has !== asked && has === 'surface') return { outcome: 'caution', caseId: 'surface-not-designed', figures };
    if (has !== asked && asked === 'surface') return { outcome: 'caution', caseId: 'bent-for-surface', figures };
    if (figures.count === figures.askedCount && has === asked) return { outcome: 'match', caseId: 'same', figures };
    return {
      outcome: 'acceptable',
      caseId: figures.count === figures.askedCount ? 'other-form' : 'other-count',
      figures,
    };
  },
  explain: ({ caseId, figures: g }) => {
    const common = {
      asked: `${g.askedCount}, ${g.askedForm}`,
      has: `${g.count}, ${g.form}`,
      difference: g.count === g.askedCount ? null : `${g.count} for ${g.askedCount}`,
    };
    switch (caseId) {
      case 'surface-not-designed':
        return {
          ...common,
          says: 'A surface gap asks more of the coil than this engine was designed to give.',
          toDo: 'Let the supervisor decide.',
          phrase: 'Surface gap where not designed',
        };
      case 'bent-for-surface':
        return {
          ...common,
          says: 'A bent ground stands where the engine was designed for none.',
          toDo: 'Let the supervisor decide.',
          phrase: 'Bent ground where surface is designed',
        };
      case 'other-count':
        return {
          ...common,
          says: `${counted(g.count, 'ground')} where ${counted(g.askedCount, 'is', 'are')} asked.`,
          toDo:
            g.count > 1
              ? 'Do not try to set the gap; several grounds cannot be set alike.'
              : 'Gauge the gap before fitting.',
          phrase: `${counted(g.count, 'ground')}${g.count > 1 ? ': gap cannot be set' : ''}`,
        };
      case 'other-form':
        return {
          ...common,
          says: `The ground stands ${g.form}, not ${g.askedForm}.`,
          toDo: 'Mention it to the fitter.',
          phrase: `Ground ${g.form}`,
        };
      default:
        return { ...common, says: 'Same count and form of ground.', toDo: null, phrase: 'Same grounds' };
    }
  },
  examples: [
    {
      says: 'one over the tip for one matches',
      facts: { ...one, 'plug.groundCount': 1, 'plug.groundForm': 'over-tip' },
      outcome: 'match',
    },
    {
      says: 'two for one is acceptable',
      facts: { ...one, 'plug.groundCount': 2, 'plug.groundForm': 'over-tip' },
      outcome: 'acceptable',
      caseId: 'other-count',
    },
    {
      says: 'a side ground for one over the tip is acceptable',
      facts: { ...one, 'plug.groundCount': 1, 'plug.groundForm': 'side' },
      outcome: 'acceptable',
      caseId: 'other-form',
    },
    {
      says: 'a surface gap where not designed is a caution',
      facts: { ...one, 'plug.groundCount': 1, 'plug.groundForm': 'surface' },
      outcome: 'caution',
      caseId: 'surface-not-designed',
    },
    {
      says: 'a bent ground where surface is designed is a caution',
      facts: {
        'position.groundCount': 1,
        'position.groundForm': 'surface',
        'plug.groundCount': 1,
        'plug.groundForm': 'over-tip',
      },
      outcome: 'caution',
      caseId: 'bent-for-surface',
    },
    { says: 'an unknown count is asked for', facts: { ...one, 'plug.groundForm': 'over-tip' }, outcome: 'unknown' },
    {
      says: 'grounds never refuse a plug',
      facts: { ...one, 'plug.groundCount': 4, 'plug.groundForm': 'side' },
      outcome: 'acceptable',
    },
  ],
});
