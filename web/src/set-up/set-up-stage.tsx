import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import { mayWrite } from '@brackenfell/core/slip/who-may';
import { Key } from '../controls/key.tsx';
import { useCounter } from '../counter/use-counter.ts';
import { useKeys } from '../keys/keys.ts';
import { useSession } from '../session/use-session.ts';
import { whyNotHad } from '../wire/until-back.ts';
import { SetUpDesk } from './set-up-desk.tsx';
import { useSetUp } from './use-set-up.ts';

/** Lines of plugs that are set up: sold, and the customer's own where it was not refused. */
const linesToSet = (slip: Slip): readonly SlipLine[] =>
  slip.lines.filter(({ partKind, verdict }) => partKind === 'plug' && verdict !== null && verdict !== 'refuse');

/** Gap, torque, spark and wear of the plugs on the slip. */
export function SetUpStage() {
  const { slip, slipId, engineId, search, go } = useCounter();
  const { data: me } = useSession();
  const lines = slip.data ? linesToSet(slip.data) : [];
  const at = Math.max(
    0,
    lines.findIndex(({ lineId }) => lineId === search.get('line')),
  );
  const line = lines[at];
  const show = (by: number) => {
    const next = lines[(at + by + lines.length) % lines.length];
    if (next) go('/counter/set-up', { line: next.lineId }, { replace: true });
  };
  useKeys(
    'Set-up',
    [
      { press: ']', does: 'Next line of plugs', run: () => show(1) },
      { press: '[', does: 'Line of plugs before', run: () => show(-1) },
    ],
    { active: lines.length > 1 },
  );
  if (!line || !slip.data || !engineId)
    return (
      <Waiting
        says={
          slip.error?.message ??
          (slipId && !slip.data
            ? 'Fetching the slip …'
            : engineId
              ? 'A plug is set up once it stands on the slip: gap, torque, spark and wear are reckoned for it there. Gap, torque or blades alone are answered in Sums.'
              : 'Setting up needs the engine, and a plug on the slip.')
        }
        act={
          slipId && !slip.data
            ? undefined
            : engineId
              ? { says: 'Choose the plug', key: '2', run: () => go('/counter/parts') }
              : { says: 'Choose the engine', key: '1', run: () => go('/counter/engine') }
        }
      />
    );
  return (
    <OpenLine
      key={line.lineId}
      slip={slip.data}
      line={line}
      engineId={engineId}
      others={lines.length - 1}
      mayWrite={me ? mayWrite({ ...slip.data }, me) : false}
    />
  );
}

interface WaitingProps {
  readonly says: string;
  readonly act?: { readonly says: string; readonly key: string; readonly run: () => void } | undefined;
}

function Waiting({ says, act }: WaitingProps) {
  return (
    <main className="desk-main col-span-2" aria-label="Set-up stage">
      <div className="max-w-2xl p-6">
        <h1 className="pb-2 text-head font-semibold">Set-up</h1>
        <p className="pb-3 text-soft">{says}</p>
        {act && (
          <button type="button" className="button-act" onClick={act.run}>
            {act.says} <Key>{act.key}</Key>
          </button>
        )}
      </div>
    </main>
  );
}

interface OpenLineProps {
  readonly slip: Slip;
  readonly line: SlipLine;
  readonly engineId: string;
  readonly others: number;
  readonly mayWrite: boolean;
}

function OpenLine({ slip, line, engineId, others, mayWrite }: OpenLineProps) {
  const setUp = useSetUp(slip, line, engineId);
  if (!setUp.data) return <Waiting says={whyNotHad(setUp) ?? 'Fetching what it is set up by …'} />;
  return (
    <SetUpDesk slip={slip} line={line} engineId={engineId} setUp={setUp.data} others={others} mayWrite={mayWrite} />
  );
}
