import { defineCheck, type Check, type CheckExample } from './define-check.ts';
import type { CheckId } from './check-ids.ts';
import type { FactId, FactTypes } from '../facts/facts.ts';

interface SameOrRefuse<H extends FactId, A extends FactId> {
  readonly id: CheckId;
  readonly title: string;
  readonly why: string;
  readonly source: string;
  /** What the part has, and what is asked of it. */
  readonly has: H;
  readonly asked: A;
  /** Fact that decides whether it arises at all. */
  readonly idle?: (facts: { readonly [K in H | A]?: FactTypes[K] }) => string | undefined;
  readonly same?: (has: FactTypes[H], asked: FactTypes[A]) => boolean;
  readonly print: (value: FactTypes[H] | FactTypes[A]) => string;
  readonly says: { readonly same: string; readonly other: string };
  readonly toDo: string;
  readonly phrase: (has: string, asked: string) => string;
  readonly examples: readonly CheckExample[];
}

/** A check with two answers: the same matches, anything else is refused. */
export function sameOrRefuse<H extends FactId, A extends FactId>(definition: SameOrRefuse<H, A>): Check {
  const { id, title, why, source, has, asked, print, says, toDo, phrase, examples, idle } = definition;
  const same = definition.same ?? ((a: FactTypes[H], b: FactTypes[A]) => (a as unknown) === b);
  return defineCheck<H | A, never, { readonly has: string; readonly asked: string }>({
    id,
    title,
    why,
    source,
    needs: [has, asked],
    ...(idle ? { notAsked: idle } : {}),
    judge: (f) => {
      const [own, wanted] = [f[has] as FactTypes[H], f[asked] as FactTypes[A]];
      const figures = { has: print(own), asked: print(wanted) };
      return same(own, wanted)
        ? { outcome: 'match', caseId: 'same', figures }
        : { outcome: 'refuse', caseId: 'other', figures };
    },
    explain: ({ outcome, figures: g }) => ({
      asked: g.asked,
      has: g.has,
      difference: null,
      says: outcome === 'match' ? says.same : says.other,
      toDo: outcome === 'match' ? null : toDo,
      phrase: outcome === 'match' ? `${title} as asked` : phrase(g.has, g.asked),
    }),
    examples,
  });
}
