import { rulingValue, type FactSheet } from '@brackenfell/core/facts/facts';
import { type AskedHeat } from '@brackenfell/core/facts/position-facts';
import { heatIndexBar, indexAt, placeOnScale } from '@brackenfell/core/heat-range/heat-scale';
import { heatOffsetSteps } from '@brackenfell/core/duty/duty';
import { HOUSE_RULES } from '@brackenfell/core/house-rules/house-rules';
import { capTowers } from '@brackenfell/core/engine-plan/engine-plan';
import { MOST_SLACK_MM } from '@brackenfell/core/leads/assign-leads';
import type { CoilShape, PlugShape } from '@brackenfell/contract/shapes';
import type { Drawing, DrawingOf, TrayRow } from '@brackenfell/contract/tray';
import { planView } from '../engine/present.ts';
import type { JudgedEngine } from './judge-plugs.ts';
import { capShape, coilShape, headShape, rotorShape } from './shapes.ts';

/** The target of a school, half a step either side of the required ratings, in bar on the common index. */
function targetOf(asked: AskedHeat, requiredBar: readonly number[], offsetSteps: number) {
  const places = requiredBar.map((bar) => placeOnScale(asked.scale, bar).steps + offsetSteps);
  return {
    lowBar: indexAt(asked.scale, Math.min(...places) - 0.5),
    highBar: indexAt(asked.scale, Math.max(...places) + 0.5),
  };
}

function heatView({ scales, candidates, ruling }: JudgedEngine, sheet: FactSheet): DrawingOf<'plug'>['heat'] {
  const asked = rulingValue(sheet, 'position.heat');
  const shown = new Set([asked?.scale.maker, ...candidates.map(({ part }) => part.maker)]);
  const rails = [...scales.values()]
    .filter(({ maker }) => shown.has(maker))
    .map(({ maker, ratings }) => ({ maker, ratings: [...ratings] }));
  const requiredBar = asked?.codes.map((code) => heatIndexBar(asked.scale, code)).filter((bar) => bar !== undefined);
  if (!asked || !requiredBar || requiredBar.length === 0)
    return { rails, requiredMaker: null, requiredBar: [], targetLowBar: null, targetHighBar: null, other: null };
  const { duty } = ruling;
  const { rules } = ruling.settle(sheet);
  const madeFor = rulingValue(sheet, 'position.fuel') ?? 'petrol';
  const offset = heatOffsetSteps(rules.heatWithPower, duty, madeFor);
  const target = targetOf(asked, requiredBar, offset);
  const otherSchool = HOUSE_RULES.heatWithPower.schools.find(({ id }) => id !== rules.heatWithPower)!;
  const otherOffset = heatOffsetSteps(otherSchool.id, duty, madeFor);
  return {
    rails,
    requiredMaker: asked.scale.maker,
    requiredBar,
    targetLowBar: target.lowBar,
    targetHighBar: target.highBar,
    other: otherOffset === offset ? null : { school: otherSchool.says, ...targetOf(asked, requiredBar, otherOffset) },
  };
}

/** A shape in what all builds agree on; the rest is not known, and drawn so. */
function whereAlike(shapes: readonly CoilShape[]): CoilShape {
  const [first, ...others] = shapes;
  const same = (key: keyof CoilShape) =>
    others.every((other) => JSON.stringify(other[key]) === JSON.stringify(first![key]));
  const keys = Object.keys(first!) as (keyof CoilShape)[];
  return Object.fromEntries(keys.map((key) => [key, same(key) ? first![key] : null])) as CoilShape;
}

/** What stands around a part besides plugs: the plug under a coil, the distributor above its leads. */
export interface Around {
  /** The head and the maker's own plug at the first position. */
  readonly plugAsked: FactSheet;
  readonly ownPlug: PlugShape | null;
  readonly capAsked: FactSheet | undefined;
}

/** The drawing beside a tray for one place of the engine, apart from the picked row's own shape. */
export function drawingAt(
  judged: JudgedEngine,
  place: string,
  rows: readonly TrayRow[],
  around: Around | undefined,
): Drawing {
  const here = judged.positions.filter((position) => position.place === place);
  const asked = here[0]!.sheet;
  const plan = planView(judged.engine.plan);
  const index = (around?.capAsked && rulingValue(around.capAsked, 'capAsked.indexDeg')) ?? undefined;
  const towers = plan && index !== undefined ? [...capTowers(plan, index)] : null;
  switch (judged.kind) {
    case 'plug': {
      const named = rows.find((row) => row.evidence.named && row.place === place);
      return {
        part: 'plug',
        head: headShape(asked),
        oePlug: named?.shape.part === 'plug' ? { printed: named.printed, shape: named.shape } : null,
        heat: heatView(judged, asked),
      };
    }
    case 'coil':
      return {
        part: 'coil',
        head: headShape(around?.plugAsked ?? {}),
        plug: around?.ownPlug ?? null,
        asked: whereAlike(here.map(({ sheet }) => coilShape(sheet, 'coilAsked'))),
      };
    case 'lead-set': {
      const routes = rulingValue(asked, 'leadsAsked.routes');
      return {
        part: 'lead-set',
        plan,
        routes: routes?.map((route) => ({ ...route, boots: [...route.boots] })) ?? null,
        mostSlackMm: rulingValue(asked, 'leadsAsked.mostSlackMm') ?? MOST_SLACK_MM,
        kohmPerM: rulingValue(asked, 'leadsAsked.kohmPerM') ?? null,
        towers,
      };
    }
    case 'cap':
      return { part: 'cap', asked: capShape(asked, 'capAsked'), plan, towers };
    case 'rotor':
      return {
        part: 'rotor',
        asked: rotorShape(asked, 'rotorAsked'),
        contactRadiusMm: (around?.capAsked && rulingValue(around.capAsked, 'capAsked.contactRadiusMm')) ?? null,
      };
  }
}
