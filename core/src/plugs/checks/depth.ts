import { defineCheck } from '../../fitment/define-check.ts';
import { deepestPointMm, gapUpperLimitMm } from '../firing-end.ts';
import { within } from '../../fitment/tolerance.ts';

const MATCH_MM = 0.5;
const ACCEPTABLE_MM = 1.5;
const CLEARANCE_SAFE_MM = 1.5;
const CLEARANCE_LEAST_MM = 1;

const base = {
  'plug.reachMm': 19,
  'plug.projectionMm': 2,
  'plug.groundForm': 'over-tip',
  'plug.groundThicknessMm': 1.4,
  'position.gapMm': { low: 1, high: 1.1 },
  'position.oeDepthMm': 23.5,
} as const;
const at = (projectionMm: number, pistonTopMm?: number) => ({
  ...base,
  'plug.projectionMm': projectionMm,
  ...(pistonTopMm === undefined ? {} : { 'position.pistonTopMm': pistonTopMm }),
});

export const depth = defineCheck({
  id: 'depth',
  title: 'Depth',
  why: 'The deepest point of the plug must clear the piston and valves, and stand where the spark belongs.',
  source: 'Plugs: Depth',
  vouchedBy: ['own-number', 'listing'],
  needs: [
    'plug.reachMm',
    'plug.projectionMm',
    'plug.groundForm',
    'plug.groundThicknessMm',
    'position.gapMm',
    'position.oeDepthMm',
  ],
  mayUse: ['position.pistonTopMm', 'plug.gapAdjust', 'plug.gapMm', 'plug.gapToleranceMm'],
  judgePart: (f) => {
    const [reachMm, pistonTopMm] = [f['plug.reachMm'], f['position.pistonTopMm']];
    if (reachMm === undefined || pistonTopMm === undefined) return undefined;
    const knownMm = reachMm + (f['plug.projectionMm'] ?? 0);
    if (within(CLEARANCE_LEAST_MM, pistonTopMm - knownMm)) return undefined;
    const clearanceMm = Number((pistonTopMm - knownMm).toFixed(6));
    return {
      outcome: 'refuse',
      caseId: 'strikes',
      figures: {
        depthMm: knownMm,
        oeDepthMm: f['position.oeDepthMm'] ?? null,
        differenceMm: null as number | null,
        pistonTopMm,
        clearanceMm: clearanceMm,
      },
    };
  },
  judge: (f) => {
    const gapUpperMm = gapUpperLimitMm({
      adjust: f['plug.gapAdjust'],
      deliveredMm: f['plug.gapMm'],
      toleranceMm: f['plug.gapToleranceMm'],
      asked: f['position.gapMm'],
    });
    const depthMm = deepestPointMm({
      reachMm: f['plug.reachMm'],
      projectionMm: f['plug.projectionMm'],
      groundForm: f['plug.groundForm'],
      groundThicknessMm: f['plug.groundThicknessMm'],
      gapUpperMm,
    });
    const differenceMm = Number((depthMm - f['position.oeDepthMm']).toFixed(6));
    const pistonTopMm = f['position.pistonTopMm'] ?? null;
    const clearanceMm = pistonTopMm === null ? null : Number((pistonTopMm - depthMm).toFixed(6));
    const figures = {
      depthMm: Number(depthMm.toFixed(6)),
      oeDepthMm: f['position.oeDepthMm'] as number | null,
      differenceMm: differenceMm as number | null,
      pistonTopMm,
      clearanceMm,
    };
    const closeness = Math.abs(differenceMm) / MATCH_MM;
    if (within(Math.abs(differenceMm), MATCH_MM)) return { outcome: 'match', caseId: 'same', figures, closeness };
    if (differenceMm < 0) {
      return within(-differenceMm, ACCEPTABLE_MM)
        ? { outcome: 'acceptable', caseId: 'shallower', figures, closeness }
        : { outcome: 'caution', caseId: 'much-shallower', figures, closeness };
    }
    if (clearanceMm === null)
      return { outcome: 'unknown', caseId: 'piston-top-unknown', figures, missing: ['position.pistonTopMm'] };
    if (!within(CLEARANCE_LEAST_MM, clearanceMm)) return { outcome: 'refuse', caseId: 'strikes', figures };
    if (!within(CLEARANCE_SAFE_MM, clearanceMm)) return { outcome: 'caution', caseId: 'tight', figures, closeness };
    return within(differenceMm, ACCEPTABLE_MM)
      ? { outcome: 'acceptable', caseId: 'deeper', figures, closeness }
      : { outcome: 'caution', caseId: 'much-deeper', figures, closeness };
  },
  explain: ({ caseId, figures: g }, say) => {
    const mm = (value: number) => say.quantity('length', value);
    const oe = g.oeDepthMm === null ? 'maker’s plug unknown' : mm(g.oeDepthMm);
    const asked = g.pistonTopMm === null ? oe : `${oe}, limit ${mm(g.pistonTopMm - CLEARANCE_LEAST_MM)}`;
    const common = {
      asked,
      has: mm(g.depthMm),
      difference: g.differenceMm === null || g.differenceMm === 0 ? null : say.signed('length', g.differenceMm),
    };
    const by = mm(Math.abs(g.differenceMm ?? 0));
    const left = g.clearanceMm === null ? '' : mm(Math.abs(g.clearanceMm));
    switch (caseId) {
      case 'strikes': {
        const meets = g.clearanceMm !== null && g.clearanceMm < 0;
        return {
          ...common,
          says: meets
            ? `The plug would end ${left} inside the piston’s path at top dead centre and be struck.`
            : `Only ${left} would be left to the piston or valve; at speed and heat that is not enough.`,
          toDo: 'Do not fit it, and do not turn an engine over with it in.',
          phrase: meets ? `${left} into the piston’s path` : `Clears the piston by only ${left}`,
        };
      }
      case 'tight':
        return {
          ...common,
          says: `It clears the piston or valve by ${left}, less than the ${mm(CLEARANCE_SAFE_MM)} the trade is easy with.`,
          toDo: 'Let the supervisor decide; a skimmed head or a worn engine leaves less.',
          phrase: `Clears the piston by ${left}`,
        };
      case 'much-deeper':
        return {
          ...common,
          says: `It stands ${by} deeper than the maker’s own plug; it clears by ${left}, but the tip runs hotter.`,
          toDo: 'Let the supervisor decide.',
          phrase: `${by} deeper than the maker’s own`,
        };
      case 'deeper':
        return {
          ...common,
          says: `It stands ${by} deeper than the maker’s own plug and clears the piston by ${left}.`,
          toDo: 'Mention it to the fitter.',
          phrase: `${by} deeper, clears by ${left}`,
        };
      case 'shallower':
        return {
          ...common,
          says: `It ends ${by} short of the maker’s own plug, so the spark is a little less exposed.`,
          toDo: 'Mention that idle may be slightly rougher.',
          phrase: `Tip ${by} shallower`,
        };
      case 'much-shallower':
        return {
          ...common,
          says: `It ends ${by} short of the maker’s own plug: the spark is shrouded and the mixture lights late.`,
          toDo: 'Let the supervisor decide.',
          phrase: `Tip ${by} shallower`,
        };
      case 'piston-top-unknown':
        return {
          ...common,
          says: `It stands ${by} deeper than the maker’s own plug, and how near the piston comes is not known.`,
          toDo: 'Measure or look up the distance from the seat face to the piston or valve.',
          phrase: `${by} deeper; piston clearance not known`,
        };
      default:
        return { ...common, says: 'It ends where the maker’s own plug ends.', toDo: null, phrase: 'Same depth' };
    }
  },
  examples: [
    { says: 'the depth of the maker’s own plug matches', facts: at(2), outcome: 'match' },
    { says: '0.5 mm deeper matches whatever the piston top', facts: at(2.5, 23), outcome: 'match' },
    {
      says: '0.6 mm deeper with the piston top unknown is unknown',
      facts: at(2.6),
      outcome: 'unknown',
      caseId: 'piston-top-unknown',
    },
    {
      says: '0.6 mm deeper that clears by 1.5 mm is acceptable',
      facts: at(2.6, 25.6),
      outcome: 'acceptable',
      caseId: 'deeper',
    },
    {
      says: '0.6 mm deeper that clears by 1.4 mm is a caution',
      facts: at(2.6, 25.5),
      outcome: 'caution',
      caseId: 'tight',
    },
    { says: 'clearing by exactly 1.0 mm is a caution', facts: at(2.6, 25.1), outcome: 'caution', caseId: 'tight' },
    { says: 'clearing by 0.9 mm is refused', facts: at(2.6, 25), outcome: 'refuse', caseId: 'strikes' },
    { says: '1.5 mm deeper with room is acceptable', facts: at(3.5, 40), outcome: 'acceptable', caseId: 'deeper' },
    { says: '1.6 mm deeper with room is a caution', facts: at(3.6, 40), outcome: 'caution', caseId: 'much-deeper' },
    { says: '0.6 mm shallower is acceptable', facts: at(1.4), outcome: 'acceptable', caseId: 'shallower' },
    { says: '1.5 mm shallower is acceptable', facts: at(0.5), outcome: 'acceptable', caseId: 'shallower' },
    { says: '1.6 mm shallower is a caution', facts: at(0.4), outcome: 'caution', caseId: 'much-shallower' },
    {
      says: 'a long-reach plug strikes the piston',
      facts: { ...at(2, 28.5), 'plug.reachMm': 26.5 },
      outcome: 'refuse',
      caseId: 'strikes',
    },
    {
      says: 'a reach that alone meets the piston is refused with the tip unknown',
      facts: { 'plug.reachMm': 28, 'position.pistonTopMm': 28.5 },
      outcome: 'refuse',
      caseId: 'strikes',
    },
    { says: 'a surface ground ends at its tip', facts: { ...at(4.5), 'plug.groundForm': 'surface' }, outcome: 'match' },
    {
      says: 'a fixed gap counts as delivered, not as asked',
      facts: { ...at(2), 'plug.gapAdjust': { kind: 'fixed' }, 'plug.gapMm': 1.6, 'plug.gapToleranceMm': 0.1 },
      outcome: 'unknown',
      caseId: 'piston-top-unknown',
    },
    {
      says: 'an unknown projection is asked for',
      facts: { 'plug.reachMm': 19, 'position.pistonTopMm': 28.5 },
      outcome: 'unknown',
    },
  ],
});
