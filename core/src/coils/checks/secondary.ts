import { defineCheck } from '../../fitment/define-check.ts';
import { judgeResistance, tellOff } from '../resistance-bands.ts';

const engine = { 'coilAsked.secondaryKohm': 10 } as const;
const of = (kohm: number) => ({ ...engine, 'coil.secondary': { kind: 'kohm', kohm } as const });

export const secondary = defineCheck({
  id: 'secondary',
  title: 'Secondary',
  why: 'Another secondary winding gives another voltage; where a diode or driver is inside, a meter says nothing of it.',
  source: 'Coils: Resistance',
  vouchedBy: ['own-number', 'listing'],
  needs: ['coil.secondary'],
  mayUse: ['coilAsked.secondaryKohm'],
  notAsked: (f) =>
    f['coil.secondary']?.kind === 'not-measurable'
      ? 'A diode or driver inside: an ohmmeter says nothing about this winding.'
      : f['coilAsked.secondaryKohm'] === undefined
        ? 'The engine maker states no secondary resistance.'
        : undefined,
  canRefuse: () => false,
  judge: (f) => {
    const secondaryIs = f['coil.secondary'];
    const hasKohm = secondaryIs.kind === 'kohm' ? secondaryIs.kohm : NaN;
    const askedKohm = f['coilAsked.secondaryKohm']!;
    const { offPercent, outcome, closeness } = judgeResistance(hasKohm, askedKohm);
    return {
      outcome,
      caseId: outcome === 'match' ? 'same' : 'off',
      figures: { hasKohm, askedKohm, offPercent },
      closeness,
    };
  },
  explain: ({ caseId, outcome, figures: g }, say) => {
    const common = {
      asked: say.quantity('coil-secondary', g.askedKohm * 1000),
      has: say.quantity('coil-secondary', g.hasKohm * 1000),
      difference: g.offPercent === 0 ? null : tellOff(g.offPercent),
    };
    if (caseId === 'same')
      return { ...common, says: 'Its winding is as asked.', toDo: null, phrase: 'Secondary as asked' };
    return {
      ...common,
      says: `Its secondary is ${tellOff(g.offPercent)} off: it gives another voltage than this engine reckons with.`,
      toDo: outcome === 'caution' ? 'Let the supervisor decide.' : 'Change all coils of the engine together.',
      phrase: `Secondary ${tellOff(g.offPercent)}`,
    };
  },
  examples: [
    { says: '10% off matches', facts: of(11), outcome: 'match' },
    { says: '15% off is acceptable', facts: of(11.5), outcome: 'acceptable' },
    { says: '16% off is a caution', facts: of(8.4), outcome: 'caution' },
    {
      says: 'with a diode inside it is not asked',
      facts: { ...engine, 'coil.secondary': { kind: 'not-measurable' } },
      outcome: 'not-asked',
    },
    { says: 'unpublished it is measured', facts: engine, outcome: 'unknown' },
  ],
});
