import type { PlugFacts, PositionFacts } from '@brackenfell/contract/catalogue-file';
import { checkDigit } from '@brackenfell/core/part-numbers/barcode';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import type { EngineTraits } from '@brackenfell/core/identification/traits';
import { USUAL } from '../engines/position-forms.ts';
import {
  DOUBLE_IRIDIUM,
  DOUBLE_PLATINUM,
  LONG_12,
  NICKEL,
  OLD_14,
  SHORT_14,
  SINGLE_IRIDIUM,
  SLIM_14,
  TAPER_18,
} from '../plugs/family.ts';
import { largeMakers, makeNumber, type NumberingMaker } from './numbering.ts';
import { chance, type Chance } from './random.ts';

/** A heat scale every large maker has of its own, hot to cold: codes 1 to 7, a little apart from maker to maker. */
const HEAT_CODES = 7;
const indexOf = (maker: number, code: number): number => 11.5 + code * 1.35 + (maker % 5) * 0.06;

/** A plug of the large world is one of these shapes with a heat rating; a cluster shares its shape. */
const FORMS: readonly PlugFacts[] = [SLIM_14, LONG_12, OLD_14, SHORT_14, TAPER_18].flatMap((form) =>
  [DOUBLE_PLATINUM, DOUBLE_IRIDIUM, NICKEL, SINGLE_IRIDIUM].flatMap((material) =>
    [0.65, 0.75, 0.85, 1.05].map((gapMm) => ({ ...form, ...material, 'plug.gapMm': gapMm })),
  ),
);
const REACHES = [9.5, 12.7, 17.5, 19, 26.5];
export const SHAPES: readonly PlugFacts[] = FORMS.flatMap((form) =>
  REACHES.map((reachMm) => ({ ...form, 'plug.reachMm': reachMm })),
);

export interface LargePart {
  readonly id: number;
  readonly maker: number;
  readonly kind: 'plug' | 'oe-number';
  readonly cluster: number;
  readonly number: string;
  readonly names: readonly { readonly kind: 'stamping' | 'stock' | 'barcode'; readonly printed: string }[];
  /** Index into SHAPES, and the heat code of the maker's own scale; plugs alone. */
  readonly shape: number;
  readonly heat: number;
  readonly onHand: number;
}

export interface LargeReference {
  readonly from: number;
  readonly to: number;
  readonly fromCluster: number;
  readonly toCluster: number;
  readonly grade: 'same' | 'supersedes' | 'equivalent' | 'alternative' | 'observed';
}

export interface LargeEngine {
  readonly id: string;
  readonly maker: string;
  readonly code: string;
  readonly summary: string;
  readonly visits: number;
  readonly facts: PositionFacts;
  readonly cylinders: number;
  readonly traits: EngineTraits;
  readonly named: readonly number[];
  readonly vehicles: readonly { make: string; model: string; from: number; to: number | null }[];
}

export interface LargeWorld {
  readonly makers: readonly NumberingMaker[];
  readonly heatScales: readonly { maker: string; codes: readonly { code: string; indexBar: number }[] }[];
  readonly parts: readonly LargePart[];
  /** Parts with thousands of alternatives each. */
  readonly hubs: readonly number[];
  /** Clusters in which one plug's reach was made to differ: what an audit must find. */
  readonly planted: readonly { cluster: number; odd: number }[];
  references(): Generator<LargeReference>;
  engines(): Generator<LargeEngine>;
}

const MAKERS = 70;
const PLUG_PERCENT = 12;
const EDGES_WITHIN = 3.8;
const HUB_LINKS = 3000;

function shuffled(count: number, by: Chance): Uint32Array {
  const order = Uint32Array.from({ length: count }, (_, i) => i);
  for (let i = count - 1; i > 0; i -= 1) {
    const j = by.below(i + 1);
    [order[i], order[j]] = [order[j]!, order[i]!];
  }
  return order;
}

/**
 * The large world: `count` parts numbered on from `firstId`, with names, look-alike clusters, references and engines in
 * the proportions of a full catalogue (3.5 names and 5 references a part, 12 plugs and 4 engines in a hundred parts).
 */
export function largeWorld(seed: number, count: number, firstId: number): LargeWorld {
  const by = chance(seed);
  const makers = largeMakers(MAKERS);
  const order = shuffled(count, by);
  const clusterOf = new Uint32Array(count);
  const shapeOf = new Uint16Array(count);
  const heatOf = new Uint8Array(count);
  const clusters: number[][] = [];
  for (let at = 0; at < count;) {
    const members = [...order.subarray(at, at + 1 + by.below(15))].sort((a, b) => a - b);
    const shape = by.below(SHAPES.length);
    const heat = 1 + by.below(HEAT_CODES);
    for (const member of members) {
      clusterOf[member] = members[0]!;
      shapeOf[member] = shape;
      heatOf[member] = heat;
    }
    clusters.push(members);
    at += members.length;
  }
  const taken = new Set<string>();
  const parts: LargePart[] = [];
  for (let i = 0; i < count; i += 1) {
    const maker = by.below(MAKERS);
    let number = makeNumber(by, makers[maker]!);
    while (taken.has(normalForm(number))) number = makeNumber(by, makers[maker]!);
    taken.add(normalForm(number));
    const body = `29${String(5_000_000_000 + i)}`;
    const names: { kind: 'stamping' | 'stock' | 'barcode'; printed: string }[] = [
      { kind: 'barcode', printed: body + checkDigit(body) },
    ];
    if (by.percent(80)) names.push({ kind: 'stock', printed: `Q${String(10_000_000 + by.below(90_000_000))}` });
    if (by.percent(70)) names.push({ kind: 'stamping', printed: number.replace(/^[A-Z]+[ /-]?/, '') });
    parts.push({
      id: firstId + i,
      maker,
      kind: by.percent(PLUG_PERCENT) ? 'plug' : 'oe-number',
      cluster: firstId + clusterOf[i]!,
      number,
      names,
      shape: shapeOf[i]!,
      heat: heatOf[i]!,
      onHand: by.percent(10) ? by.below(20) : 0,
    });
  }
  const planted: { cluster: number; odd: number }[] = [];
  for (let i = 0; i < clusters.length && planted.length < count / 1000; i += 97) {
    const plugs = clusters[i]!.filter((member) => parts[member]!.kind === 'plug');
    if (plugs.length < 2) continue;
    const odd = plugs.at(-1)!;
    const form = Math.floor(parts[odd]!.shape / REACHES.length);
    const reach = parts[odd]!.shape % REACHES.length;
    parts[odd] = { ...parts[odd]!, shape: form * REACHES.length + ((reach + 2) % REACHES.length) };
    planted.push({ cluster: parts[odd].cluster, odd: parts[odd].id });
  }
  const hubs = Array.from({ length: Math.max(2, Math.floor(count / 20_000)) }, () => by.below(count));

  function* references(): Generator<LargeReference> {
    const edge = (from: number, to: number, grade: LargeReference['grade']): LargeReference => ({
      from: firstId + from,
      to: firstId + to,
      fromCluster: firstId + clusterOf[from]!,
      toCluster: firstId + clusterOf[to]!,
      grade,
    });
    for (const members of clusters) {
      // A ring of claims holds the cluster together; the other claims are between any two.
      for (let j = 1; j < members.length; j += 1)
        yield edge(members[j]!, members[by.below(j)]!, by.percent(25) ? 'same' : 'equivalent');
      if (members.length < 2) continue;
      const more = Math.round(members.length * (EDGES_WITHIN - 1)) + 1;
      for (let j = 0; j < more; j += 1) {
        const [a, b] = [by.pick(members), by.pick(members)];
        if (a !== b) yield edge(a, b, 'equivalent');
      }
    }
    for (let i = 0; i < count; i += 1) {
      // Few numbers are superseded, always by a later one, so that renamings never go round.
      if (by.percent(4) && i < count - 1) yield edge(i, i + 1 + by.below(Math.min(5000, count - i - 1)), 'supersedes');
      if (by.percent(85)) yield edge(i, by.below(count), 'alternative');
      if (by.percent(40)) yield edge(i, by.below(count), 'observed');
    }
    for (const hub of hubs) for (let i = 0; i < HUB_LINKS; i += 1) yield edge(by.below(count), hub, 'alternative');
  }

  function* engines(): Generator<LargeEngine> {
    const total = Math.floor(count * 0.04);
    for (let i = 0; i < total; i += 1) yield makeEngine(i, by, makers, parts);
  }
  return {
    makers,
    heatScales: makers.map(({ id }, maker) => ({
      maker: id,
      codes: Array.from({ length: HEAT_CODES }, (_, i) => ({ code: String(i + 1), indexBar: indexOf(maker, i + 1) })),
    })),
    parts,
    hubs: hubs.map((hub) => firstId + hub),
    planted,
    references,
    engines,
  };
}

const LAYOUT_BY_CYLINDERS = { 1: 'one', 2: 'twin', 3: 'three', 4: 'four', 6: 'vee-six', 8: 'vee-eight' } as const;

function makeEngine(
  i: number,
  by: Chance,
  makers: readonly NumberingMaker[],
  parts: readonly LargePart[],
): LargeEngine {
  const maker = makers[by.below(12)]!;
  const part = by.pick(parts);
  const shape = SHAPES[part.shape]!;
  const cylinders = by.pick([1, 2, 3, 4, 4, 4, 6, 8] as const);
  const litres = Math.round(cylinders * (3 + by.below(4))) / 10;
  const code = `${maker.own}${String(i).padStart(5, '0')}`;
  const gap = shape['plug.gapMm']!;
  const reach = shape['plug.reachMm']!;
  const leadsGo = by.pick(['coil-each', 'pack', 'cap'] as const);
  return {
    id: `large-${i}`,
    maker: maker.id,
    code,
    summary: `${litres.toFixed(1)} ${cylinders}-cylinder, petrol`,
    visits: by.below(4),
    cylinders,
    facts: {
      ...USUAL,
      'position.threadDiameterMm': shape['plug.threadDiameterMm']!,
      'position.threadPitchMm': shape['plug.threadPitchMm']!,
      'position.reachMm': { low: reach, high: reach },
      'position.headThreadMm': reach,
      'position.seat': shape['plug.seat'] === 'taper' ? 'taper' : 'gasket',
      'position.hexMm': shape['plug.hexMm']!,
      'position.wellBoreMm': 'open',
      'position.terminal': 'solid',
      'position.resistor': { kind: 'range', low: 3, high: 7.5 },
      'position.centreDesign': shape['plug.centreMaterial']!,
      'position.groundDesign': shape['plug.groundMaterial']!,
      'position.gapMm': { low: gap - 0.05, high: gap + 0.05 },
      'position.heat': { maker: makers[part.maker]!.id, codes: [String(part.heat)] },
      'position.intervalKm': 60_000,
      'position.polarity': 'forward',
    },
    traits: {
      litres,
      fuel: 'petrol',
      layout: LAYOUT_BY_CYLINDERS[cylinders],
      leadsGo,
      plugsPerCylinder: 1,
      boosted: by.percent(30),
      cooling: cylinders < 3 ? 'air' : 'water',
      ...(leadsGo === 'coil-each' ? { coilPins: by.pick([2, 3, 4]) } : {}),
    },
    named: [part.id],
    vehicles: Array.from({ length: 3 }, (_, n) => {
      const from = 1990 + by.below(33);
      return {
        make: maker.name,
        model: `${by.pick(['Heron', 'Lapwing', 'Merlin', 'Plover', 'Siskin', 'Wagtail'])} ${i}${'abc'[n]!}`,
        from,
        to: by.percent(30) ? null : from + by.below(9),
      };
    }),
  };
}
