import { CONDITION_WORDS } from '@brackenfell/core/facts/torque-statements';
import { intervalOf, sayServed } from '@brackenfell/core/service-plan/running-hours';
import type { FactId, FactSheet, FactSource } from '@brackenfell/core/facts/facts';
import { FACTS, rulingValue } from '@brackenfell/core/facts/facts';
import { heatIndexBar } from '@brackenfell/core/heat-range/heat-scale';
import type { Say } from '@brackenfell/core/fitment/say';
import type { EnginePlan } from '@brackenfell/core/engine-plan/engine-plan';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { EngineCard, RequirementLine } from '@brackenfell/contract/engine';
import { printCount } from '@brackenfell/core/words/counted';
import { form, type LineForm, type Values } from './line-form.ts';
import { OTHER_LINES } from './other-lines.ts';

/** One position of an engine with what it asks. */
export interface AskedPosition {
  readonly label: string;
  readonly sheet: FactSheet;
}

/** Facts that many engines never state, and that are no question then. */
const MAY_BE_ABSENT: readonly FactId[] = [
  'position.shellFitted',
  'position.intervalHours',
  'position.boostKpa',
  'coilAsked.bootLengthMm',
  'coilAsked.secondaryKohm',
  'coilAsked.revisions',
];

/** Told only where somebody says something of it. */
const ONLY_WHERE_SAID: readonly string[] = ['Bore, stroke', 'Built for', 'Torque', 'Wrench', 'Head'];

/** The engine card's lines, in the order a hand meets the plug. */
const PLUG_LINES: readonly LineForm[] = [
  form('Thread', 'hole', ['position.threadDiameterMm', 'position.threadPitchMm'], true, (v) =>
    v['position.threadDiameterMm'] === undefined
      ? undefined
      : `M${v['position.threadDiameterMm']} × ${v['position.threadPitchMm'] ?? '?'}`,
  ),
  form(
    'Reach',
    'hole',
    ['position.reachMm'],
    true,
    (v, say) => v['position.reachMm'] && say.span('reach', v['position.reachMm']),
  ),
  form('Seat', 'hole', ['position.seat'], false, (v) => v['position.seat']),
  form('Depth', 'hole', ['position.oeDepthMm', 'position.pistonTopMm'], true, (v, say) => {
    const depth = v['position.oeDepthMm'];
    const pistonTop = v['position.pistonTopMm'];
    if (depth === undefined) return undefined;
    return `${say.quantity('length', depth)} of ${pistonTop === undefined ? '?' : say.quantity('length', pistonTop)}`;
  }),
  form('Hex, well', 'hole', ['position.hexMm', 'position.hexPoints', 'position.wellBoreMm'], true, (v, say) => {
    const hex = v['position.hexMm'];
    const well = v['position.wellBoreMm'];
    if (hex === undefined) return undefined;
    const points = v['position.hexPoints'] === 12 ? ' 12-pt' : '';
    return `${say.quantity('hex', hex)}${points}, ${well === 'open' ? 'open' : well === undefined ? 'well ?' : `⌀${say.quantity('length', well)}`}`;
  }),
  form(
    'Length',
    'hole',
    ['position.lengthMm'],
    true,
    (v, say) => v['position.lengthMm'] && say.span('length', v['position.lengthMm']),
  ),
  form('Terminal', 'hole', ['position.terminal'], false, (v) =>
    v['position.terminal'] === 'stud' ? 'bare stud' : v['position.terminal'],
  ),
  form(
    'Gap',
    'spark',
    ['position.gapMm'],
    true,
    (v, say) => v['position.gapMm'] && say.span('gap', v['position.gapMm']),
  ),
  form(
    'Electrode',
    'spark',
    ['position.centreDesign', 'position.groundDesign'],
    false,
    (v) => v['position.centreDesign'] && `${v['position.centreDesign']}, ground ${v['position.groundDesign'] ?? '?'}`,
  ),
  form('Polarity', 'spark', ['position.polarity'], false, (v) =>
    v['position.polarity'] === 'reverse' ? 'reversed' : v['position.polarity'],
  ),
  form('Grounds', 'spark', ['position.groundCount', 'position.groundForm'], false, (v) =>
    v['position.groundCount'] === undefined
      ? undefined
      : `${v['position.groundCount']}, ${{ 'over-tip': 'over the tip', side: 'beside', surface: 'surface' }[v['position.groundForm'] ?? 'over-tip']}`,
  ),
  form('Heat', 'spark', ['position.heat'], true, (v) => {
    const heat = v['position.heat'];
    if (!heat) return undefined;
    const bar = heatIndexBar(heat.scale, heat.codes[0]!);
    return `${heat.codes.join(', ')} = ${bar?.toFixed(1) ?? '?'} bar`;
  }),
  form('Resistor', 'spark', ['position.resistor'], true, (v, say) => {
    const asked = v['position.resistor'];
    if (!asked) return undefined;
    if (asked.kind === 'range') return say.span('plug-resistor', { low: asked.low * 1000, high: asked.high * 1000 });
    return { forbidden: 'none allowed', required: 'one, value not stated', 'none-asked': 'none asked' }[asked.kind];
  }),
  form('Bore, stroke', 'spark', ['position.boreMm', 'position.strokeMm'], true, (v, say) => {
    const [bore, stroke] = [v['position.boreMm'], v['position.strokeMm']];
    if (bore === undefined) return undefined;
    return `${say.quantity('length', bore)} × ${stroke === undefined ? '?' : say.quantity('length', stroke)}`;
  }),
  form('Built for', 'spark', ['position.compressionRatio', 'position.ratedRpm', 'position.boostKpa'], true, (v) => {
    const ratio = v['position.compressionRatio'];
    if (ratio === undefined) return undefined;
    const [rpm, boost] = [v['position.ratedRpm'], v['position.boostKpa']];
    return [
      `${ratio}:1`,
      ...(rpm === undefined ? [] : [`${printCount(rpm)} rpm`]),
      ...(boost === undefined ? [] : [`${boost} kPa boost`]),
    ].join(', ');
  }),
  form('Shell', 'rules', ['position.shellFitted'], false, (v) => v['position.shellFitted'] ?? 'no rule'),
  form('Interval', 'rules', ['position.intervalHours', 'position.intervalKm'], true, (v, say) => {
    const { km, countsIn } = intervalOf(v['position.intervalKm'], v['position.intervalHours']);
    return km === undefined ? undefined : sayServed(km, countsIn, say);
  }),
  form(
    'Head',
    'rules',
    ['position.headMetal'],
    false,
    (v) => v['position.headMetal'] && HEAD_WORDS[v['position.headMetal']],
  ),
  form('Torque', 'rules', ['position.torque'], true, (v, say) => {
    const torque = v['position.torque'];
    if (!torque) return undefined;
    return `${say.span('plug-torque', { low: torque.lowNm, high: torque.highNm })}, ${CONDITION_WORDS[torque.condition]}`;
  }),
  form('Wrench', 'rules', ['position.wrenchReaches'], false, (v) =>
    v['position.wrenchReaches'] === false ? 'does not reach: by turn' : undefined,
  ),
];

const HEAD_WORDS = { aluminium: 'aluminium', 'cast-iron': 'iron' };

/** Strongest figure of each fact, as the card prints one. */
function firstValues(sheet: FactSheet): Values {
  return Object.fromEntries(
    Object.entries(sheet).flatMap(([id, entry]) => (entry.ruling[0] ? [[id, entry.ruling[0].value]] : [])),
  );
}

function sourcesOf(sheet: FactSheet, facts: readonly FactId[]): FactSource[] {
  const sources = facts.flatMap((fact) => (sheet[fact]?.ruling ?? []).map((r) => r.source));
  return [...new Map(sources.map((s) => [`${s.rank} ${s.name}`, s])).values()];
}

/** The requirement as the card's lines; a line that differs between positions is told once per value, with where. */
export function requirementLines(
  positions: readonly AskedPosition[],
  say: Say,
  kind: PartKind = 'plug',
): RequirementLine[] {
  const lines = kind === 'plug' ? PLUG_LINES : OTHER_LINES[kind];
  return lines.flatMap(({ label, group, facts, isFigure, print, rows }) => {
    const byValue = new Map<string, { labels: string[]; sheet: FactSheet }>();
    for (const { label: at, sheet } of positions) {
      const value = print(firstValues(sheet), say, sheet) ?? '';
      const held = byValue.get(value);
      if (held) held.labels.push(...(held.labels.includes(at) ? [] : [at]));
      else byValue.set(value, { labels: [at], sheet });
    }
    if (ONLY_WHERE_SAID.includes(label) && byValue.size === 1 && byValue.has('')) return [];
    return [...byValue].map(([value, { labels, sheet }]) => {
      // A known interval in hours leaves nothing to ask in kilometres.
      const isWhole = value !== '' && facts.includes('position.intervalHours');
      const missing = isWhole
        ? undefined
        : facts.find((fact) => sheet[fact] === undefined && !MAY_BE_ABSENT.includes(fact));
      return {
        label,
        value: value === '' ? 'not known' : value,
        ...(rows && value !== '' ? { rows: rows(say, sheet) } : {}),
        sources: sourcesOf(sheet, facts),
        at: byValue.size === 1 ? [] : labels,
        isFigure: isFigure && value !== '',
        question: missing === undefined ? null : FACTS[missing].question,
        group,
      };
    });
  });
}

/** How the cylinders stand, as the wire has it. */
export const planView = (plan: EnginePlan | null): EngineCard['plan'] =>
  plan && {
    banks: plan.banks.map(({ label, cylinders }) => ({ label, cylinders: [...cylinders] })),
    firingOrder: [...plan.firingOrder],
    ...(plan.rotation ? { rotation: plan.rotation } : {}),
  };

/** What reading old parts goes by of an engine's places. */
export function oldPartFacts(sheets: readonly FactSheet[]): Pick<EngineCard, 'hasBattery' | 'gapLimitMm'> {
  const limits = sheets.flatMap((sheet) => rulingValue(sheet, 'position.gapMm')?.high ?? []);
  const batteries = sheets.map((sheet) => rulingValue(sheet, 'position.hasBattery'));
  return {
    hasBattery: batteries.find((has) => has !== undefined) ?? null,
    gapLimitMm: limits.length === 0 ? null : Math.max(...limits),
  };
}
