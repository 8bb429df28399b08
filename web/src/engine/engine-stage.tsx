import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { EngineLeft, Identification } from '@brackenfell/contract/identify';
import { printCount } from '@brackenfell/core/words/counted';
import { usePickList } from '../controls/pick-list.ts';
import { Mark } from '../controls/mark.tsx';
import { useKeys, type KeyBinding } from '../keys/keys.ts';
import { useCounter } from '../counter/use-counter.ts';
import { useChangeSlip } from '../counter/use-change-slip.ts';
import { useMayMend } from '../session/use-session.ts';
import { ANSWER_KEYS, AskQuestion, WhyThis } from './ask-question.tsx';
import { KnownSoFar } from './known-so-far.tsx';
import { useIdentify, useSaid } from './use-identify.ts';

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];

/** Which engine it is for: what was said narrows, one question settles, a row is taken. The engine is never guessed. */
export function EngineStage() {
  const { inHand, go } = useCounter();
  const { said, say, takeBack, startOver } = useSaid();
  const identified = useIdentify(said);
  const data = identified.data;
  const rows = data?.engines ?? [];
  const [picked, pick] = useState(0);
  const list = usePickList({ label: 'Engines left', row: 'engine', count: rows.length, picked, pick });
  const { here } = list;
  const row = rows[here];
  const change = useChangeSlip();
  const sentence = useRef<HTMLInputElement>(null);
  const plate = useRef<HTMLInputElement>(null);

  const take = (engine: EngineLeft | undefined) => {
    if (!engine) return;
    change({ engineId: engine.engineId }, `engine ${engine.code}`);
    go('/counter/parts', { engine: engine.engineId, ...(inHand ? { row: inHand } : {}) });
  };
  const answer = (id: string) => {
    if (data?.ask) say(`answer:${data.ask.questionId}=${id}`);
    pick(0);
  };
  const answers = data?.ask?.answers ?? [];
  useKeys('Engine', [
    { press: 'Enter', does: 'Take the engine picked', run: () => take(row) },
    { press: 'f', does: 'Write what was said', run: () => sentence.current?.focus() },
    { press: 'y', does: 'Plate or serial number', run: () => plate.current?.focus() },
    { press: 'z', does: 'Take back what was said last', run: () => takeBack(said.length - 1) },
    ...(inHand && !said.includes(`part:${inHand}`)
      ? [{ press: 'x', does: 'Narrow by the part in hand', run: () => say(`part:${inHand}`) }]
      : []),
  ]);
  useKeys(
    'Answers',
    [
      ...answers.map(({ answer: id, says }, i): KeyBinding => ({
        press: ANSWER_KEYS[i]!,
        does: says,
        run: () => answer(id),
      })),
      { press: 'n', does: 'Cannot tell', run: () => answer('?') },
    ],
    { active: answers.length > 0 },
  );
  useKeys(
    'Take back',
    [
      { press: 't 0', printed: 't then 0', does: 'Take everything back', run: startOver },
      ...DIGITS.slice(0, said.length).map((digit, i): KeyBinding => ({
        press: `t ${digit}`,
        printed: `t then ${digit}`,
        does: data?.statements[i]?.told ?? 'Take back',
        run: () => takeBack(i),
      })),
    ],
    { active: said.length > 0 },
  );

  return (
    <>
      <aside className="desk-card flex flex-col" aria-label="What is known of the engine">
        <KnownSoFar
          identification={data}
          onTakeBack={takeBack}
          onStartOver={startOver}
          onSay={say}
          sentence={sentence}
          plate={plate}
        />
      </aside>
      <main className="desk-main" aria-label="Engine stage">
        {identified.error && (
          <p role="alert" className="px-3 py-1 text-madder">
            {identified.error.message}
          </p>
        )}
        {identified.isPending && <p className="p-4 text-soft">Fetching the engines …</p>}
        {data && (
          <>
            {data.ask ? <AskQuestion ask={data.ask} left={data.left} onAnswer={answer} /> : <Outcome data={data} />}
            <EnginesLeft data={data} list={list} onTake={take} />
            <WhyThis identification={data} />
            <div className="flex items-center gap-3 border-t border-line px-3 py-2">
              <button
                type="button"
                className={data.state === 'settled' ? 'button-act' : 'button-plain'}
                disabled={!row}
                onClick={() => take(row)}
              >
                Take {row ? `${row.maker} ${row.code}` : 'an engine'}
              </button>
              {data.state !== 'settled' && (
                <span className="text-soft">
                  A wrong engine is a wrong plug: while several are left, ask before taking one.
                </span>
              )}
            </div>
          </>
        )}
      </main>
    </>
  );
}

/** What stands instead of a question: none left, settled, or nothing still open tells them apart. */
function Outcome({ data }: { data: Identification }) {
  const mayMend = useMayMend();
  const [mark, title, more] = {
    'none-left':
      data.total === 0
        ? ['unknown', 'No engine is in this catalogue yet', 'Parts are found by number meanwhile.']
        : ['refuse', 'No engine answers to all of that', 'Take back one of the statements marked at the left.'],
    settled: [
      'match',
      data.left === 1
        ? 'One engine is left'
        : `${data.left === 2 ? 'Both' : `All ${data.left}`} that are left take the same plug`,
      'The question is settled: take it.',
    ],
    'cannot-separate': [
      'unknown',
      'Nothing that could still be asked tells these apart',
      'Get one of the answers below that nobody could give; until then it is not guessed.',
    ],
    ask: ['unknown', '', ''],
  }[data.state] as ['refuse' | 'match' | 'unknown', string, string];
  return (
    <div className="flex items-center gap-3 border-b border-line px-3 py-3">
      <Mark kind={mark} rem={1.125} />
      <h1 className="text-verdict font-semibold">{title}</h1>
      <span className="text-soft">{more}</span>
      {data.total === 0 && mayMend && (
        <Link className="underline" to="/catalogue/imports">
          Take a whole catalogue in
        </Link>
      )}
    </div>
  );
}

function EnginesLeft({
  data,
  list,
  onTake,
}: {
  data: Identification;
  list: ReturnType<typeof usePickList>;
  onTake: (engine: EngineLeft) => void;
}) {
  return (
    <>
      <div className="engine-head" aria-hidden="true">
        <span>Engine</span>
        <span>Built</span>
        <span>Litres</span>
        <span>Layout</span>
        <span>Pins</span>
        <span>Thread</span>
        <span>Reach</span>
        <span>Gap</span>
        <span>Seen</span>
      </div>
      <div {...list.listProps} className="min-h-32 flex-1 overflow-auto">
        {data.engines.map((engine, i) => (
          <div key={engine.key} {...list.rowProps(i)} className="engine-row" onDoubleClick={() => onTake(engine)}>
            <b className="font-semibold">
              {engine.maker} <span className="num">{engine.code}</span>
            </b>
            <span>{engine.build || '–'}</span>
            <span className="num">{engine.litres}</span>
            <span>{engine.layout}</span>
            <span className="num">{engine.pins}</span>
            <span className="num">{engine.thread}</span>
            <span className="num">{engine.reach}</span>
            <span className="num">{engine.gap}</span>
            <span className="num">{engine.visits}</span>
            {i === list.here && <span className="col-span-9 text-soft">{engine.vehicles.join(' · ')}</span>}
          </div>
        ))}
        {data.left > data.engines.length && (
          <p className="p-2 text-soft">
            {printCount(data.left - data.engines.length)} more, seldom seen here. Say more, or answer the question.
          </p>
        )}
      </div>
    </>
  );
}
