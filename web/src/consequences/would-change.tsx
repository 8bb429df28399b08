import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { counted } from '@brackenfell/core/words/counted';
import type { Consequences } from '@brackenfell/contract/consequences';
import { Mark, VERDICT_MARK } from '../controls/mark.tsx';

interface WouldChangeProps {
  readonly found: Consequences;
  /** Parts are named where there are several. */
  readonly showParts?: boolean;
}

/** Verdicts that a change would turn, engine by engine, each with its reason. */
export function WouldChange({ found, showParts = false }: WouldChangeProps) {
  const { changes, judged, isWhole } = found;
  const beyond = isWhole ? '' : ' Only the commonest engines were looked at.';
  if (changes.length === 0)
    return (
      <p className="flex items-center gap-2">
        <Mark kind="match" />
        {judged === 0 ? 'No engine leads to it: no verdict rests on it.' : `No verdict of ${judged} changes.`}
        {beyond}
      </p>
    );
  return (
    <>
      <p className="flex items-center gap-2 font-semibold">
        <Mark kind="caution" /> {counted(changes.length, 'verdict')} of {judged} would change.{beyond}
      </p>
      <ul className="grid">
        {changes.map(({ partId, printed, engineId, engine, before, after, reason }) => (
          <li key={`${partId} ${engineId}`} className="flex flex-wrap items-center gap-2 border-t border-hair py-1">
            {showParts && <b className="num font-semibold">{printed}</b>}
            <b className="font-semibold">{engine}</b>
            <Mark kind={VERDICT_MARK[before]} /> {VERDICT_WORDS[before]} → <Mark kind={VERDICT_MARK[after]} />{' '}
            {VERDICT_WORDS[after]}
            <span className="text-soft">{reason}</span>
          </li>
        ))}
      </ul>
    </>
  );
}
