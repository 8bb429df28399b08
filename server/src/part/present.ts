import type { MakersInstruction } from '@brackenfell/core/facts/makers-instruction';
import { sayTurn } from '@brackenfell/core/torque/settle-turn';
import { CONDITION_WORDS, type TorqueStatement, type TurnStatement } from '@brackenfell/core/facts/torque-statements';
import { FACTS, type FactId, type FactSheet } from '@brackenfell/core/facts/facts';
import type { Mounting, Secondary } from '@brackenfell/core/facts/coil-facts';
import type { Lead } from '@brackenfell/core/facts/lead-facts';
import { BOOT_WORDS } from '@brackenfell/core/leads/say-route';
import {
  decodeNumber,
  mismatches,
  type NumberGrammar,
  type RecordedFigure,
} from '@brackenfell/core/part-numbers/grammar';
import type { Say } from '@brackenfell/core/fitment/say';
import type { PartCard } from '@brackenfell/contract/part';

/** A plug's fact in plain words for its card. */
export function printFact(fact: FactId, value: unknown, say: Say): string {
  const { printedAs } = FACTS[fact];
  if (typeof value === 'number') return printedAs ? say.quantity(printedAs, value) : String(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value;
  if (fact === 'leads.set')
    return (value as readonly Lead[])
      .map(
        (lead) =>
          `${say.quantity('lead-length', lead.lengthMm)} ${lead.coilLead ? 'to the coil' : BOOT_WORDS[lead.boot]}`,
      )
      .join('; ');
  if (Array.isArray(value)) return value.join(', ');
  if (fact === 'coil.mounting') {
    const { holes, spacingMm, threadMm } = value as Mounting;
    return `${holes} × M${threadMm}${holes > 1 ? `, ${say.quantity('length', spacingMm)} apart` : ''}`;
  }
  if (fact === 'coil.secondary') {
    const secondary = value as Secondary;
    return secondary.kind === 'kohm' ? say.quantity('coil-secondary', secondary.kohm * 1000) : 'not measurable';
  }
  const held = value as { state?: string; successor?: string } & Record<string, unknown>;
  if (fact === 'plug.heat') return `${String(held.code)} = ${(held.indexBar as number).toFixed(1)} bar`;
  if (fact.endsWith('.supply'))
    return held.successor ? `${held.state ?? ''}, now ${held.successor}` : (held.state ?? '');
  if (fact === 'plug.gapAdjust')
    return held.kind === 'fixed' ? 'not to be set' : `up to ${say.quantity('gap', held.mm as number)}`;
  if (fact === 'plug.resistor')
    return held.kind === 'value'
      ? say.quantity('plug-resistor', (held.kohm as number) * 1000)
      : held.kind === 'none'
        ? 'none'
        : 'present, value unpublished';
  if (fact === 'plug.torque') {
    const { lowNm, highNm, condition } = value as TorqueStatement;
    return `${say.span('plug-torque', { low: lowNm, high: highNm })}, ${CONDITION_WORDS[condition]}`;
  }
  if (fact === 'plug.turn') return sayTurn(value as TurnStatement);
  if (fact === 'plug.instructs') return (value as MakersInstruction).says;
  return String(held.kind);
}

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
