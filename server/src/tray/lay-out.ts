import { PLUG_CHECKS } from '@brackenfell/core/plugs/plug-checks';
import type { FactSheet } from '@brackenfell/core/facts/facts';
import { judgeOverPositions, weighFindings, type LineJudgement } from '@brackenfell/core/fitment/judge-part';
import { judgePlug } from '@brackenfell/core/plugs/judge-plug';
import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import { Explainer } from '@brackenfell/core/plugs/screening/explain';
import type { PlugColumns } from '@brackenfell/core/plugs/screening/plug-columns';
import { Screen, type ScreenedPlugs } from '@brackenfell/core/plugs/screening/screen';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { VERDICTS, worstVerdict, type Evidence } from '@brackenfell/core/fitment/verdict';
import { withReadings } from '@brackenfell/core/slip/piece-readings';
import type { FoundHere } from '../reading/store.ts';
import { alikePositions, type Asked } from './asked.ts';
import type { Ruling } from '../ruling/ruling.ts';
import { UNCONNECTED, type ScreenedBySize, type ScreenedCandidate } from './pick-candidates.ts';

const NOTHING_FOUND_HERE: FoundHere = { ofVehicle: [], ofPart: new Map(), ofRules: [] };
const PLAIN = sayIn('metric');

/**
 * What is needed to screen and to explain plugs for an engine. What was found on the vehicle is laid over what the engine
 * asks before rules and duty speak; a plug that was read is judged by itself, with its readings over its figures.
 */
export function layOut(plugs: PlugColumns, asked: Asked, ruling: Ruling, found: FoundHere = NOTHING_FOUND_HERE) {
  const groups = alikePositions(asked.positions).map((positions) => {
    const facts = ruling.apply(withReadings(positions[0]!.sheet, found.ofVehicle));
    return { positions, place: positions[0]!.place, facts, screen: new Screen(plugs, facts) };
  });
  const places = [...new Set(groups.map(({ place }) => place))];
  const groupsAt = (place: string) => groups.filter((group) => group.place === place);

  const sheetOf = (id: string): FactSheet =>
    withReadings(found.asIf?.get(id) ?? plugs.sheetOf(plugs.placeOf(id)!), found.ofPart.get(id) ?? []);
  const isApart = (id: string) => found.ofPart.has(id) || (found.asIf?.has(id) ?? false);
  const judgeRead = (id: string, facts: FactSheet, evidence: Evidence, say: Say) =>
    judgePlug({ ...sheetOf(id), ...facts }, evidence, say);

  /** Where a cylinder's places ask different plugs, a plug is for the place it suits best and is judged there. */
  function screen(id: string): ScreenedCandidate {
    const plug = plugs.placeOf(id)!;
    return places
      .map((place): ScreenedCandidate => {
        const evidence = asked.evidenceAt(place, id);
        const judged = groupsAt(place).map(({ facts, screen: columns }) =>
          isApart(id) ? judgeRead(id, facts, evidence, PLAIN) : columns.judge(plug, evidence),
        );
        const verdict = worstVerdict(judged.map((j) => j.verdict));
        return { id, place, evidence, verdict, closeness: Math.max(...judged.map((j) => j.closeness)) };
      })
      .reduce((a, b) => (soonerSold(b, a) ? b : a));
  }

  /** Plugs that nothing but their size speaks for. */
  function screenAll(ofSize: Uint32Array): ScreenedBySize {
    const perPlace = places.map((place) =>
      groupsAt(place)
        .map((group) => group.screen.judgeAll(ofSize, UNCONNECTED))
        .reduce(worstOfBoth),
    );
    const best = new Uint8Array(ofSize.length);
    const [verdicts, closeness] = [new Uint8Array(ofSize.length), new Float64Array(ofSize.length)];
    for (let i = 0; i < ofSize.length; i += 1) {
      for (let place = 1; place < perPlace.length; place += 1)
        if (isSooner(perPlace[place]!, perPlace[best[i]!]!, i)) best[i] = place;
      verdicts[i] = perPlace[best[i]!]!.verdicts[i]!;
      closeness[i] = perPlace[best[i]!]!.closeness[i]!;
    }
    const candidate = (i: number): ScreenedCandidate => ({
      id: plugs.ids[ofSize[i]!]!,
      place: places[best[i]!]!,
      evidence: UNCONNECTED,
      verdict: VERDICTS[verdicts[i]!]!,
      closeness: closeness[i]!,
    });
    return { verdicts, closeness, candidate };
  }

  function explainIn(units: UnitDisplay) {
    const say = sayIn(units);
    const explainers = groups.map(({ screen }) => new Explainer(screen, say));
    return (id: string, sheet: FactSheet, place: string): LineJudgement => {
      const plug = plugs.placeOf(id)!;
      const evidence = asked.evidenceAt(place, id);
      return judgeOverPositions(
        groups.flatMap((group, i) => {
          if (group.place !== place) return [];
          const judgement = isApart(id)
            ? judgeRead(id, group.facts, evidence, say)
            : weighFindings(PLUG_CHECKS, explainers[i]!.findingsOf(plug, sheet), evidence);
          return [{ labels: group.positions.map(({ label }) => label), judgement }];
        }),
      );
    };
  }
  return { screen, screenAll, explainIn, sheetOf };
}

function worstOfBoth(a: ScreenedPlugs, b: ScreenedPlugs): ScreenedPlugs {
  return {
    verdicts: a.verdicts.map((verdict, i) => Math.min(verdict, b.verdicts[i]!)),
    closeness: a.closeness.map((near, i) => Math.max(near, b.closeness[i]!)),
  };
}

const isSooner = (a: ScreenedPlugs, b: ScreenedPlugs, i: number): boolean =>
  a.verdicts[i]! > b.verdicts[i]! || (a.verdicts[i] === b.verdicts[i] && a.closeness[i]! < b.closeness[i]!);
const soonerSold = (a: ScreenedCandidate, b: ScreenedCandidate): boolean =>
  VERDICTS.indexOf(a.verdict) > VERDICTS.indexOf(b.verdict) || (a.verdict === b.verdict && a.closeness < b.closeness);
