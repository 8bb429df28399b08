import { counted } from '@brackenfell/core/words/counted';
import { useLocation } from 'react-router';
import type { Slip } from '@brackenfell/contract/slip';
import { piecesToReturn, setUpPoints } from '@brackenfell/core/set-up/set-up-points';
import { sayIn } from '@brackenfell/core/fitment/say';
import { Mark } from '../controls/mark.tsx';
import { useEngine } from '../engine/use-engine.ts';
import { useCounter } from '../counter/use-counter.ts';

/** The stages of a slip in working order, each with what it still needs. */
export function StageStrip() {
  const { engineId, slip, go } = useCounter();
  const engine = useEngine(engineId);
  const { pathname } = useLocation();
  const openQuestions = slip.data?.open.filter(({ kind }) => kind === 'question').length ?? 0;
  const lines = slip.data?.lines.length ?? 0;
  const engineNeed = engine.data ? engine.data.code : engineId ? 'fetching' : 'which engine?';
  const partsNeed = !engineId
    ? 'needs the engine'
    : openQuestions > 0
      ? `${counted(openQuestions, 'question')} open`
      : lines > 0
        ? `${counted(lines, 'line')} on the slip`
        : 'none chosen yet';
  const proofs = slip.data?.lines.flatMap(({ proof }) => proof?.band ?? []) ?? [];
  const anySuspect = proofs.includes('suspect');
  const proofNeed = anySuspect
    ? 'suspect'
    : proofs.length > 0
      ? `${proofs.length} of ${lines} looked at`
      : lines > 0
        ? 'not looked at'
        : 'from a number';
  const { need: setUpNeed, mark: setUpMark } = sayNeed(slip.data);
  const stages = [
    { key: '1', name: 'Engine', need: engineNeed, to: '/counter/engine', mark: engineId ? 'match' : 'unknown' },
    { key: '2', name: 'Parts', need: partsNeed, to: '/counter/parts', mark: openQuestions > 0 ? 'unknown' : undefined },
    { key: '3', name: 'Proof', need: proofNeed, to: '/counter/proof', mark: anySuspect ? 'refuse' : undefined },
    { key: '4', name: 'Set-up', need: setUpNeed, to: '/counter/set-up', mark: setUpMark },
    { key: '5', name: 'Hand-over', need: lines > 0 ? 'kit, work, card' : 'needs a slip', to: '/counter/hand-over' },
    { key: '6', name: 'Old parts', need: oldNeed(slip.data), to: '/counter/old-parts' },
  ] as const;
  return (
    <nav className="strip" aria-label="Stages">
      {stages.map((stage) => {
        const inside = (
          <>
            <span className="num text-xs" aria-hidden="true">
              {stage.key}
            </span>
            <b>{stage.name}</b>
            <small>
              {'mark' in stage && stage.mark && <Mark kind={stage.mark} rem={0.625} />}
              <span className="truncate">{stage.need}</span>
            </small>
          </>
        );
        return (
          <button
            key={stage.key}
            type="button"
            aria-current={pathname === stage.to || pathname.startsWith(`${stage.to}/`) ? 'step' : undefined}
            onClick={() => go(stage.to)}
          >
            {inside}
          </button>
        );
      })}
    </nav>
  );
}

/** What was read of old parts on this slip. */
function oldNeed(slip: Slip | undefined): string {
  const kept = slip?.kept ?? [];
  if (kept.some(({ kind }) => kind === 'comeback')) return 'comeback';
  const plugs = kept.find((one) => one.kind === 'old-plugs');
  if (plugs) return `${plugs.cylinders.length} read`;
  const others = kept.find((one) => one.kind === 'old-others');
  return others ? `${others.seen.length} seen` : 'nothing read';
}

/** What setting up still needs, over all lines of plugs. */
function sayNeed(slip: Slip | undefined): { readonly need: string; readonly mark?: 'match' | 'unknown' | 'refuse' } {
  const lines = (slip?.lines ?? [])
    .filter(({ setUp }) => setUp.length > 0)
    .map(({ quantity, setUp, gaps }) => ({ quantity, figures: setUp, gaps }));
  if (lines.length === 0) return { need: 'needs a plug' };
  if (lines.some((line) => piecesToReturn(line).length > 0)) return { need: 'a plug goes back', mark: 'refuse' };
  const open = lines.flatMap((line) => setUpPoints(line, COUNTING)).length;
  return open === 0 ? { need: 'nothing open', mark: 'match' } : { need: `${open} open`, mark: 'unknown' };
}

/** Points are only counted here. */
const COUNTING = sayIn('metric');
