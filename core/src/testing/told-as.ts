import { expect, test } from '@jest/globals';
import type { Check } from '../fitment/define-check.ts';
import type { Finding } from '../fitment/finding.ts';
import { sayIn } from '../fitment/say.ts';
import { sheetOf, type MadeUp } from './sheet-of.ts';

/** What a check answers, as it stands in a test: its outcome, case and closeness, then its words. */
export interface Told {
  readonly is: string;
  readonly asked: string;
  readonly has: string;
  readonly difference?: string;
  readonly says: string;
  readonly toDo?: string;
  readonly phrase: string;
}

export function toldOf(finding: Finding): Told {
  const { asked, has, difference, says, toDo, phrase } = finding.told;
  const far = finding.closeness === 0 ? '' : `, ${finding.closeness}`;
  const stops = finding.outcome === 'unknown' ? (finding.blocks ? ', open' : ', not open') : '';
  return {
    is: `${finding.outcome}: ${finding.caseId}${far}${stops}`,
    asked,
    has,
    ...(difference === null ? {} : { difference }),
    says,
    ...(toDo === null ? {} : { toDo }),
    phrase,
  };
}

/** Holds a check to what is said at the counter, word by word: in each of its examples, and in further cases. */
export function toldAs(
  check: Check,
  told: Readonly<Record<string, Told>>,
  further: Readonly<Record<string, readonly [facts: MadeUp, told: Told]>> = {},
): void {
  const ask = (facts: MadeUp) => toldOf(check.ask(sheetOf(facts), sayIn('metric')));
  test('has words for each of its examples, and for no other', () => {
    expect(Object.keys(told)).toEqual(check.examples.map(({ says }) => says));
  });
  test.each(check.examples.map(({ says, facts }) => [says, facts] as const))('%s', (says, facts) => {
    expect(ask(facts)).toEqual(told[says]);
  });
  const more = Object.entries(further);
  if (more.length > 0)
    test.each(more)('%s', (_, [facts, words]) => {
      expect(ask(facts)).toEqual(words);
    });
}
