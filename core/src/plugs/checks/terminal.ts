import { defineCheck } from '../../fitment/define-check.ts';

const PRINTED = { solid: 'solid', nut: 'removable nut', stud: 'bare stud', cup: 'cup' } as const;

export const terminal = defineCheck({
  id: 'terminal',
  title: 'Terminal',
  why: 'The lead or coil grips one form of terminal; on another it arcs or falls off.',
  source: 'Plugs: Terminal',
  needs: ['plug.terminal', 'position.terminal'],
  mayUse: ['plug.nutCanBeFitted'],
  judge: (f) => {
    const [has, asked] = [f['plug.terminal'], f['position.terminal']];
    const figures = { has: PRINTED[has], asked: PRINTED[asked] };
    if (has === asked) return { outcome: 'match', caseId: 'same', figures };
    if (has === 'cup' || asked === 'cup') return { outcome: 'refuse', caseId: 'cup', figures };
    if (asked === 'solid' && has === 'nut') return { outcome: 'match', caseId: 'nut-for-solid', figures };
    // A removable nut comes off and leaves the stud that is asked.
    if (asked === 'stud' && has === 'nut') return { outcome: 'acceptable', caseId: 'take-nut-off', figures };
    if (asked === 'stud') return { outcome: 'refuse', caseId: 'solid-for-stud', figures };
    if (f['plug.nutCanBeFitted'] === undefined)
      return { outcome: 'unknown', caseId: 'nut-unknown', figures, missing: ['plug.nutCanBeFitted'] };
    return f['plug.nutCanBeFitted']
      ? { outcome: 'acceptable', caseId: 'fit-nut', figures }
      : { outcome: 'refuse', caseId: 'no-nut', figures };
  },
  explain: ({ caseId, figures: g }) => {
    const common = { asked: g.asked, has: g.has, difference: null };
    switch (caseId) {
      case 'nut-for-solid':
        return {
          ...common,
          says: 'With its nut tight it is the solid form the boot grips.',
          toDo: 'Tighten the nut by fingers, then with soft jaws, never bare pliers on the terminal crown; the solid twin is better where both are sold.',
          phrase: 'Nut: tighten it first',
        };
      case 'take-nut-off':
        return {
          ...common,
          says: 'With its nut off it is the bare stud this lead asks.',
          toDo: 'Take the nut off before fitting.',
          phrase: 'Nut: take it off',
        };
      case 'fit-nut':
        return {
          ...common,
          says: 'A bare stud takes the terminal nut and then serves as solid.',
          toDo: 'Give the nut with it and have it tightened.',
          phrase: 'Bare stud: fit its nut',
        };
      case 'nut-unknown':
        return {
          ...common,
          says: 'It is a bare stud, and whether a nut goes on it is not known.',
          toDo: 'Does a terminal nut come with it or screw onto the stud?',
          phrase: 'Does a nut fit the stud?',
        };
      case 'no-nut':
        return {
          ...common,
          says: 'No nut goes on this stud, so the boot has nothing to grip: it arcs and burns.',
          toDo: 'Do not fit it.',
          phrase: 'Stud that takes no nut',
        };
      case 'solid-for-stud':
        return {
          ...common,
          says: 'The lead’s clip asks a bare stud; a solid terminal does not enter it.',
          toDo: 'Do not fit it.',
          phrase: 'Solid where a stud is asked',
        };
      case 'cup':
        return {
          ...common,
          says: 'A cup and any other terminal do not make contact.',
          toDo: 'Do not fit it.',
          phrase: `${g.has === 'cup' ? 'Cup' : 'No cup'} terminal`,
        };
      default:
        return { ...common, says: 'The lead or coil grips it as designed.', toDo: null, phrase: 'Same terminal' };
    }
  },
  examples: [
    {
      says: 'solid for solid matches',
      facts: { 'plug.terminal': 'solid', 'position.terminal': 'solid' },
      outcome: 'match',
    },
    {
      says: 'a nut-fitted terminal is the solid form',
      facts: { 'plug.terminal': 'nut', 'position.terminal': 'solid' },
      outcome: 'match',
      caseId: 'nut-for-solid',
    },
    {
      says: 'a removable nut taken off leaves the stud asked, and that is told',
      facts: { 'plug.terminal': 'nut', 'position.terminal': 'stud' },
      outcome: 'acceptable',
      caseId: 'take-nut-off',
    },
    {
      says: 'a bare stud whose nut can be fitted is acceptable',
      facts: { 'plug.terminal': 'stud', 'position.terminal': 'solid', 'plug.nutCanBeFitted': true },
      outcome: 'acceptable',
    },
    {
      says: 'a bare stud that takes no nut is refused',
      facts: { 'plug.terminal': 'stud', 'position.terminal': 'solid', 'plug.nutCanBeFitted': false },
      outcome: 'refuse',
      caseId: 'no-nut',
    },
    {
      says: 'a bare stud of which nothing more is known is asked',
      facts: { 'plug.terminal': 'stud', 'position.terminal': 'solid' },
      outcome: 'unknown',
    },
    {
      says: 'solid where a bare stud is asked is refused',
      facts: { 'plug.terminal': 'solid', 'position.terminal': 'stud' },
      outcome: 'refuse',
      caseId: 'solid-for-stud',
    },
    {
      says: 'a cup against solid is refused',
      facts: { 'plug.terminal': 'cup', 'position.terminal': 'solid' },
      outcome: 'refuse',
      caseId: 'cup',
    },
    {
      says: 'solid against a cup is refused',
      facts: { 'plug.terminal': 'solid', 'position.terminal': 'cup' },
      outcome: 'refuse',
      caseId: 'cup',
    },
  ],
});
