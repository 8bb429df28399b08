import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { BAND_WORDS } from '@brackenfell/core/authenticity/judge-piece';
import { CHANNEL_WORDS } from '@brackenfell/core/authenticity/prior';
import { printChance } from '@brackenfell/core/authenticity/say-conclusion';
import { isPartKind } from '@brackenfell/core/fitment/part-kinds';
import type { RequestOf } from '@brackenfell/contract/endpoints';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { useKeys, type KeyBinding } from '../frame/keys.ts';
import { useCounter } from '../frame/use-counter.ts';
import { LETTERS } from '../session/switch-person.tsx';
import { call } from '../wire/call.ts';
import { BAND_MARK } from './band-mark.ts';
import { useBeginInspection, useInspections } from './use-inspection.ts';

/** What is to be looked at: a part, how many of it are here, and where they lie on the slip. */
interface Subject {
  readonly partId: string;
  readonly printed: string;
  readonly maker: string;
  readonly pieces: number;
  readonly askedFor: number | null;
  readonly lineId: string | null;
  readonly batchId: string | null;
}

const isSame = (a: Subject, b: Subject | undefined): boolean => a.partId === b?.partId && a.lineId === b.lineId;

const MOST_PIECES = 16;

/** Begins an inspection: which part, then where it came from, each by one letter. */
export function BeginInspection() {
  const { slip, inHand, search, go } = useCounter();
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
  const only = asked === undefined ? undefined : subjects.find(({ partId }) => partId === asked);
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
          <ByNumber onFound={choose} isFirst={subjects.length === 0 && wanted === undefined && !slip.isLoading} />
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
            <Origin
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

interface OriginProps {
  readonly subject: Subject;
  readonly pieces: number;
  readonly onPieces: (pieces: number) => void;
  readonly onBack: () => void;
}

type Begin = Partial<RequestOf<'beginInspection'>['body']>;

/** Where the pieces came from: a batch on the shelf, a seller, back over the counter, or nobody can say. */
function Origin({ subject, pieces, onPieces, onBack }: OriginProps) {
  const navigate = useNavigate();
  const begin = useBeginInspection();
  const batches = useQuery({
    queryKey: ['batches', subject.partId],
    queryFn: () => call('listBatches', { query: { partId: subject.partId } }),
  });
  const sellers = useQuery({ queryKey: ['sellers'], queryFn: () => call('listSellers', {}) });
  const [used, setUsed] = useState<'drawings' | 'shop-stock' | 'removed-original'>('drawings');
  const start = (from: Begin) => {
    const { partId, askedFor, lineId } = subject;
    begin.mutate(
      { partId, pieces, askedFor, slipLineId: lineId, referenceUsed: used, ...from },
      {
        onSuccess: ({ inspectionId }) =>
          void navigate(`/counter/proof/${inspectionId}${keptSearch()}`, { replace: true }),
      },
    );
  };
  const shelf = (batches.data?.batches ?? []).filter(
    ({ onHand, batchId }) => onHand > 0 || batchId === subject.batchId,
  );
  const named = shelf.filter(({ batchId }) => batchId === subject.batchId);
  const others = shelf.filter(({ batchId }) => batchId !== subject.batchId);
  const origins = [
    ...[...named, ...others].map((batch) => ({
      says: `Batch ${batch.code === '' ? 'without a code' : batch.code}`,
      more: `${batch.seller}, ${batch.onHand} on the shelf${batch.state === 'open' ? '' : `, ${batch.state}`}`,
      from: { batchId: batch.batchId },
    })),
    ...(sellers.data?.sellers ?? [])
      .filter(({ batches: count, settled }) => count > 0 || settled > 0)
      .map((seller) => ({
        says: `Customer’s own, from ${seller.name}`,
        more: `${CHANNEL_WORDS[seller.channel]}, ${printChance(seller.prior)} before looking`,
        from: { sellerId: seller.sellerId },
      })),
    {
      says: 'Back over the counter',
      more: 'Sold here, and out of sight since',
      from: { channel: 'returned' as const },
    },
  ].slice(0, LETTERS.length);
  const ready = batches.data !== undefined && sellers.data !== undefined && !begin.isPending;
  const keys: KeyBinding[] = ready
    ? [
        ...origins.map(({ says, from }, i) => ({ press: LETTERS[i]!, does: says, run: () => start(from) })),
        { press: 'n', does: 'Nobody can say where it came from', run: () => start({}) },
      ]
    : [];
  useKeys('Where it came from', [
    ...keys,
    { press: '+', does: 'One piece more', run: () => onPieces(Math.min(MOST_PIECES, pieces + 1)) },
    { press: 'Shift++', printed: '+', does: 'One piece more', run: () => onPieces(Math.min(MOST_PIECES, pieces + 1)) },
    { press: '-', does: 'One piece fewer', run: () => onPieces(Math.max(1, pieces - 1)) },
    { press: 'Escape', does: 'Another part', run: onBack },
  ]);
  const problem = batches.error ?? sellers.error;
  return (
    <>
      <h2 className="pb-1 text-head font-semibold">
        Where did <span className="num">{subject.printed}</span> come from?
      </h2>
      <p className="flex items-center gap-3 pb-2">
        <span className="flex items-center gap-2">
          In hand: <b className="num font-semibold">{pieces}</b>
          <button
            type="button"
            className="button-plain"
            aria-label="One piece more"
            onClick={() => onPieces(Math.min(MOST_PIECES, pieces + 1))}
          >
            <Key>+</Key>
          </button>
          <button
            type="button"
            className="button-plain"
            aria-label="One piece fewer"
            onClick={() => onPieces(Math.max(1, pieces - 1))}
          >
            <Key>-</Key>
          </button>
        </span>
        <label className="flex items-center gap-2">
          Beside it
          <select
            className="field w-auto"
            value={used}
            onChange={(event) => setUsed(event.target.value as typeof used)}
          >
            <option value="drawings">the drawings alone</option>
            <option value="shop-stock">a known one from the shelf</option>
            <option value="removed-original">the removed original</option>
          </select>
        </label>
      </p>
      {problem && (
        <p role="alert" className="text-madder">
          {problem.message}
        </p>
      )}
      {!ready && !problem && <p className="text-soft">Fetching batches and sellers …</p>}
      <ul className="grid max-w-3xl gap-1">
        {ready &&
          [
            ...origins.map((origin, i) => ({ ...origin, letter: LETTERS[i]! })),
            { letter: 'n', says: 'Nobody can say', more: 'Met as the open market is', from: {} },
          ].map(({ letter, says, more, from }) => (
            <li key={letter}>
              <button
                type="button"
                className="grid min-h-8 w-full grid-cols-[1.5rem_1fr_1fr] items-center border border-hair px-2 text-left hover:bg-bracken-wash"
                onClick={() => start(from)}
              >
                <span>
                  <Key>{letter}</Key>
                </span>
                <b className="font-semibold">{says}</b>
                <span className="text-soft">{more}</span>
              </button>
            </li>
          ))}
      </ul>
      <p className="pt-3 text-soft">
        The channel and the seller’s settled batches are what is believed before looking; what is seen then moves it.{' '}
        <Key>Esc</Key> another part.
      </p>
    </>
  );
}

/** The counter's own part of the address, without what only began this. */
function keptSearch(): string {
  const search = new URLSearchParams(window.location.search);
  for (const name of ['inspect', 'batch']) search.delete(name);
  return search.size > 0 ? `?${search.toString()}` : '';
}
