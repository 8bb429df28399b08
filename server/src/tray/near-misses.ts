import { PLUG_CHECKS } from '@brackenfell/core/plugs/plug-checks';
import { sayIn } from '@brackenfell/core/fitment/say';
import { Explainer } from '@brackenfell/core/plugs/screening/explain';
import { fewerRefusals, nearMisses, screenAll } from '@brackenfell/core/plugs/screening/near-miss';
import { Screen } from '@brackenfell/core/plugs/screening/screen';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { NearMisses } from '@brackenfell/contract/tray';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { alikePositions, readAsked } from './asked.ts';
import { readRuling } from '../ruling/ruling.ts';
import { readStock } from '../stock/store.ts';

const MOST_OF_A_CHECK = 6;

/** Of all plugs those that one check alone keeps out of an engine. Undefined without such an engine. */
export async function findNearMisses(
  context: Context,
  engineId: string,
  units: UnitDisplay,
  db: Database,
): Promise<NearMisses | undefined> {
  const held = await context.sheets.withPlugs(db);
  const { plugs, titles } = held;
  const asked = await readAsked(context, db, 'plug', { engineId }, held);
  if (!asked) return undefined;
  const ruling = await readRuling(db, {});
  const groups = alikePositions(asked.positions).map((positions) => {
    const screen = new Screen(plugs, ruling.apply(positions[0]!.sheet));
    return { place: positions[0]!.place, screen, misses: screenAll(plugs, screen) };
  });
  // A plug has to suit every position of a place; where places differ, one of them.
  const perPlace = [...new Set(groups.map(({ place }) => place))].map((place) =>
    groups.flatMap((g) => (g.place === place ? [g.misses] : [])).reduce((a, b) => a.map((m, i) => m | b[i]!)),
  );
  const near = nearMisses(perPlace.reduce(fewerRefusals), MOST_OF_A_CHECK);
  const stock = await readStock(db, [...new Set(near.flatMap(({ nearest }) => nearest.map((at) => plugs.ids[at]!)))]);
  const explainers = groups.map(({ screen }) => new Explainer(screen, sayIn(units)));
  const phrase = (plug: number, check: number): string =>
    explainers.map((explainer) => explainer.findingsOf(plug)[check]!).find(({ outcome }) => outcome === 'refuse')?.told
      .phrase ?? '';
  return {
    considered: plugs.count,
    byCheck: near.map(({ check, count, nearest }) => {
      const place = PLUG_CHECKS.findIndex(({ id }) => id === check);
      return {
        check,
        title: PLUG_CHECKS[place]!.title,
        count,
        nearest: nearest
          .map((at) => ({
            partId: plugs.ids[at]!,
            ...titles[at]!,
            onHand: stock.get(plugs.ids[at]!)?.on_hand ?? 0,
            phrase: phrase(at, place),
          }))
          .sort((a, b) => Number(b.onHand > 0) - Number(a.onHand > 0)),
      };
    }),
  };
}
