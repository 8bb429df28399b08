import type { Say } from '@brackenfell/core/fitment/say';
import type { PieceOfBox } from '@brackenfell/core/gap/gap-desk';
import type { StandingGap } from './standing-gaps.ts';

interface SignOffProps {
  readonly pieces: readonly PieceOfBox[];
  readonly gaps: readonly StandingGap[];
  readonly say: Say;
}

/** Who gauged what, piece by piece: as delivered, after setting, with what. */
export function SignOff({ pieces, gaps, say }: SignOffProps) {
  if (gaps.length === 0) return null;
  const of = (piece: number, stage: StandingGap['stage']) =>
    gaps.findLast((gap) => gap.piece === piece && gap.stage === stage);
  const told = (gap: StandingGap | undefined) =>
    gap ? `${say.quantity('gap', gap.gapMm)}, ${gap.device ?? 'own tool'}, ${gap.by ?? 'not sent yet'}` : '–';
  return (
    <details>
      <summary className="min-h-6 cursor-pointer text-slate">
        Signed off: {pieces.filter(({ state }) => state.kind === 'fits').length} of {pieces.length}
      </summary>
      <table className="w-full text-xs">
        <thead className="text-left text-slate">
          <tr>
            <th className="font-normal">Plug</th>
            <th className="font-normal">As delivered</th>
            <th className="font-normal">After setting</th>
          </tr>
        </thead>
        <tbody>
          {pieces.map(({ piece }) => (
            <tr key={piece} className="border-t border-hair">
              <th className="num text-left font-semibold">{piece}</th>
              <td>{told(of(piece, 'before'))}</td>
              <td>{told(of(piece, 'after'))}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
