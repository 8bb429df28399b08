import { useState } from 'react';
import { toast } from '../controls/toast.ts';
import type { CauseId } from '@brackenfell/core/old-parts/causes';
import { answerKeptPlugs } from '@brackenfell/core/old-parts/kept-answers';
import type { CheckResult } from '@brackenfell/core/old-parts/read-plugs';
import { isSameSeat, saySeat } from '@brackenfell/core/old-parts/seats';
import { CONTEXT_IDS, CONTEXTS, SIGN_LINES, type ContextId, type SignId } from '@brackenfell/core/old-parts/signs';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useCounter } from '../counter/use-counter.ts';
import { useBeginSlip } from '../counter/use-begin-slip.ts';
import { useKept } from '../counter/use-keep.ts';
import { useKeys } from '../keys/keys.ts';
import { CausesPanel, ChecksMade, RESULT_KEYS } from './causes-panel.tsx';
import { EngineAsRead } from './engine-as-read.tsx';
import { LastRead } from './last-read.tsx';
import type { DeskProps } from './desk-props.ts';
import { NumbersFound } from './numbers-found.tsx';
import { toggled, Toggles } from '../controls/toggles.tsx';
import { PlugCard, type MeasuredKind } from './plug-card.tsx';
import { allNormal, answered, isRead, notLooked, optionsOf, readAt, type PlugRead } from './sign-letters.ts';
import { noPlugs, oldPartsEngine } from './use-old-parts.ts';

const LETTERS = [...'abcdefgh'];

const CONTEXT_KEYS = [...'ABCDEFGHIJK'];
/** What is in the engine's own data is not asked as context. */
const ASKED_CONTEXT = CONTEXT_IDS.filter((id) => id !== 'carburettor' && id !== 'charge-cooler');

/** Plugs read cylinder by cylinder: signs by letter, the gap as found; causes rank as they are read. */
export function PlugsDesk({ engine, plan, mine }: DeskProps) {
  const { kept, keep } = useKept('old-plugs', engine.engineId);
  const { kept: log } = useKept('compression', engine.engineId);
  const { slipId } = useCounter();
  const write = useSlipWrite();
  const begin = useBeginSlip();
  const now = kept ?? noPlugs(engine.engineId);
  const { seats } = engine;
  const [at, goAt] = useState(0);
  const picked = seats[at]!;
  const [lineAt, setLineAt] = useState(0);
  const [typing, setTyping] = useState<MeasuredKind>();
  const [showPoints, setShowPoints] = useState(false);
  const line = SIGN_LINES[lineAt]!;
  const read = readAt(now.cylinders, picked);
  const answer = answerKeptPlugs(now, log, oldPartsEngine(engine), plan);
  const [first] = answer.ranked.filter(({ cause }) => cause !== 'healthy');
  const store = (next: PlugRead) => {
    const all = seats.map((seat) => (isSameSeat(seat, next) ? next : readAt(now.cylinders, seat))).filter(isRead);
    keep(
      {
        ...now,
        cylinders: all.map((one) => ({ ...one, looked: [...one.looked], signs: [...one.signs] })),
      },
      `plug ${saySeat(next)} read`,
    );
  };
  const goTo = (index: number) => {
    if (index < 0 || index >= seats.length) return;
    goAt(index);
    setLineAt(0);
  };
  const step = (by: number) => goTo(at + by);
  const nextLine = () => setLineAt((i) => Math.min(SIGN_LINES.length - 1, i + 1));
  const lineBefore = () => setLineAt((i) => Math.max(0, i - 1));
  const choose = (sign: SignId | undefined) => {
    store(answered(read, line, sign));
    nextLine();
  };
  const likeBefore = () => {
    const before = seats[at - 1];
    if (before === undefined) return;
    const { looked, signs } = readAt(now.cylinders, before);
    store({ ...read, looked, signs });
    step(1);
  };
  const options = optionsOf(line);
  const result = (cause: CauseId, value: CheckResult) =>
    keep({ ...now, results: { ...now.results, [cause]: value } }, 'a check of the old plugs');
  const takeBack = (cause: CauseId) => {
    const { [cause]: _, ...results } = now.results;
    keep({ ...now, results }, 'a check taken back');
  };
  const contextToggled = (id: ContextId) => keep({ ...now, context: toggled(now.context, id) }, CONTEXTS[id].title);
  const writeDown = () => {
    const own = begin(engine.engineId);
    const text = [
      `Old plugs: ${answer.says}`,
      answer.next ? `Next: ${answer.next.says}.` : '',
      answer.notYet.length > 0 ? `Not to be sold yet: ${answer.notYet.join(', ')}.` : '',
    ]
      .filter(Boolean)
      .join(' ');
    write.mutate(
      slipCall('addNote', { params: { slipId: own }, body: { text: text.slice(0, 400) } }, 'what the plugs say'),
      { onSuccess: () => toast('Written on the slip.') },
      own,
    );
  };
  useKeys(
    'Plugs as read',
    [
      ...LETTERS.flatMap((letter) => {
        const option = options.find((one) => one.letter === letter);
        return option ? [{ press: letter, does: option.says, run: () => choose(option.sign) }] : [];
      }),
      {
        press: 'n',
        does: 'Not looked at',
        run: () => {
          if (read.looked.includes(line)) store(notLooked(read, line));
          nextLine();
        },
      },
      { press: 'j', does: 'Next line', run: nextLine },
      { press: 'k', does: 'Line before', run: lineBefore },
      { press: 'ArrowDown', printed: '↓', does: 'Next line', run: nextLine },
      { press: 'ArrowUp', printed: '↑', does: 'Line before', run: lineBefore },
      { press: 'ArrowRight', printed: '→', does: 'Next cylinder', run: () => step(1) },
      { press: 'ArrowLeft', printed: '←', does: 'Cylinder before', run: () => step(-1) },
      { press: 'Enter', does: 'This one is read: next cylinder', run: () => step(1) },
      {
        press: 't',
        does: 'All as it should be: next cylinder',
        run: () => {
          store(allNormal(read));
          step(1);
        },
      },
      { press: 'w', does: 'Like the cylinder before: next cylinder', run: likeBefore },
      { press: 'm', does: 'Gap as found', run: () => setTyping('gap') },
      { press: 'l', does: 'Torque it came out at', run: () => setTyping('plug-torque') },
      { press: 's', does: 'Points behind the ranks', run: () => setShowPoints(!showPoints) },
      ...ASKED_CONTEXT.map((id, i) => ({
        press: `Shift+${CONTEXT_KEYS[i]!}`,
        printed: `Shift ${CONTEXT_KEYS[i]!.toLowerCase()}`,
        does: CONTEXTS[id].title,
        run: () => contextToggled(id),
      })),
      ...(answer.next
        ? RESULT_KEYS.map(([press, value, does]) => ({ press, does, run: () => result(answer.next!.of, value) }))
        : []),
      { press: 'Control+Enter', printed: 'Ctrl Enter', does: 'Write it on the slip', run: writeDown },
    ],
    { active: mine },
  );
  const readCount = now.cylinders.length;
  return (
    <>
      <PlugCard
        seat={picked}
        read={read}
        line={line}
        mine={mine}
        draft={`old ${slipId ?? 'none'}`}
        typing={typing}
        onType={setTyping}
        onLine={(one, sign) => {
          setLineAt(SIGN_LINES.indexOf(one));
          store(answered(read, one, sign));
        }}
        onRead={store}
      />
      <main className="desk-main" aria-label="Old parts stage">
        <header className="set-up-head flex-nowrap">
          <Mark kind={answer.stop ? 'refuse' : first ? 'caution' : readCount > 0 ? 'match' : 'unknown'} rem={1.25} />
          <h1 className="min-w-0 text-head font-semibold" aria-live="polite">
            {answer.says}
          </h1>
          <span className="flex-1 whitespace-nowrap text-soft">
            {readCount} of {seats.length} read
          </span>
          <button type="button" className="button-act shrink-0" disabled={!mine || readCount === 0} onClick={writeDown}>
            Write it on the slip <Key>Ctrl Enter</Key>
          </button>
        </header>
        <div className="set-up-panels" tabIndex={0} role="region" aria-label="Plugs as read, causes, checks">
          <div className="grid content-start">
            <EngineAsRead
              plan={plan}
              seats={seats}
              reads={now.cylinders}
              picked={picked}
              isTold={({ cylinder, place }) =>
                (first?.cylinders.includes(cylinder) ?? false) &&
                (first?.onlyAt === undefined || first.onlyAt === place)
              }
              onPick={(seat) => goTo(seats.findIndex((one) => isSameSeat(one, seat)))}
            />
            <section aria-label="What is known" className="set-up-panel">
              <h2 className="text-lead font-semibold">What is known of it</h2>
              <p className="text-soft">
                It counts only where a sign speaks.
                {engine.hasCarburettor && ' It has a carburettor.'}
                {engine.hasChargeCooler && ' Its charge cooler is water-cooled.'}
              </p>
              <Toggles
                title="Told or seen"
                titleKey="Shift"
                options={ASKED_CONTEXT.map((value, i) => ({
                  value,
                  says: CONTEXTS[value].title,
                  letter: CONTEXT_KEYS[i]!,
                }))}
                showLetters
                isOn={(id) => now.context.includes(id)}
                disabled={!mine}
                onChoose={contextToggled}
              />
            </section>
            <NumbersFound engine={engine} mine={mine} />
            <LastRead kind="old-plugs" />
          </div>
          <div className="grid content-start">
            <CausesPanel answer={answer} showPoints={showPoints} onResult={mine ? result : undefined} />
            <ChecksMade results={now.results} onTakeBack={mine ? takeBack : undefined} />
            <p className="flex flex-wrap gap-x-3 px-3 py-1">
              <button
                type="button"
                className="button-quiet"
                aria-pressed={showPoints}
                onClick={() => setShowPoints(!showPoints)}
              >
                points <Key>s</Key>
              </button>
            </p>
            <section aria-label="Take care" className="set-up-panel">
              <h2 className="text-lead font-semibold">Take care</h2>
              <p>
                Cold before anything is opened: a hot cooling system scalds. With fluid in a cylinder: all plugs out,
                ignition and fuel disabled, turned over before it is started.
              </p>
            </section>
          </div>
        </div>
      </main>
    </>
  );
}
