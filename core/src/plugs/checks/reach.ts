import { defineCheck } from '../../fitment/define-check.ts';
import { fromNearestEnd, within } from '../../fitment/tolerance.ts';

/** Plugs: Reach: within the one it is the same, within the other it may be sold. */
export const REACH_MM = { match: 0.3, acceptable: 0.5 } as const;
/** Head thread left unused at the chamber end before it is more than advice. */
const SHORT_THREAD_MM = 2;

const base = {
  'position.reachMm': { low: 19, high: 19 },
  'position.headThreadMm': 19,
  'plug.reachMm': 19,
} as const;

export const reach = defineCheck({
  id: 'reach',
  title: 'Reach',
  why: 'Too long meets the piston or leaves bare threads in the chamber; too short hides the spark in the hole.',
  source: 'Plugs: Reach',
  sameWithin: { fact: 'plug.reachMm', by: REACH_MM.match },
  needs: ['plug.reachMm', 'position.reachMm'],
  mayUse: ['plug.threadedLengthMm', 'plug.seat', 'position.headThreadMm'],
  judge: (f) => {
    const differenceMm = fromNearestEnd(f['plug.reachMm'], f['position.reachMm']);
    const threadedMm = f['plug.threadedLengthMm'] ?? f['plug.reachMm'];
    const headThreadMm = f['position.headThreadMm'] ?? null;
    const threadShortMm = headThreadMm === null ? 0 : Math.max(0, headThreadMm - threadedMm);
    const figures = {
      reachMm: f['plug.reachMm'],
      askedLowMm: f['position.reachMm'].low,
      askedHighMm: f['position.reachMm'].high,
      differenceMm,
      threadedMm,
      headThreadMm,
      threadShortMm: Number(threadShortMm.toFixed(6)),
    };
    const size = Math.abs(differenceMm);
    const closeness = size / REACH_MM.match;
    if (!within(size, REACH_MM.acceptable))
      return { outcome: 'refuse', caseId: differenceMm > 0 ? 'longer' : 'shorter', figures };
    if (!within(threadShortMm, SHORT_THREAD_MM))
      return { outcome: 'caution', caseId: 'thread-well-short', figures, closeness };
    if (!within(size, REACH_MM.match)) return { outcome: 'acceptable', caseId: 'nearly', figures, closeness };
    // Within the match band a thread shorter by no more than the band still covers the head's thread.
    if (!within(threadShortMm, REACH_MM.match))
      return { outcome: 'acceptable', caseId: 'thread-short', figures, closeness };
    if (f['plug.seat'] === 'gasket-loose') return { outcome: 'acceptable', caseId: 'loose-gasket', figures, closeness };
    return { outcome: 'match', caseId: 'same', figures, closeness };
  },
  explain: ({ caseId, figures: g }, say) => {
    const asked = say.span('reach', { low: g.askedLowMm, high: g.askedHighMm });
    const has = say.quantity('reach', g.reachMm);
    const difference = g.differenceMm === 0 ? null : say.signed('reach', g.differenceMm);
    const by = say.quantity('reach', Math.abs(g.differenceMm));
    const short = say.quantity('reach', g.threadShortMm);
    const common = { asked, has, difference };
    switch (caseId) {
      case 'longer':
        return {
          ...common,
          says: `It stands ${by} into the chamber: the bare threads carbon up and overheat, and it may meet the piston or a valve.`,
          toDo: 'Do not fit it. If it has run, look for a marked piston top and clean the head threads.',
          phrase: `${by} too long`,
        };
      case 'shorter':
        return {
          ...common,
          says: `It ends ${by} up the hole: the spark is shrouded, it misfires at speed, and carbon fills the head’s last threads.`,
          toDo: 'Do not fit it. If it has run, clean the head threads before the right one goes in.',
          phrase: `${by} too short`,
        };
      case 'thread-well-short':
        return {
          ...common,
          says: `The thread stops ${short} short of the head’s: the last head threads carbon up and the shell runs hotter.`,
          toDo: 'Offer a fully threaded plug, or let the supervisor decide.',
          phrase: `Thread ${short} short of the head’s`,
        };
      case 'thread-short':
        return {
          ...common,
          says: `The thread stops ${short} short of the head’s; the last head threads may carbon up.`,
          toDo: 'Tell the fitter to clean the head threads at the next change.',
          phrase: `Thread ${short} short`,
        };
      case 'nearly':
        return {
          ...common,
          says: `${by} ${g.differenceMm > 0 ? 'longer' : 'shorter'} than asked, within what the trade accepts.`,
          toDo: 'Mention it to the fitter.',
          phrase: `Reach differs by ${by}`,
        };
      case 'loose-gasket':
        return {
          ...common,
          says: 'The reach is right, but the gasket is loose and has a right way round.',
          toDo: 'Fit the gasket flat, the right way round; turned over it leaks and alters the reach.',
          phrase: 'Loose gasket: right way round',
        };
      default:
        return { ...common, says: `${has} of reach fills the head’s thread.`, toDo: null, phrase: 'Same reach' };
    }
  },
  examples: [
    { says: 'the same reach matches', facts: base, outcome: 'match' },
    { says: '0.3 mm longer still matches', facts: { ...base, 'plug.reachMm': 19.3 }, outcome: 'match' },
    {
      says: '0.31 mm shorter is acceptable',
      facts: { ...base, 'plug.reachMm': 18.69 },
      outcome: 'acceptable',
      caseId: 'nearly',
    },
    {
      says: '0.4 mm longer is acceptable',
      facts: { ...base, 'plug.reachMm': 19.4 },
      outcome: 'acceptable',
      caseId: 'nearly',
    },
    {
      says: '0.5 mm longer is acceptable',
      facts: { ...base, 'plug.reachMm': 19.5 },
      outcome: 'acceptable',
      caseId: 'nearly',
    },
    { says: '0.6 mm longer is refused', facts: { ...base, 'plug.reachMm': 19.6 }, outcome: 'refuse', caseId: 'longer' },
    {
      says: 'a 26.5 mm plug in a 19 mm head is refused',
      facts: { ...base, 'plug.reachMm': 26.5 },
      outcome: 'refuse',
      caseId: 'longer',
    },
    {
      says: 'a 12.7 mm plug in a 19 mm head is refused',
      facts: { ...base, 'plug.reachMm': 12.7 },
      outcome: 'refuse',
      caseId: 'shorter',
    },
    {
      says: 'a thread 2 mm short of the head is acceptable',
      facts: { ...base, 'plug.threadedLengthMm': 17 },
      outcome: 'acceptable',
      caseId: 'thread-short',
    },
    {
      says: 'a thread 2.1 mm short of the head is a caution',
      facts: { ...base, 'plug.threadedLengthMm': 16.9 },
      outcome: 'caution',
      caseId: 'thread-well-short',
    },
    {
      says: 'a loose gasket is acceptable',
      facts: { ...base, 'plug.seat': 'gasket-loose' },
      outcome: 'acceptable',
      caseId: 'loose-gasket',
    },
    {
      says: 'inside an asked range it matches',
      facts: { ...base, 'position.reachMm': { low: 17.5, high: 19 }, 'plug.reachMm': 18, 'position.headThreadMm': 18 },
      outcome: 'match',
    },
    { says: 'a missing reach is asked for', facts: { 'position.reachMm': { low: 19, high: 19 } }, outcome: 'unknown' },
  ],
});
