import { demoWorld } from '@brackenfell/demo/world';
import { PLUG_CHECKS } from '@brackenfell/core/plugs/plug-checks';
import type { FactSheet } from '@brackenfell/core/facts/facts';
import { ruleFacts } from '@brackenfell/core/duty/duty-facts';
import { DEFAULT_HOUSE_RULES } from '@brackenfell/core/house-rules/house-rules';
import { judgePlug } from '@brackenfell/core/plugs/judge-plug';
import { weighFindings } from '@brackenfell/core/fitment/judge-part';
import { Explainer } from '@brackenfell/core/plugs/screening/explain';
import { PlugColumns } from '@brackenfell/core/plugs/screening/plug-columns';
import { Screen } from '@brackenfell/core/plugs/screening/screen';
import { sayIn } from '@brackenfell/core/fitment/say';
import { hold } from '@brackenfell/scripts/figures';

const SECONDS = 3;
const source = { rank: 'part-maker', name: 'bench' } as const;
const scales = new Map(demoWorld.heatScales.map((s) => [s.maker, s]));

/** A sheet as the server would make it: heat codes joined to their scale. */
function sheetOf(facts: object): FactSheet {
  return Object.fromEntries(
    Object.entries(facts).flatMap(([id, recorded]) => {
      if (recorded === undefined) return [];
      let value: unknown = recorded;
      if (id === 'plug.heat') {
        const { maker, code } = recorded as { maker: string; code: string };
        value = { maker, code, indexBar: scales.get(maker)!.ratings.find((r) => r.code === code)!.indexBar };
      }
      if (id === 'position.heat') {
        const { maker, codes } = recorded as { maker: string; codes: string[] };
        value = { scale: scales.get(maker)!, codes };
      }
      return [[id, { ruling: [{ value, source }] }]];
    }),
  );
}

const plugs = demoWorld.plugs.map((plug) => sheetOf(plug.facts as object));
const rules = ruleFacts(DEFAULT_HOUSE_RULES);
// What is asked of every plug is laid together once, as it is for an engine at the counter.
const positions = demoWorld.engines.flatMap((engine) =>
  engine.positions.map((position) => ({
    ...sheetOf({ ...(engine.facts as object), ...(position.facts as object) }),
    ...rules,
  })),
);
const say = sayIn('metric');
const evidence = { named: false, listed: true };

let judged = 0;
const end = performance.now() + SECONDS * 1000;
const start = performance.now();
while (performance.now() < end) {
  for (const plug of plugs) {
    for (const position of positions) {
      judgePlug({ ...plug, ...position }, evidence, say);
      judged += 1;
    }
  }
}
const seconds = (performance.now() - start) / 1000;
console.log(
  `${plugs.length} plugs × ${positions.length} positions, ${PLUG_CHECKS.length} checks each with sentences, one core`,
);
hold({
  what: 'plugs judged one by one with sentences, a second and core',
  value: judged / seconds,
  target: 12_000,
  before: 3900,
  atLeast: true,
});

// As a tray does it: what a check finds of a combination of facts is worded once and shared. Nothing is kept from round to round.
let inTrays = 0;
const begun = performance.now();
while (performance.now() < begun + SECONDS * 1000) {
  const columns = new PlugColumns();
  for (const [i, plug] of plugs.entries()) columns.set(String(i), plug);
  for (const position of positions) {
    const explainer = new Explainer(new Screen(columns, position), say);
    for (let plug = 0; plug < plugs.length; plug += 1) {
      weighFindings(PLUG_CHECKS, explainer.findingsOf(plug), evidence);
      inTrays += 1;
    }
  }
}
hold({
  what: 'plugs of whole trays judged with sentences, a second and core',
  value: (inTrays * 1000) / (performance.now() - begun),
  target: 12_000,
  atLeast: true,
});
