import { inPacks } from '@brackenfell/core/slip/line-quantity';
import { agreedInterval } from '@brackenfell/core/duty/agreed-interval';
import { withFactoryBoost } from '@brackenfell/core/duty/duty';
import { rulingValue } from '@brackenfell/core/facts/facts';
import { lifeAtPositionKm } from '@brackenfell/core/plugs/electrode-wear';
import { intervalOf } from '@brackenfell/core/service-plan/running-hours';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import type { HandOver } from '@brackenfell/contract/hand-over';
import type { JudgedCandidate, JudgedEngine } from '../tray/judge-plugs.ts';

/** So many are laid side by side; the tray's order says which. */
const MOST_OPTIONS = 5;

/** How long a set is agreed to last at the hardest of its places, km: by the shop's rule, the duty, and its own life there. */
function lastsKm({ positions, ruling }: JudgedEngine, { place, sheet }: JudgedCandidate): number | undefined {
  const agreed = positions
    .filter((position) => position.place === place)
    .map(({ sheet: paper }) => {
      const life = lifeAtPositionKm({
        polarity: rulingValue(paper, 'position.polarity') ?? 'forward',
        centre: rulingValue(sheet, 'plug.centreMaterial'),
        ground: rulingValue(sheet, 'plug.groundMaterial'),
        gapMm: rulingValue(paper, 'position.gapMm'),
        aspiration: rulingValue(paper, 'position.aspiration'),
        statedLifeKm: rulingValue(sheet, 'plug.lifeKm'),
        statedReversedKm: rulingValue(sheet, 'plug.lifeReversedKm'),
      });
      const { km: makers } = intervalOf(
        rulingValue(paper, 'position.intervalKm'),
        rulingValue(paper, 'position.intervalHours'),
      );
      const duty = withFactoryBoost(ruling.duty, paper);
      return agreedInterval(ruling.settle(paper, sheet).rules.interval, duty, { makers, life })?.value;
    });
  return agreed.some((km) => km === undefined) || agreed.length === 0 ? undefined : Math.min(...(agreed as number[]));
}

/** Plugs that could be sold here, with what a set costs and how long it lasts: those on the slip first among them. */
export function optionsOf(judged: JudgedEngine, onSlip: ReadonlySet<string>): HandOver['options'] {
  const sellable = judged.candidates.filter(
    ({ judgement: { verdict } }) => verdict === 'sell' || verdict === 'sell-with-advice',
  );
  const inOrder = [
    ...sellable.filter(({ part }) => onSlip.has(part.id)),
    ...sellable.filter(({ part }) => !onSlip.has(part.id)),
  ];
  return inOrder
    .flatMap((candidate) => {
      const { part, servedAt, judgement } = candidate;
      const lasts = lastsKm(judged, candidate);
      if (part.each_minor === null || lasts === undefined) return [];
      return [
        {
          partId: part.id,
          printed: part.printed,
          maker: part.maker,
          setMinor: part.each_minor * inPacks(servedAt.length, part.pack_of),
          lastsKm: lasts,
          onHand: part.on_hand ?? 0,
          isOnSlip: onSlip.has(part.id),
          verdict: VERDICT_WORDS[judgement.verdict],
        },
      ];
    })
    .slice(0, MOST_OPTIONS);
}
