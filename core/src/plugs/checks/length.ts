import { defineCheck } from '../../fitment/define-check.ts';
import { fromNearestEnd, within } from '../../fitment/tolerance.ts';

const MATCH_MM = 1;
const ACCEPTABLE_MM = 3;

const base = { 'plug.lengthMm': 50.5, 'position.lengthMm': { low: 50.5, high: 50.5 } } as const;
const of = (lengthMm: number) => ({ ...base, 'plug.lengthMm': lengthMm });

export const length = defineCheck({
  id: 'length',
  title: 'Length',
  why: 'The coil boot, the cover or a hot pipe stands where a longer plug would end; a short one is not gripped.',
  source: 'Plugs: Length',
  sameWithin: { fact: 'plug.lengthMm', by: MATCH_MM },
  vouchedBy: ['own-number', 'listing'],
  needs: ['plug.lengthMm', 'position.lengthMm'],
  mayUse: ['position.lengthLimitMm'],
  canRefuse: (f) => f['position.lengthLimitMm'] !== undefined,
  judge: (f) => {
    const differenceMm = fromNearestEnd(f['plug.lengthMm'], f['position.lengthMm']);
    const limitMm = f['position.lengthLimitMm'] ?? null;
    const figures = {
      lengthMm: f['plug.lengthMm'],
      askedLowMm: f['position.lengthMm'].low,
      askedHighMm: f['position.lengthMm'].high,
      differenceMm,
      limitMm,
    };
    const size = Math.abs(differenceMm);
    const closeness = size / MATCH_MM;
    if (limitMm !== null && !within(f['plug.lengthMm'], limitMm))
      return { outcome: 'refuse', caseId: 'beyond-clearance', figures };
    if (within(size, MATCH_MM)) return { outcome: 'match', caseId: 'same', figures, closeness };
    const caseId = differenceMm > 0 ? 'taller' : 'shorter';
    return { outcome: within(size, ACCEPTABLE_MM) ? 'acceptable' : 'caution', caseId, figures, closeness };
  },
  explain: ({ caseId, outcome, figures: g }, say) => {
    const by = say.quantity('length', Math.abs(g.differenceMm));
    const common = {
      asked: say.span('length', { low: g.askedLowMm, high: g.askedHighMm }),
      has: say.quantity('length', g.lengthMm),
      difference: g.differenceMm === 0 ? null : say.signed('length', g.differenceMm),
    };
    if (outcome === 'match')
      return { ...common, says: 'The terminal stands where the boot grips.', toDo: null, phrase: 'Same length' };
    if (caseId === 'beyond-clearance') {
      return {
        ...common,
        says: `It stands ${say.quantity('length', g.lengthMm - g.limitMm!)} past the clearance above: the boot, cover or pipe cannot go back.`,
        toDo: 'Do not fit it.',
        phrase: 'Too tall for what stands above',
      };
    }
    const does =
      caseId === 'taller' ? 'presses on the boot or comes near a cover' : 'may not reach far enough into the boot';
    return {
      ...common,
      says: `It ends ${by} ${caseId === 'taller' ? 'higher' : 'lower'} and ${does}.`,
      toDo:
        outcome === 'caution'
          ? 'Try the boot and cover before it leaves, or let the supervisor decide.'
          : 'Tell the fitter to press the boot home and look.',
      phrase: `${by} ${caseId === 'taller' ? 'taller' : 'shorter above the seat'}`,
    };
  },
  examples: [
    { says: 'the same length matches', facts: base, outcome: 'match' },
    { says: '1 mm taller matches', facts: of(51.5), outcome: 'match' },
    { says: '1.1 mm taller is acceptable', facts: of(51.6), outcome: 'acceptable', caseId: 'taller' },
    { says: '3 mm shorter is acceptable', facts: of(47.5), outcome: 'acceptable', caseId: 'shorter' },
    { says: '3.1 mm taller is a caution', facts: of(53.6), outcome: 'caution', caseId: 'taller' },
    {
      says: 'past the stated clearance is refused',
      facts: { ...of(55), 'position.lengthLimitMm': 54 },
      outcome: 'refuse',
      caseId: 'beyond-clearance',
    },
    {
      says: 'just inside the stated clearance is only a caution',
      facts: { ...of(54), 'position.lengthLimitMm': 54 },
      outcome: 'caution',
    },
    {
      says: 'an unknown length is asked for',
      facts: { 'position.lengthMm': { low: 50, high: 51 } },
      outcome: 'unknown',
    },
  ],
});
