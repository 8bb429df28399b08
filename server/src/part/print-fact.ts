import { BOOT_WORDS } from '@brackenfell/core/leads/say-route';
import type { Say } from '@brackenfell/core/fitment/say';
import { FACTS, type FactId } from '@brackenfell/core/facts/facts';
import type { MakersInstruction } from '@brackenfell/core/facts/makers-instruction';
import type { Lead } from '@brackenfell/core/facts/lead-facts';
import type { Mounting, Secondary } from '@brackenfell/core/facts/coil-facts';
import { CONDITION_WORDS, type TorqueStatement, type TurnStatement } from '@brackenfell/core/facts/torque-statements';
import { sayTurn } from '@brackenfell/core/torque/settle-turn';

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
