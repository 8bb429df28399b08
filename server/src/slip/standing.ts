import { isHeld } from '@brackenfell/core/authenticity/batch-states';
import { FACTS, factNow, type FactId } from '@brackenfell/core/facts/facts';
import { openMatters, type LineStanding } from '@brackenfell/core/slip/open-matters';
import { piecesToReturn } from '@brackenfell/core/set-up/set-up-points';
import type { OpenMatter } from '@brackenfell/contract/open-matter';
import type { LineRow } from './line-store.ts';

/** A stored line as far as it matters whether it may be collected. */
export function lineStanding(line: LineRow): LineStanding {
  const blocking = (line.findings ?? []).filter(({ outcome, blocks }) => outcome === 'unknown' && blocks);
  return {
    lineId: line.id,
    partId: line.part_id,
    printed: line.printed,
    kind: line.kind,
    quantity: line.quantity,
    isSundry: line.part_kind === 'sundry',
    heldByReading: line.held_by_reading,
    verdict: line.verdict,
    isReleased: line.released_by !== null,
    questions: blocking.map(({ told, missing }) => ({
      says: told.toDo ?? told.says,
      facts: missing.flatMap(({ id }) => (id ? [factNow(id)] : [])),
    })),
    batch:
      line.batch_id === null
        ? null
        : { code: line.batch_code!, isHeld: isHeld(line.batch_state), onHand: line.batch_on_hand! },
    piecesToReturn: piecesToReturn({ quantity: line.quantity, figures: line.set_up ?? [], gaps: line.gaps }),
    heldOnShelf: Number(line.held_on_shelf ?? 0),
    keptForOthers: Number(line.kept_for_others ?? 0),
    onHand: line.on_hand ?? 0,
  };
}

/** Everything that keeps these lines from being collected. */
export const openOf = (lines: readonly LineRow[]): OpenMatter[] =>
  openMatters(lines.map(lineStanding)).map(({ facts, ...matter }) => ({
    ...matter,
    facts: [...facts] as FactId[],
    answeredHere: (facts as readonly FactId[]).some((fact) => FACTS[fact].answer !== undefined),
  }));
