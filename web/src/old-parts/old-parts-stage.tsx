import { useParams } from 'react-router';
import { mayWrite } from '@brackenfell/core/slip/who-may';
import { Key } from '../controls/key.tsx';
import { useCounter } from '../counter/use-counter.ts';
import { useEngine } from '../engine/use-engine.ts';
import { useKeys } from '../keys/keys.ts';
import { useSession } from '../session/use-session.ts';
import { whyNotHad } from '../wire/until-back.ts';
import { ComebackDesk } from './comeback-desk.tsx';
import { CompressionDesk } from './compression-desk.tsx';
import type { DeskProps } from './desk-props.ts';
import { PlugsDesk } from './plugs-desk.tsx';
import { RefitDesk } from './refit-desk.tsx';
import { RulesDesk } from './rules-desk.tsx';

const DESKS = [
  { id: 'plugs', says: 'Plugs as read' },
  { id: 'compression', says: 'Compression' },
  { id: 'comeback', says: 'Comeback' },
  { id: 'refit', says: 'Refit, coils, leads' },
  { id: 'rules', says: 'Rules and examples' },
] as const;
type DeskId = (typeof DESKS)[number]['id'];

const deskIn = (name: string | undefined): DeskId => DESKS.find(({ id }) => id === name)?.id ?? 'plugs';
const deskAfter = (desk: DeskId) => DESKS[(DESKS.findIndex(({ id }) => id === desk) + 1) % DESKS.length]!;

/** What came out of the engine, and what came back after work: what it says, and what not to sell yet. */
export function OldPartsStage() {
  const { engineId, slip, go } = useCounter();
  const asked = useEngine(engineId);
  const engine = asked.data;
  const why = whyNotHad(asked);
  const { data: me } = useSession();
  const params = useParams();
  const desk = deskIn(params.desk);
  const show = (id: DeskId) => go(`/counter/old-parts/${id}`, {}, { replace: true });
  const next = deskAfter(desk);
  useKeys('Old parts', [
    {
      press: 'y',
      does: `The next desk: ${next.says}`,
      // By the address, which is ahead of what is drawn when the key comes twice at once.
      run: () => show(deskAfter(deskIn(window.location.pathname.split('/').at(-1))).id),
    },
  ]);
  const mine = slip.data === undefined || (me ? mayWrite(slip.data, me) : false);
  if (!engine?.plan)
    return (
      <main className="desk-main col-span-2" aria-label="Old parts stage">
        <div className="max-w-2xl p-6">
          <h1 className="pb-2 text-head font-semibold">Old parts</h1>
          <p className="pb-3 text-soft" role={why ? 'alert' : undefined}>
            {why ??
              (!engineId
                ? 'Reading old parts needs the engine: how its cylinders stand decides what a sign means.'
                : engine
                  ? 'How this engine’s cylinders stand and fire is not known here: look it up before its plugs are read.'
                  : 'Fetching the engine …')}
          </p>
          {!engineId && (
            <button type="button" className="button-act" onClick={() => go('/counter/engine')}>
              Choose the engine <Key>1</Key>
            </button>
          )}
        </div>
      </main>
    );
  const props: DeskProps = { engine, plan: engine.plan, mine };
  return (
    <div className="old-parts" key={engine.engineId}>
      <nav className="old-parts-desks" aria-label="Desks of old parts">
        {DESKS.map(({ id, says }) => (
          <button
            key={id}
            type="button"
            className="button-quiet"
            aria-current={id === desk ? 'page' : undefined}
            onClick={() => show(id)}
          >
            {says} {id === next.id && <Key>y</Key>}
          </button>
        ))}
      </nav>
      {desk === 'plugs' && <PlugsDesk {...props} />}
      {desk === 'compression' && <CompressionDesk {...props} />}
      {desk === 'comeback' && <ComebackDesk {...props} />}
      {desk === 'refit' && <RefitDesk {...props} />}
      {desk === 'rules' && <RulesDesk />}
    </div>
  );
}
