import { defineCheck } from '../../fitment/define-check.ts';

const inClass = { 'duty.classRule': { kind: 'list', className: 'Tarn 2', permitted: ['TN19C'] } } as const;

export const classList = defineCheck({
  id: 'class-list',
  title: 'Class list',
  why: 'A sanctioned class permits the numbers on its list and no others, however alike.',
  source: 'Plugs: Class list',
  vouchedBy: [],
  startsGroup: true,
  needs: ['duty.classRule'],
  mayUse: ['plug.printedNumbers'],
  notAsked: (f) =>
    f['duty.classRule']?.kind === 'no-class' ? 'No sanctioned class is named for this job.' : undefined,
  canRefuse: (f) => f['duty.classRule']?.kind !== 'no-class',
  judge: (f) => {
    const rule = f['duty.classRule'];
    const printed = f['plug.printedNumbers'];
    const className = rule.kind === 'no-class' ? null : rule.className;
    const figures = { className, printed: printed ?? [] };
    if (rule.kind !== 'list') return { outcome: 'unknown', caseId: 'no-list', figures, missing: ['duty.classRule'] };
    if (printed === undefined)
      return { outcome: 'unknown', caseId: 'print-unknown', figures, missing: ['plug.printedNumbers'] };
    return printed.some((number) => rule.permitted.includes(number))
      ? { outcome: 'match', caseId: 'listed', figures }
      : { outcome: 'refuse', caseId: 'not-listed', figures };
  },
  explain: ({ caseId, figures: g }) => {
    const common = {
      asked: `list of ${g.className ?? 'the class'}`,
      has: g.printed.join(', ') || 'not known',
      difference: null,
    };
    switch (caseId) {
      case 'no-list':
        return {
          ...common,
          says: `No list of ${g.className ?? 'the class'} is in force on that date.`,
          toDo: 'Ask the organisers for the list in force.',
          phrase: 'Which list is in force?',
        };
      case 'print-unknown':
        return {
          ...common,
          says: 'The number printed on the plug is not known.',
          toDo: 'Read the number printed on the plug itself.',
          phrase: 'Read the printed number',
        };
      case 'not-listed':
        return {
          ...common,
          says: 'It is not on the list in force: the car would be excluded, however alike the plug.',
          toDo: 'Sell a plug whose own printed number is on the list.',
          phrase: 'Not on the class list',
        };
      default:
        return {
          ...common,
          says: 'Its printed number is on the list in force.',
          toDo: null,
          phrase: 'On the class list',
        };
    }
  },
  examples: [
    {
      says: 'without a class it is not asked',
      facts: { 'duty.classRule': { kind: 'no-class' } },
      outcome: 'not-asked',
    },
    { says: 'a listed number matches', facts: { ...inClass, 'plug.printedNumbers': ['TN19C'] }, outcome: 'match' },
    {
      says: 'the resistor twin of a listed number is refused',
      facts: { ...inClass, 'plug.printedNumbers': ['TN19CR'] },
      outcome: 'refuse',
    },
    {
      says: 'no list in force is asked',
      facts: { 'duty.classRule': { kind: 'no-list-in-force', className: 'Tarn 2' } },
      outcome: 'unknown',
      caseId: 'no-list',
    },
    { says: 'an unread number is asked', facts: inClass, outcome: 'unknown', caseId: 'print-unknown' },
  ],
});
