import { defineCheck } from '../../fitment/define-check.ts';
import { inside, within } from '../../fitment/tolerance.ts';
import { UNPUBLISHED_TOLERANCE_MM } from '../../gap/gap-desk.ts';
import { middleOf, moveToMiddle } from '../../gap/gap-move.ts';

/** Share of the adjust limit that may be used before it is a caution. */
const EASY_SHARE = 0.8;

const base = {
  'plug.gapMm': 1.05,
  'plug.gapToleranceMm': 0.05,
  'plug.gapAdjust': { kind: 'limit', mm: 0.25 },
  'position.gapMm': { low: 1, high: 1.1 },
} as const;
const set = (gapMm: number, mm?: number) => ({
  ...base,
  'plug.gapMm': gapMm,
  'plug.gapAdjust': mm === undefined ? ({ kind: 'fixed' } as const) : ({ kind: 'limit', mm } as const),
});

export const gap = defineCheck({
  id: 'gap',
  title: 'Gap',
  why: 'Too wide asks more voltage than the coil has; too narrow lights the mixture badly.',
  source: 'Plugs: Gap',
  ruledBy: ['gapForDuty'],
  sameWithin: { fact: 'plug.gapMm', by: UNPUBLISHED_TOLERANCE_MM },
  startsGroup: true,
  needs: ['plug.gapMm', 'position.gapMm'],
  mayUse: ['plug.gapToleranceMm', 'plug.gapAdjust'],
  judge: (f) => {
    const range = f['position.gapMm'];
    const nominal = f['plug.gapMm'];
    const published = f['plug.gapToleranceMm'] !== undefined;
    const tolerance = f['plug.gapToleranceMm'] ?? UNPUBLISHED_TOLERANCE_MM;
    const [low, high] = [nominal - tolerance, nominal + tolerance];
    const middle = middleOf(range);
    const adjust = f['plug.gapAdjust'];
    const limit = adjust?.kind === 'limit' ? adjust.mm : null;
    const figures = {
      gapMm: nominal,
      toleranceMm: tolerance,
      askedLowMm: range.low,
      askedHighMm: range.high,
      setToMm: middle,
      changeMm: Number((middle - nominal).toFixed(6)),
      limitMm: limit,
    };
    const closeness = inside(nominal, range) ? 0 : Math.abs(figures.changeMm) / tolerance;
    if (inside(low, range) && inside(high, range)) {
      return published
        ? { outcome: 'match', caseId: 'inside', figures, closeness }
        : { outcome: 'acceptable', caseId: 'tolerance-unpublished', figures, closeness };
    }
    if (within(low, range.high) && within(range.low, high))
      return { outcome: 'acceptable', caseId: 'overlaps', figures, closeness };
    if (adjust === undefined)
      return { outcome: 'unknown', caseId: 'adjust-unknown', figures, missing: ['plug.gapAdjust'] };
    const move = moveToMiddle(nominal, range, limit);
    if (move.kind === 'not-adjustable') return { outcome: 'refuse', caseId: 'not-adjustable', figures };
    const setToMm = move.kind === 'set' ? move.setToMm : move.nearestMm;
    const adjusted = { ...figures, setToMm, changeMm: move.changeMm };
    if (move.kind === 'past-limit') return { outcome: 'refuse', caseId: 'past-limit', figures: adjusted };
    return within(move.usesShare, EASY_SHARE)
      ? { outcome: 'acceptable', caseId: 'set', figures: adjusted, closeness }
      : { outcome: 'caution', caseId: 'set-near-limit', figures: adjusted, closeness };
  },
  explain: ({ caseId, figures: g }, say) => {
    const mm = (value: number) => say.quantity('gap', value);
    const common = {
      asked: say.span('gap', { low: g.askedLowMm, high: g.askedHighMm }),
      has: `${mm(g.gapMm)} ±${say.quantity('gap', g.toleranceMm)}`,
      difference: Math.abs(g.changeMm) < 1e-6 ? null : say.signed('gap', -g.changeMm),
    };
    const move = `${g.changeMm > 0 ? 'open' : 'close'} by ${mm(Math.abs(g.changeMm))}`;
    switch (caseId) {
      case 'overlaps':
        return {
          ...common,
          says: 'As delivered some will be inside the range and some outside.',
          toDo: `Measure each; set to ${mm(g.setToMm)} where it is out.`,
          phrase: 'Gap: measure each',
        };
      case 'tolerance-unpublished':
        return {
          ...common,
          says: `The maker publishes no tolerance; ${mm(UNPUBLISHED_TOLERANCE_MM)} either way is assumed.`,
          toDo: 'Measure each before fitting.',
          phrase: 'Gap tolerance unpublished: measure each',
        };
      case 'set':
        return {
          ...common,
          says: `Delivered outside the range; it can be set (${move}).`,
          toDo: `Set each to ${mm(g.setToMm)} with a wire gauge, moving only the ground electrode.`,
          phrase: `Gap ${mm(g.gapMm)}: ${move}`,
        };
      case 'set-near-limit':
        return {
          ...common,
          says: `Setting it to ${mm(g.setToMm)} uses nearly all of the ${mm(g.limitMm ?? 0)} the maker allows: the ground may crack or stand askew.`,
          toDo: 'Let the supervisor decide, or sell one delivered nearer.',
          phrase: `Gap: ${move}, near its limit`,
        };
      case 'past-limit':
        return {
          ...common,
          says: `The range lies further off than the ${mm(g.limitMm ?? 0)} the maker allows to move the ground.`,
          toDo: 'Do not set it; sell one delivered nearer.',
          phrase: `Gap ${mm(g.gapMm)}, out of reach`,
        };
      case 'not-adjustable':
        return {
          ...common,
          says: 'Delivered outside the range, and this plug must not be set.',
          toDo: 'Sell one delivered inside the range.',
          phrase: `Gap ${mm(g.gapMm)}, cannot be set`,
        };
      case 'adjust-unknown':
        return {
          ...common,
          says: 'Delivered outside the range, and whether it may be set is not known.',
          toDo: 'Does the maker allow the gap to be set, and how far?',
          phrase: 'May the gap be set?',
        };
      default:
        return {
          ...common,
          difference: null,
          says: 'Every plug of the box is inside the range as delivered.',
          toDo: null,
          phrase: 'Gap as delivered',
        };
    }
  },
  examples: [
    { says: 'tolerance wholly inside matches', facts: base, outcome: 'match' },
    {
      says: 'tolerance partly outside is acceptable',
      facts: { ...base, 'plug.gapMm': 1.07 },
      outcome: 'acceptable',
      caseId: 'overlaps',
    },
    { says: 'touching the range from outside overlaps', facts: set(1.15), outcome: 'acceptable', caseId: 'overlaps' },
    {
      says: 'outside, using 80% of its limit is acceptable',
      facts: set(0.85, 0.25),
      outcome: 'acceptable',
      caseId: 'set',
    },
    {
      says: 'outside, using more than 80% is a caution',
      facts: set(0.84, 0.25),
      outcome: 'caution',
      caseId: 'set-near-limit',
    },
    {
      says: 'the middle out of reach but an end inside is set to the nearest point',
      facts: set(0.8, 0.22),
      outcome: 'caution',
      caseId: 'set-near-limit',
    },
    { says: 'past its limit is refused', facts: set(0.75, 0.22), outcome: 'refuse', caseId: 'past-limit' },
    { says: 'too wide and past its limit is refused', facts: set(1.4, 0.2), outcome: 'refuse', caseId: 'past-limit' },
    { says: 'outside and not adjustable is refused', facts: set(0.8), outcome: 'refuse', caseId: 'not-adjustable' },
    {
      says: 'an unpublished tolerance advises measuring',
      facts: { 'plug.gapMm': 1.05, 'position.gapMm': { low: 1, high: 1.1 } },
      outcome: 'acceptable',
      caseId: 'tolerance-unpublished',
    },
    {
      says: 'an unpublished tolerance is taken as 0.05 mm',
      facts: { 'plug.gapMm': 1.06, 'position.gapMm': { low: 1, high: 1.1 } },
      outcome: 'acceptable',
      caseId: 'overlaps',
    },
    {
      says: 'outside with the adjustment unknown is asked',
      facts: { 'plug.gapMm': 0.8, 'plug.gapToleranceMm': 0.05, 'position.gapMm': { low: 1, high: 1.1 } },
      outcome: 'unknown',
      caseId: 'adjust-unknown',
    },
    { says: 'an unknown gap is asked for', facts: { 'position.gapMm': { low: 1, high: 1.1 } }, outcome: 'unknown' },
  ],
});
