import { describe, expect, test } from '@jest/globals';
import { sayIn } from '../fitment/say.ts';
import { PART_KINDS } from '../facts/part-kinds.ts';
import { sheetOf } from '../testing/sheet-of.ts';
import { CHECKS_BY_KIND } from './checks-by-kind.ts';

const ASKED = PART_KINDS.flatMap((kind) =>
  CHECKS_BY_KIND[kind].flatMap((check) =>
    check.examples.map(({ says, facts }) => [`${kind}, ${check.id}: ${says}`, check, facts] as const),
  ),
);
/** Everything said of an example but what to do, which may ask for a measure in the unit of the instrument. */
const said = (
  check: (typeof ASKED)[number][1],
  facts: (typeof ASKED)[number][2],
  units: 'metric' | 'imperial' | 'both',
) => {
  const { outcome, caseId, closeness, told } = check.ask(sheetOf(facts), sayIn(units));
  const { toDo: _, ...words } = told;
  return { outcome, caseId, closeness, words: Object.values(words).join(' | ') };
};
const METRIC = /\d (mm|km|N·m|bar)\b|\d °C/;
/** Heat ratings are told on the house scale, which is in bar everywhere. */
const IN_BAR_EVERYWHERE = ['heat'];

describe('in whatever units a counter reads', () => {
  test.each(ASKED)('%s is judged the same', (_, check, facts) => {
    const { words: metric, ...answer } = said(check, facts, 'metric');
    const { words: imperial, ...inInches } = said(check, facts, 'imperial');
    const { words: both, ...inBoth } = said(check, facts, 'both');
    expect([inInches, inBoth]).toEqual([answer, answer]);
    if (IN_BAR_EVERYWHERE.includes(check.id)) return;
    // A figure with a metric unit is told in the reader's own, and in both where both are read.
    expect(imperial).not.toMatch(METRIC);
    if (METRIC.test(metric)) expect([imperial, both].every((words) => words !== metric)).toBe(true);
  });
});
