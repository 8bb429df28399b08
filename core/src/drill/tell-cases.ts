import type { Tell } from '../authenticity/tell.ts';
import { lowerFirst } from '../words/case.ts';
import { choicesAmong, drawn, type Draw, type DrillCase } from './drill-case.ts';

/** How the pieces of one maker and packaging generation look. */
export interface TellsOf {
  readonly title: string;
  readonly tells: readonly Pick<Tell, 'title' | 'look' | 'genuine' | 'suspect'>[];
}

/**
 * Signs of one maker and generation: which of them speaks against a piece. What condemns the one is right on another: there is no
 * general rule. Proof: Reference.
 */
export function tellCase(references: readonly TellsOf[], draw: Draw): DrillCase | undefined {
  const reference = drawn(
    references.filter(({ tells }) => tells.length > 2),
    draw,
  );
  const tell = reference && drawn(reference.tells, draw);
  if (!tell) return undefined;
  const says = ({ title }: { title: string }, how: string) => `${title}: ${how}`;
  const among = choicesAmong(
    says(tell, tell.suspect),
    reference.tells.filter((one) => one !== tell).map((one) => says(one, one.genuine)),
    draw,
  );
  return (
    among && {
      topic: 'tells',
      asks: 'Which of these speaks against it?',
      facts: [{ label: 'In hand', says: reference.title }],
      rows: [],
      ...among,
      why: [
        `${tell.title}: on a genuine piece “${lowerFirst(tell.genuine)}”; “${lowerFirst(tell.suspect)}” speaks against it.`,
        tell.look,
        'One sign proves nothing: it is weighed with the others, and another maker’s genuine print may look like this one’s suspect.',
      ],
    }
  );
}
