import { useState, type RefObject } from 'react';
import type { Identification } from '@brackenfell/contract/identify';
import { printCount, wordFor } from '@brackenfell/core/words/counted';
import { Key } from '../controls/key.tsx';
import { KeyButton } from '../controls/key-button.tsx';
import { Mark } from '../controls/mark.tsx';
import { call } from '../wire/call.ts';

interface KnownProps {
  /** Not yet there while the engines are fetched; what is said meanwhile is taken all the same. */
  readonly identification: Identification | undefined;
  readonly onTakeBack: (place: number) => void;
  readonly onStartOver: () => void;
  readonly onSay: (...said: string[]) => void;
  readonly sentence: RefObject<HTMLInputElement | null>;
  readonly plate: RefObject<HTMLInputElement | null>;
}

/** What was said so far and what each statement ruled out; the ways in; what a guess would cost. */
export function KnownSoFar({ identification, onTakeBack, onStartOver, onSay, sentence, plate }: KnownProps) {
  const { statements, total, left, guess } = identification ?? { statements: [], total: 0, left: 0, guess: null };
  return (
    <>
      <div>
        <div className="border-b border-line px-3 py-2">
          {identification ? (
            <>
              <h2 className="text-verdict font-semibold">
                <span className="num">{printCount(left)}</span> {wordFor(left, 'engine left', 'engines left')}
              </h2>
              <p className="text-soft">
                of {printCount(total)} in the catalogue, builds counted apart; {printCount(total - left)} ruled out
              </p>
            </>
          ) : (
            <h2 className="text-verdict font-semibold">Which engine?</h2>
          )}
        </div>
        <section className="border-b border-line px-3 py-2" aria-label="Known so far">
          <h3 className="flex justify-between font-semibold text-slate">
            Known so far{' '}
            {statements.length > 0 && (
              <span className="font-normal text-soft">
                take back <KeyButton press="z" does="Take back what was said last" /> the last, <Key>t</Key> and its
                number another
              </span>
            )}
          </h3>
          {statements.length === 0 && <p className="text-soft">Nothing yet. Type what the customer says, or answer.</p>}
          <ol>
            {statements.map((statement, i) => (
              <li key={statement.said} className="py-1">
                <span className="flex items-baseline gap-2">
                  <span className="num text-xs">{i + 1}</span>
                  <b className="font-semibold">{statement.told}</b>
                  <span className="num ml-auto text-soft">
                    {statement.ruledOut > 0 ? `−${statement.ruledOut}` : ''}
                  </span>
                  <b className="num font-semibold">{printCount(statement.left)}</b>
                  <button
                    type="button"
                    className="min-h-6 min-w-6 text-soft hover:text-madder"
                    aria-label={`Take back: ${statement.told}`}
                    onClick={() => onTakeBack(i)}
                  >
                    ×
                  </button>
                </span>
                {statement.contradicts && (
                  <span className="flex items-center gap-1 text-madder">
                    <Mark kind="refuse" /> cannot be true with the others: take one back
                  </span>
                )}
                <Bar left={statement.left} ruledOut={statement.ruledOut} of={total} />
              </li>
            ))}
          </ol>
          {statements.length > 1 && (
            <button type="button" className="button-plain" onClick={onStartOver}>
              Take everything back <Key>t</Key> <Key>0</Key>
            </button>
          )}
        </section>
        <Sentence inputRef={sentence} onSay={onSay} />
        <Plate inputRef={plate} onSay={onSay} />
      </div>
      {guess && (
        <section className="border-t border-line px-3 py-2" aria-label="Guess now instead?">
          <h3 className="flex items-center gap-1 font-semibold">
            <Mark kind="caution" /> Guess now instead?
          </h3>
          <p>
            {guess.code}:{' '}
            <b className="font-semibold text-lichen">
              {guess.rightIn100 >= 100 ? 'right every time' : `right ${guess.rightIn100 || 'less than 1'}`}
            </b>
            {guess.rightIn100 < 100 && (
              <b className="font-semibold text-madder">
                , wrong {guess.rightIn100 ? 100 - guess.rightIn100 : 'over 99'} in 100
              </b>
            )}
            . {guess.says}
          </p>
        </section>
      )}
    </>
  );
}

function Bar({ left, ruledOut, of }: { left: number; ruledOut: number; of: number }) {
  return (
    <svg className="mt-0.5 block h-1.5 w-full" viewBox="0 0 100 6" preserveAspectRatio="none" aria-hidden="true">
      <rect width={(100 * left) / of} height={6} fill="var(--slate)" />
      <rect x={(100 * left) / of} width={(100 * ruledOut) / of} height={6} fill="var(--hair)" />
    </svg>
  );
}

function Sentence({ inputRef, onSay }: { inputRef: RefObject<HTMLInputElement | null>; onSay: KnownProps['onSay'] }) {
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState('');
  const read = async () => {
    if (text.trim() === '') return;
    try {
      const { statements } = await call('readSentence', { query: { sentence: text } });
      onSay(...statements);
      setText('');
      setTrouble('');
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : 'It could not be read.');
    }
  };
  return (
    <form
      className="border-b border-line px-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        void read();
      }}
    >
      <label className="text-slate">
        <span className="font-semibold">What was said</span> <Key>f</Key>
        <input
          ref={inputRef}
          className="field mt-1"
          value={text}
          maxLength={120}
          placeholder="make, model, year, code, litres"
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') event.currentTarget.blur();
          }}
        />
      </label>
      {trouble && <p className="text-madder">{trouble}</p>}
    </form>
  );
}

function Plate({ inputRef, onSay }: { inputRef: RefObject<HTMLInputElement | null>; onSay: KnownProps['onSay'] }) {
  const [text, setText] = useState('');
  const [answer, setAnswer] = useState<{ kind: string; says: string; register: string }>();
  const [asking, setAsking] = useState(false);
  const lookUp = async () => {
    if (text.trim().length < 2) return;
    setAsking(true);
    setAnswer(undefined);
    try {
      const found = await call('lookUpPlate', { query: { plate: text } });
      setAnswer(found);
      onSay(...found.statements);
    } catch (error) {
      setAnswer({ kind: 'failed', says: error instanceof Error ? error.message : 'It failed.', register: '' });
    } finally {
      setAsking(false);
    }
  };
  return (
    <form
      className="px-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        void lookUp();
      }}
    >
      <label className="text-slate">
        <span className="font-semibold">Plate or serial</span> <Key>y</Key>{' '}
        <span className="text-soft">simulated register</span>
        <input
          ref={inputRef}
          className="field num mt-1 uppercase"
          value={text}
          maxLength={20}
          placeholder="SD-4471"
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') event.currentTarget.blur();
          }}
        />
      </label>
      <p role="status" className="text-soft">
        {asking ? 'Asking the register …' : (answer?.says ?? '')}
      </p>
    </form>
  );
}
