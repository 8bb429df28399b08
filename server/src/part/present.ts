import { FACTS, type FactId, type FactSheet } from '@brackenfell/core/facts/facts';
import {
  decodeNumber,
  mismatches,
  type NumberGrammar,
  type RecordedFigure,
} from '@brackenfell/core/part-numbers/grammar';
import type { Say } from '@brackenfell/core/fitment/say';
import type { PartCard } from '@brackenfell/contract/part';
import { printFact } from './print-fact.ts';

const IN_ORDER = Object.keys(FACTS) as FactId[];

/** Every figure of a plug with its sources, ruling ones first. */
export function factLines(sheet: FactSheet, say: Say): PartCard['facts'] {
  return IN_ORDER.flatMap((fact) => {
    const entry = sheet[fact];
    if (!entry) return [];
    const line =
      (ruling: boolean) =>
      ({ value, source }: { value: unknown; source: PartCard['facts'][number]['sources'][number] }) => ({
        label: FACTS[fact].label,
        value: printFact(fact, value, say),
        sources: [source],
        ruling,
      });
    return [...entry.ruling.map(line(true)), ...(entry.questioning ?? []).map(line(false))];
  });
}

const say = (figure: { low?: number; high?: number; code?: string }): string =>
  [
    figure.code,
    figure.low === undefined ? '' : figure.low === figure.high ? figure.low : `${figure.low}–${figure.high ?? ''}`,
  ]
    .filter((word) => word !== undefined && word !== '')
    .join(' ');

/** A number read by its maker's scheme, and what is recorded of the part that contradicts it. */
export function decodedView(
  printed: string,
  grammar: NumberGrammar | undefined,
  recorded: readonly RecordedFigure[],
): PartCard['decoded'] {
  if (!grammar) return null;
  const decoded = decodeNumber(printed, grammar);
  if (decoded.kind !== 'decoded') return null;
  return {
    scheme: grammar.title,
    fields: decoded.fields
      .filter(({ code, facts }) => code !== '' || facts.length > 0)
      .map(({ title, code, printedFrom, printedTo, says, known }) => ({
        title,
        code,
        from: printedFrom,
        to: printedTo,
        says,
        known,
      })),
    mismatches: mismatches(decoded, recorded).map(({ field, fact, decoded: said, recorded: held }) => ({
      field,
      says: `${FACTS[fact as FactId].label}: the number says ${say(said)}, ${held.source} says ${say(held)}`,
    })),
  };
}
