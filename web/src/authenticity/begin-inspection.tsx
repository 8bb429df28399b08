import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from '../controls/toast.ts';
import { BAND_WORDS } from '@brackenfell/core/authenticity/judge-piece';
import { printChance } from '@brackenfell/core/authenticity/say-conclusion';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { useKeys } from '../keys/keys.ts';
import { useCounter } from '../counter/use-counter.ts';
import { LETTERS } from '../session/switch-person.tsx';
import { call } from '../wire/call.ts';
import { BAND_MARK } from '../controls/band-mark.ts';
import { MOST_PIECES, OriginChoice, type Subject } from './origin-choice.tsx';
import { useInspections } from './use-inspection.ts';

const isSame = (a: Subject, b: Subject | undefined): boolean => a.partId === b?.partId && a.lineId === b.lineId;

/** Begins an inspection: which part, then where it came from, each by one letter. */
export function BeginInspection() {
  const { slipId, slip, inHand, search, go } = useCounter();
  const [chosen, choose] = useState<Subject>();
  const [pieces, setPieces] = useState<number>();
  const asked = search.get('inspect') ?? undefined;
  const lines = slip.data?.lines.filter(({ partKind }) => isPartKind(partKind)) ?? [];
  const wanted = asked ?? (lines.length === 0 ? inHand : undefined);
  const part = useQuery({
    queryKey: ['part', wanted, 'metric'],
    queryFn: () => call('getPart', { params: { partId: wanted! }, query: { units: 'metric' } }),
    enabled: wanted !== undefined,
  });
  const subjects: Subject[] = [
    ...(part.data && isPartKind(part.data.kind) && !lines.some(({ partId }) => partId === wanted)
      ? [{ ...part.data, pieces: 1, askedFor: null, lineId: null, batchId: search.get('batch') }]
      : []),
    ...lines.map((line) => ({
      ...line,
      pieces: Math.min(MOST_PIECES, line.quantity),
      askedFor: line.quantity,
      batchId: line.batch?.batchId ?? (line.partId === asked ? search.get('batch') : null),
    })),
  ];
  // What a row of the tray or a batch asked for needs no choosing; on the slip it is that line.
  const line = search.get('line');
  const only =
    asked === undefined
      ? undefined
      : (subjects.find((one) => line !== null && one.lineId === line) ??
        subjects.find(({ partId }) => partId === asked));
  const subject = chosen ?? only;
  return (
    <>
      <aside className="desk-card" aria-label="What to look at">
        <div className="grid content-start gap-2 p-3">
          <h1 className="text-verdict font-semibold">Proof</h1>
          <p className="text-soft">Is the piece in hand genuine, and is the set whole?</p>
          <ol className="grid gap-1">
            {subjects.map((one, i) => (
              <li key={`${one.partId} ${one.lineId ?? ''}`}>
                <button
                  type="button"
                  aria-pressed={isSame(one, subject)}
                  className={`grid min-h-8 w-full grid-cols-[1.25rem_1fr] border px-1.5 text-left ${isSame(one, subject) ? 'border-bracken bg-bracken-wash' : 'border-hair'}`}
                  onClick={() => choose(one)}
                >
                  <span>{!subject && <Key>{LETTERS[i]}</Key>}</span>
                  <span>
                    <b className="num font-semibold">{one.printed}</b>
                    <span className="block text-soft">
                      {one.maker}
                      {one.lineId ? `, ${one.pieces} on the slip` : ''}
                    </span>
                  </span>
                </button>
              </li>
            ))}
          </ol>
          <ByNumber
            onFound={choose}
            isFirst={subjects.length === 0 && wanted === undefined && (slipId === undefined || slip.data !== undefined)}
          />
        </div>
      </aside>
      <main className="desk-main" aria-label="Proof stage">
        <div className="min-h-0 flex-1 overflow-auto p-4" tabIndex={0} role="region" aria-label="Where it came from">
          {part.error && (
            <p role="alert" className="text-madder">
              {part.error.message}
            </p>
          )}
          {subject ? (
            <OriginChoice
              key={`${subject.partId} ${subject.lineId ?? ''}`}
              subject={subject}
              pieces={pieces ?? subject.pieces}
              onPieces={setPieces}
              onBack={() => {
                choose(undefined);
                if (only) go('/counter/proof', { inspect: null });
              }}
            />
          ) : (
            <Earlier subjects={subjects} onChoose={choose} />
          )}
        </div>
      </main>
    </>
  );
}

/** The number on a box, typed or scanned: for a piece that is on no slip. */
function ByNumber({ onFound, isFirst }: { onFound: (subject: Subject) => void; isFirst: boolean }) {
  const [text, setText] = useState('');
  const look = async () => {
    const { parts } = await call('readNumber', { params: { number: text.trim() } });
    const sold = parts.filter(({ kind }) => isPartKind(kind));
    const [only, another] = sold;
    if (!only) toast.error('No part of this catalogue bears that number.');
    else if (another)
      toast.error(`${sold.length} parts bear it: ${sold.map((part) => `${part.printed} ${part.maker}`).join(', ')}.`);
    else {
      // From here on letters are answers, not text.
      document.querySelector<HTMLElement>('[data-desk]')?.focus();
      onFound({ ...only, pieces: 1, askedFor: null, lineId: null, batchId: null });
    }
  };
  return (
    <form
      className="grid gap-1 border-t border-line pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim().length > 1)
          look().catch((error: unknown) => toast.error(error instanceof Error ? error.message : ''));
      }}
    >
      <label className="grid gap-1">
        <span className="text-soft">{isFirst ? 'The number on the piece or its box' : 'Or another number'}</span>
        <input
          className="field num"
          autoFocus={isFirst}
          value={text}
          maxLength={40}
          spellCheck={false}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
    </form>
  );
}

/** Inspections made before, while nothing is chosen. */
function Earlier({ subjects, onChoose }: { subjects: readonly Subject[]; onChoose: (subject: Subject) => void }) {
  const { slipId } = useCounter();
  const navigate = useNavigate();
  const earlier = useInspections(slipId);
  const found = earlier.data?.inspections ?? [];
  useKeys(
    'Proof',
    subjects
      .map((subject, i) => ({ press: LETTERS[i]!, does: `Look at ${subject.printed}`, run: () => onChoose(subject) }))
      .slice(0, LETTERS.length),
  );
  return (
    <>
      <h2 className="pb-1 text-head font-semibold">
        {subjects.length > 0 ? 'Which of them? Press its letter.' : 'Nothing is chosen yet'}
      </h2>
      <p className="pb-3 text-soft">
        {subjects.length > 0
          ? 'Lines of the slip stand at the left, or give another number.'
          : 'Give the number of the piece at the left, put a part on the slip, or press v on a row of the tray.'}
      </p>
      <h3 className="font-semibold">{slipId ? 'Looked at for this slip' : 'Looked at before'}</h3>
      {earlier.error && (
        <p role="alert" className="text-madder">
          {earlier.error.message}
        </p>
      )}
      {earlier.data && found.length === 0 && <p className="text-soft">Nothing so far.</p>}
      <ul className="max-w-3xl">
        {found.map((one) => (
          <li key={one.inspectionId} className="border-b border-hair">
            <button
              type="button"
              className="grid min-h-8 w-full grid-cols-[1.25rem_10rem_1fr_auto] items-center gap-2 text-left hover:bg-bracken-wash"
              onClick={() => void navigate(`/counter/proof/${one.inspectionId}${window.location.search}`)}
            >
              <Mark kind={BAND_MARK[one.band ?? 'not-inspected']} />
              <span className="num font-semibold">{one.printed}</span>
              <span>
                {one.band ? BAND_WORDS[one.band] : 'not concluded'}
                {one.chance === null ? '' : `, ${printChance(one.chance)}`}, {one.seller}
              </span>
              <span className="text-soft">
                {printMoment(one.at)}, {one.by}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
