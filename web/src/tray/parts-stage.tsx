import { useState } from 'react';
import { MOST_ASKED, MOST_EXPLAINED } from '@brackenfell/contract/tray-limits';
import { PART_KINDS } from '@brackenfell/core/facts/part-kinds';
import { Key } from '../controls/key.tsx';
import { useEngine } from '../engine/use-engine.ts';
import { useCounter } from '../counter/use-counter.ts';
import { useOtherHalf } from '../counter/use-other-half.ts';
import { whyNotHad } from '../wire/until-back.ts';
import { JudgedTray } from './judged-tray.tsx';
import { Kinds } from './kinds.tsx';
import { useTray } from './use-tray.ts';

/** Every candidate for the engine, judged, with the drawing that proves it. */
export function PartsStage() {
  const { engineId, inHand, asked: askedAbout, build, staying, duty, search, slip, go } = useCounter();
  const engine = useEngine(engineId);
  const wanted = PART_KINDS.find((kind) => kind === search.get('part')) ?? 'plug';
  // An engine that takes no such part shows its plugs.
  const takes = engine.data === undefined || engine.data.needs.some(({ kind }) => kind === wanted);
  const kind = wanted === 'plug' || takes ? wanted : 'plug';
  const [asked, setAsked] = useState({ engineId, most: MOST_EXPLAINED });
  const most = asked.engineId === engineId ? asked.most : MOST_EXPLAINED;
  const beside = useOtherHalf(kind);
  const tray = useTray(engineId, {
    kind,
    inHand: askedAbout ?? inHand,
    most,
    build,
    duty,
    staying: kind === 'coil' ? staying : undefined,
    beside,
    slip: slip.data,
  });
  const problem = whyNotHad(tray) ?? whyNotHad(engine);
  if (!engineId) {
    return (
      <main className="desk-main col-span-2" aria-label="Parts stage">
        <div className="p-6">
          <h1 className="pb-2 text-head font-semibold">The parts stage needs the engine</h1>
          <p className="pb-3 text-soft">
            A part is judged against one engine. Choose it first; a number in hand is kept.
          </p>
          <button type="button" className="button-act" onClick={() => go('/counter/engine')}>
            Choose the engine <Key>1</Key>
          </button>
        </div>
      </main>
    );
  }
  if (!tray.data || !engine.data) {
    const waiting = problem ? (
      <p role="alert" className="p-6 text-madder">
        {problem}
      </p>
    ) : (
      <p className="p-6 text-soft">Judging every candidate …</p>
    );
    return (
      <main className="desk-main col-span-2" aria-label="Parts stage">
        {engine.data ? (
          <Kinds engine={engine.data} kind={kind}>
            {waiting}
          </Kinds>
        ) : (
          waiting
        )}
      </main>
    );
  }
  const onMore = () => setAsked({ engineId, most: Math.min(MOST_ASKED, most * 2) });
  return (
    <JudgedTray key={`${engineId} ${kind}`} tray={tray.data} asked={tray.asked} engine={engine.data} onMore={onMore} />
  );
}
