import { rulingValue, type FactId, type FactSheet } from '../facts/facts.ts';
import { CLUSTER_RULES, type AuditedPlug } from './rules.ts';

/** What a plug is compared by; null where several figures of one rank rule, or none. */
export function auditedPlug(sheet: FactSheet): AuditedPlug {
  const only = <K extends FactId>(fact: K) =>
    sheet[fact]?.ruling.length === 1 ? (rulingValue(sheet, fact) ?? null) : null;
  return {
    threadDiameterMm: only('plug.threadDiameterMm'),
    threadPitchMm: only('plug.threadPitchMm'),
    reachMm: only('plug.reachMm'),
    seat: only('plug.seat'),
    hexMm: only('plug.hexMm'),
    resistor: only('plug.resistor')?.kind ?? null,
    heatIndexBar: null,
    heatStepBar: null,
  };
}

/** Where the dimensions contradict a reference that calls two plugs equal: `reach 19.0 mm ≠ reach 26.5 mm`. */
export function contradictionOf(a: AuditedPlug, b: AuditedPlug): string | undefined {
  const rule = CLUSTER_RULES.find(({ isKnown, differs }) => isKnown(a) && isKnown(b) && differs(a, b));
  return rule && `${rule.say(a)} ≠ ${rule.say(b)}`;
}

/**
 * Along a trail, which step the dimensions contradict: each number whose facts are known is held against the last known one
 * before it, for an engine maker's number has none of its own.
 */
export function contradictedSteps(plugs: readonly (AuditedPlug | undefined)[]): readonly (string | undefined)[] {
  let last: AuditedPlug | undefined;
  return plugs.map((plug) => {
    if (!plug) return undefined;
    const found = last && contradictionOf(last, plug);
    last = plug;
    return found;
  });
}
