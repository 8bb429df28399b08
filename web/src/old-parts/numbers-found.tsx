import { useQuery } from '@tanstack/react-query';
import { Suspense, useState } from 'react';
import type { EngineCard } from '@brackenfell/contract/engine';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { Key } from '../controls/key.tsx';
import { room, SheetOnItsWay } from '../controls/room.tsx';
import { useCounter } from '../counter/use-counter.ts';
import { useKept } from '../counter/use-keep.ts';
import { useKeys } from '../keys/keys.ts';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';

const FittedDialog = room(async () => (await import('../fitted-set/fitted-dialog.tsx')).FittedDialog);

/** The numbers on what came out, each laid against the engine: a wrong reach or heat explains what is seen on it. */
export function NumbersFound({ engine, mine }: { readonly engine: EngineCard; readonly mine: boolean }) {
  const { units } = useSettings();
  const { build, duty } = useCounter();
  const { kept } = useKept('fitted-set', engine.engineId);
  const [isOpen, open] = useState(false);
  const numbers = kept?.part === 'plug' && kept.numbers.some(Boolean) ? kept.numbers.join('|') : '';
  const { data, error } = useQuery({
    queryKey: ['fitted set', engine.engineId, 'plug', numbers, units, duty, build],
    queryFn: () =>
      call('getFittedSet', {
        params: { engineId: engine.engineId },
        query: { kind: 'plug', numbers, units, ...(duty ? { duty } : {}), ...(build ? { build } : {}) },
      }),
    enabled: numbers !== '',
  });
  useKeys('Plugs as read', [{ press: 'v', does: 'Numbers found on them', run: () => open(true) }], { active: mine });
  const wrong = data?.positions.filter(({ verdict }) => verdict === 'refuse' || verdict === 'needs-supervisor') ?? [];
  return (
    <section aria-label="Numbers found" className="set-up-panel">
      <h2 className="text-lead font-semibold">Numbers found</h2>
      {error && (
        <p role="alert" className="text-madder">
          {error.message}
        </p>
      )}
      {numbers === '' && <p className="text-soft">None is read yet: a wrong reach or heat explains much.</p>}
      {data && <p>{data.says}</p>}
      <ul>
        {wrong.map(({ label, typed, verdict, reason }) => (
          <li key={label}>
            {label}: <span className="num">{typed}</span>{' '}
            <b className="font-semibold">{verdict && VERDICT_WORDS[verdict]}</b>. {reason}
          </li>
        ))}
      </ul>
      {mine && (
        <button type="button" className="button-plain justify-self-start" onClick={() => open(true)}>
          Numbers found … <Key>v</Key>
        </button>
      )}
      {isOpen && (
        <Suspense fallback={<SheetOnItsWay />}>
          <FittedDialog engine={engine} kind="plug" onClose={() => open(false)} />
        </Suspense>
      )}
    </section>
  );
}
