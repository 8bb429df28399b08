import { useMemo, useState } from 'react';
import { toast } from '../controls/toast.ts';
import type { GapDesk, GapStage, PieceOfBox } from '@brackenfell/core/gap/gap-desk';
import { deskOf, gapAskedOf } from '@brackenfell/core/set-up/set-up-points';
import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useUnsent } from '../counter/use-unsent.ts';
import { useDevice } from '../measuring/use-device.ts';
import { standingGaps } from './standing-gaps.ts';

/** What the next reading of a piece is of: as delivered, or after it was set. */
const nextStage = ({ state, afterMm }: PieceOfBox): GapStage =>
  state.kind === 'not-measured' || (afterMm === undefined && state.kind !== 'to-set') ? 'before' : 'after';

/** The piece whose turn it is after one was read: itself while it is to be set, then the next that is asked for. */
export function turnAfter({ pieces, toMeasure }: GapDesk, picked: number): number {
  const waits = (piece: PieceOfBox) => toMeasure.includes(piece.piece) || piece.state.kind === 'to-set';
  const order = [...pieces.slice(picked), ...pieces.slice(0, picked)];
  return (order.find((piece) => toMeasure.includes(piece.piece)) ?? order.find(waits))?.piece ?? picked;
}

/** A series of gap readings of a line's plugs, from the gauge or typed: each is written down here before it is sent. */
export function useGapSeries(slip: Slip, line: SlipLine, mayWrite: boolean) {
  const write = useSlipWrite();
  const unsent = useUnsent(slip.slipId);
  const [chosen, pick] = useState<number>();
  const gaps = useMemo(() => standingGaps(line.lineId, line.gaps, unsent), [line, unsent]);
  const asked = useMemo(() => gapAskedOf(line.setUp), [line]);
  const desk = useMemo(() => deskOf({ quantity: line.quantity, figures: line.setUp, gaps }), [line, gaps]);
  const picked = chosen !== undefined && chosen <= line.quantity ? chosen : turnAfter(desk, line.quantity);
  const piece = desk.pieces[picked - 1];
  const stage = piece ? nextStage(piece) : 'before';
  const setTo = piece?.state.kind === 'to-set' ? piece.state.move.setToMm : undefined;
  const { device, state } = useDevice('gauge', {
    quantity: 'gapMm',
    nominal: (stage === 'after' ? (setTo ?? piece?.afterMm) : asked.deliveredMm) ?? asked.range?.low ?? 0.9,
    batchCode: stage === 'after' ? 'set by hand' : (line.batch?.code ?? ''),
    piece: picked,
  });
  const params = { slipId: slip.slipId, lineId: line.lineId };

  const note = (gapMm: number, how: 'gauged' | 'typed') => {
    if (!piece || !mayWrite) return;
    const body = { piece: picked, stage, gapMm, how, ...(how === 'gauged' && device ? { device: device.name } : {}) };
    write.mutate(slipCall('addGapReading', { params, body }, `gap of plug ${picked}: ${gapMm} mm`));
    const after = deskOf({
      quantity: line.quantity,
      figures: line.setUp,
      gaps: [...gaps, { piece: picked, stage, gapMm }],
    });
    pick(turnAfter(after, picked));
  };
  const take = () => {
    if (state?.kind !== 'reading')
      toast.error(`Nothing was taken: ${state ? state.why : 'the gauge is not ready'}. What was taken before stays.`);
    else if (!state.steady) toast('Not steady yet: hold it still and press again.');
    else note(Number(state.value.toFixed(2)), 'gauged');
  };
  /** The piece goes back, and another lies in its place: nothing of the first is kept on it. */
  const putAnother = () => {
    if (!mayWrite || !gaps.some((gap) => gap.piece === picked)) return;
    write.mutate(
      slipCall(
        'withdrawGapReading',
        { params, body: { piece: picked, which: 'all' } },
        `another in place of plug ${picked}`,
      ),
    );
    pick(picked);
  };
  const move = (by: number) => pick(Math.max(1, Math.min(line.quantity, picked + by)));
  const waiting = new Set(
    unsent
      .filter(({ request }) => request.params?.lineId === line.lineId && request.body?.piece !== undefined)
      .map(({ request }) => Number(request.body!.piece)),
  );
  return { asked, desk, gaps, picked, piece, stage, device, state, pick, move, note, take, putAnother, waiting };
}

export type GapSeries = ReturnType<typeof useGapSeries>;
