import { defineCheck } from '../../fitment/define-check.ts';
import { judgeResistance, tellOff } from '../resistance-bands.ts';

const engine = { 'coilAsked.primaryOhm': 0.5 } as const;
const of = (ohm: number) => ({ ...engine, 'coil.primaryOhm': ohm });

export const primary = defineCheck({
  id: 'primary',
  title: 'Primary',
  why: 'Its resistance decides the current: too little overheats coil and driver, too much makes a weak spark.',
  source: 'Coils: Resistance',
  startsGroup: true,
  vouchedBy: ['own-number', 'listing'],
  needs: ['coil.primaryOhm', 'coilAsked.primaryOhm'],
  canRefuse: () => false,
  judge: (f) => {
    const [hasOhm, asked] = [f['coil.primaryOhm'], f['coilAsked.primaryOhm']];
    // Held against the nearest end of a range.
    const askedOhm = typeof asked === 'number' ? asked : Math.min(Math.max(hasOhm, asked.low), asked.high);
    const { offPercent, outcome, closeness } = judgeResistance(hasOhm, askedOhm);
    return {
      outcome,
      caseId: outcome === 'match' ? 'same' : offPercent < 0 ? 'lower' : 'higher',
      figures: {
        hasOhm,
        askedLowOhm: typeof asked === 'number' ? asked : asked.low,
        askedHighOhm: typeof asked === 'number' ? asked : asked.high,
        offPercent,
      },
      closeness,
    };
  },
  explain: ({ caseId, outcome, figures: g }, say) => {
    const common = {
      asked: say.span('coil-primary', { low: g.askedLowOhm, high: g.askedHighOhm }),
      has: say.quantity('coil-primary', g.hasOhm),
      difference: g.offPercent === 0 ? null : tellOff(g.offPercent),
    };
    if (caseId === 'same')
      return { ...common, says: 'It takes the current this engine gives it.', toDo: null, phrase: 'Primary as asked' };
    const does =
      caseId === 'lower'
        ? 'it takes more current, and coil and driver run hot'
        : 'it takes less current, and the spark is weaker';
    return {
      ...common,
      says: `Its primary is ${tellOff(g.offPercent)} off: ${does}.`,
      toDo: outcome === 'caution' ? 'Let the supervisor decide.' : 'Change all coils of the engine together.',
      phrase: `Primary ${tellOff(g.offPercent)}`,
    };
  },
  examples: [
    { says: '10% off matches', facts: of(0.55), outcome: 'match' },
    { says: '11% off is acceptable', facts: of(0.555), outcome: 'acceptable', caseId: 'higher' },
    { says: '15% off is acceptable', facts: of(0.425), outcome: 'acceptable', caseId: 'lower' },
    { says: '16% off is a caution', facts: of(0.58), outcome: 'caution', caseId: 'higher' },
    {
      says: 'anywhere inside an asked range it is as asked',
      facts: { ...of(0.62), 'coilAsked.primaryOhm': { low: 0.4, high: 0.62 } },
      outcome: 'match',
    },
    {
      says: 'outside a range it is held against the nearer end',
      facts: { ...of(0.75), 'coilAsked.primaryOhm': { low: 0.4, high: 0.62 } },
      outcome: 'caution',
      caseId: 'higher',
    },
    { says: 'unpublished it is measured', facts: engine, outcome: 'unknown' },
  ],
});
