import { FACTS, type FactId, type FactSheet } from '../facts/facts.ts';
import type { Span } from '../facts/fact-shapes.ts';
import type { Check, CheckExample } from '../fitment/define-check.ts';
import type { Finding } from '../fitment/finding.ts';
import type { Say } from '../fitment/say.ts';
import { PLUG_CHECKS } from '../plugs/plug-checks.ts';
import { drawn, type Draw, type DrillCase, type DrillFact } from './drill-case.ts';
import { toldRow } from './told-row.ts';

/** Outcomes that a check can come to, as they are asked for. */
const OUTCOME_CHOICES = [
  { id: 'match', says: 'Match' },
  { id: 'acceptable', says: 'Acceptable, with advice' },
  { id: 'caution', says: 'Caution' },
  { id: 'refuse', says: 'Refuse' },
] as const;
const isAsked = ({ outcome }: Finding): boolean => OUTCOME_CHOICES.some(({ id }) => id === outcome);

const sheetOf = (facts: CheckExample['facts']): FactSheet =>
  Object.fromEntries(
    Object.entries(facts).map(([id, value]) => [
      id,
      { ruling: [{ value, source: { rank: 'engine-maker', name: 'practice' } }] },
    ]),
  );

/** A fact of an example in few words; undefined where it takes more, as a whole heat scale. */
function inWords(id: FactId, value: unknown, say: Say): string | undefined {
  const { printedAs } = FACTS[id];
  if (typeof value === 'number') return printedAs ? say.quantity(printedAs, value) : String(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value;
  const span = value as Partial<Span> | null;
  return printedAs && typeof span?.low === 'number' && typeof span.high === 'number'
    ? say.span(printedAs, span as Span)
    : undefined;
}

const WHOSE: Readonly<Record<string, string>> = { plug: 'Plug', position: 'Engine', rule: 'House rule' };

/** What else the check looks at, besides what it holds against each other. */
const factsOf = (facts: CheckExample['facts'], { told }: Finding, say: Say): DrillFact[] =>
  Object.entries(facts).flatMap(([id, value]) => {
    const says = inWords(id as FactId, value, say);
    return says === undefined || says === told.asked || says === told.has
      ? []
      : [{ label: `${WHOSE[id.split('.')[0]!] ?? 'Job'}: ${FACTS[id as FactId].label}`, says }];
  });

/**
 * One check of a plug by itself: what the difference amounts to. Made of the check's own worked examples and judged by the check.
 * Each outcome that the check can come to is as likely as another.
 */
export function oneCheckCase(draw: Draw, say: Say, checks: readonly Check[] = PLUG_CHECKS): DrillCase | undefined {
  const check = drawn(checks, draw);
  if (!check) return undefined;
  const judged = check.examples
    .map(({ facts }) => ({ facts, finding: check.ask(sheetOf(facts), say) }))
    .filter(({ finding }) => isAsked(finding));
  const outcome = drawn([...new Set(judged.map((one) => one.finding.outcome))], draw);
  const example = drawn(
    judged.filter((one) => one.finding.outcome === outcome),
    draw,
  );
  if (!example) return undefined;
  const { facts, finding } = example;
  return {
    topic: 'one-check',
    asks: `${check.title}: what does it come to?`,
    facts: factsOf(facts, finding, say),
    rows: [toldRow(check.title, finding)],
    choices: OUTCOME_CHOICES,
    right: finding.outcome,
    why: [finding.told.says, ...(finding.told.toDo === null ? [] : [finding.told.toDo]), check.why],
  };
}
