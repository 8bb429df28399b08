import { defineCheck } from '../../fitment/define-check.ts';
import type { AskedResistor } from '../../facts/position-facts.ts';
import { inside } from '../../fitment/tolerance.ts';

const asks: { 'position.resistor': AskedResistor } = { 'position.resistor': { kind: 'range', low: 3, high: 7.5 } };
const value = (kohm: number) => ({ 'plug.resistor': { kind: 'value', kohm } }) as const;

const MATCHES = {
  inside: (has: string) => `${has}, inside the asked range.`,
  'one-where-asked': () => 'It has a resistor, as asked; of what value, the engine maker does not say.',
  'both-without': () => 'No resistor, and none is asked.',
} as const;

export const resistor = defineCheck({
  id: 'resistor',
  title: 'Resistor',
  why: 'The resistor keeps spark noise out of radios and control units; too much of it weakens the spark.',
  source: 'Plugs: Resistor',
  startsGroup: true,
  needs: ['plug.resistor', 'position.resistor'],
  canRefuse: (f) =>
    f['position.resistor'] === undefined ||
    f['position.resistor'].kind === 'range' ||
    f['position.resistor'].kind === 'required',
  judge: (f) => {
    const [has, asked] = [f['plug.resistor'], f['position.resistor']];
    const range = asked.kind === 'range' ? asked : null;
    const figures = {
      has: has.kind,
      kohm: has.kind === 'value' ? has.kohm : null,
      asked: asked.kind,
      lowKohm: range?.low ?? null,
      highKohm: range?.high ?? null,
    };
    if (asked.kind === 'required') {
      return has.kind === 'none'
        ? { outcome: 'refuse', caseId: 'none-where-asked', figures }
        : { outcome: 'match', caseId: 'one-where-asked', figures };
    }
    if (range) {
      if (has.kind === 'none') return { outcome: 'refuse', caseId: 'none-where-asked', figures };
      if (has.kind === 'present') return { outcome: 'acceptable', caseId: 'value-unpublished', figures };
      return inside(has.kohm, range)
        ? { outcome: 'match', caseId: 'inside', figures }
        : { outcome: 'caution', caseId: 'outside', figures };
    }
    if (has.kind === 'none') return { outcome: 'match', caseId: 'both-without', figures };
    return asked.kind === 'forbidden'
      ? { outcome: 'caution', caseId: 'forbidden', figures }
      : { outcome: 'acceptable', caseId: 'not-asked-for', figures };
  },
  explain: ({ caseId, figures: g }, say) => {
    const kohm = (v: number) => say.quantity('plug-resistor', v * 1000);
    const asked =
      g.lowKohm === null
        ? ({ forbidden: 'none allowed', required: 'one, value not stated' }[g.asked as string] ?? 'none')
        : say.span('plug-resistor', { low: g.lowKohm * 1000, high: g.highKohm! * 1000 });
    const has = g.kohm === null ? (g.has === 'none' ? 'none' : 'present, value unpublished') : kohm(g.kohm);
    const common = { asked, has, difference: null };
    switch (caseId) {
      case 'none-where-asked':
        return {
          ...common,
          says: 'Without a resistor the spark disturbs the radio and the control unit, which may then misread its sensors.',
          toDo: 'Sell a resistor plug.',
          phrase: 'No resistor where one is asked',
        };
      case 'value-unpublished':
        return {
          ...common,
          says: 'It has a resistor, of unpublished value.',
          toDo: 'Measure one: terminal to centre electrode.',
          phrase: 'Resistor value unpublished',
        };
      case 'outside':
        return {
          ...common,
          says: `${has} lies outside the asked range: the spark is weaker or noisier than designed.`,
          toDo: 'Let the supervisor decide.',
          phrase: `Resistor ${has}`,
        };
      case 'forbidden':
        return {
          ...common,
          says: 'The engine maker allows no resistor here: the old ignition has no voltage to spare.',
          toDo: 'Let the supervisor decide.',
          phrase: 'Resistor where the maker allows none',
        };
      case 'not-asked-for':
        return {
          ...common,
          says: 'It has a resistor where none was asked; the spark is slightly weaker and the radio quieter.',
          toDo: 'Mention it.',
          phrase: 'Has a resistor, none asked',
        };
      default:
        return {
          ...common,
          says: MATCHES[caseId as keyof typeof MATCHES](has),
          toDo: null,
          phrase: 'Resistor as asked',
        };
    }
  },
  examples: [
    {
      says: 'any resistor serves where one is required and no value is stated',
      facts: { 'position.resistor': { kind: 'required' }, ...value(9) },
      outcome: 'match',
      caseId: 'one-where-asked',
    },
    {
      says: 'none where one is required is refused',
      facts: { 'position.resistor': { kind: 'required' }, 'plug.resistor': { kind: 'none' } },
      outcome: 'refuse',
      caseId: 'none-where-asked',
    },
    { says: 'inside the asked range matches', facts: { ...asks, ...value(5) }, outcome: 'match' },
    { says: 'the range’s end is inside', facts: { ...asks, ...value(7.5) }, outcome: 'match' },
    {
      says: 'outside the range is a caution',
      facts: { ...asks, ...value(7.6) },
      outcome: 'caution',
      caseId: 'outside',
    },
    {
      says: 'present but unpublished is acceptable',
      facts: { ...asks, 'plug.resistor': { kind: 'present' } },
      outcome: 'acceptable',
      caseId: 'value-unpublished',
    },
    {
      says: 'none where one is asked is refused',
      facts: { ...asks, 'plug.resistor': { kind: 'none' } },
      outcome: 'refuse',
      caseId: 'none-where-asked',
    },
    {
      says: 'both without matches',
      facts: { 'position.resistor': { kind: 'none-asked' }, 'plug.resistor': { kind: 'none' } },
      outcome: 'match',
    },
    {
      says: 'one where none was asked is acceptable',
      facts: { 'position.resistor': { kind: 'none-asked' }, ...value(5) },
      outcome: 'acceptable',
    },
    {
      says: 'one where the maker forbids it is a caution',
      facts: { 'position.resistor': { kind: 'forbidden' }, ...value(5) },
      outcome: 'caution',
      caseId: 'forbidden',
    },
    { says: 'an unknown resistor is asked for', facts: asks, outcome: 'unknown' },
  ],
});
