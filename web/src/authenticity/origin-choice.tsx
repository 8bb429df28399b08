import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { CHANNEL_WORDS } from '@brackenfell/core/authenticity/prior';
import { printChance } from '@brackenfell/core/authenticity/say-conclusion';
import type { RequestOf } from '@brackenfell/contract/endpoints';
import { Choice } from '../controls/choice.tsx';
import { Key } from '../controls/key.tsx';
import { KeyButton } from '../controls/key-button.tsx';
import { useKeys, type KeyBinding } from '../keys/keys.ts';
import { LETTERS } from '../session/switch-person.tsx';
import { call } from '../wire/call.ts';
import { useBeginInspection } from './use-inspection.ts';

/** What is to be looked at: a part, how many of it are here, and where they lie on the slip. */
export interface Subject {
  readonly partId: string;
  readonly printed: string;
  readonly maker: string;
  readonly pieces: number;
  readonly askedFor: number | null;
  readonly lineId: string | null;
  readonly batchId: string | null;
}

/** As many as an inspection takes. */
export const MOST_PIECES = 16;

interface OriginProps {
  readonly subject: Subject;
  readonly pieces: number;
  readonly onPieces: (pieces: number) => void;
  readonly onBack: () => void;
}

/** What the pieces are held against. */
const BESIDE_IT = [
  { value: 'drawings', says: 'the drawings alone' },
  { value: 'shop-stock', says: 'a known one from the shelf' },
  { value: 'removed-original', says: 'the removed original' },
] as const;
type BesideIt = (typeof BESIDE_IT)[number]['value'];

type Begin = Partial<RequestOf<'beginInspection'>['body']>;

/** Where the pieces came from: a batch on the shelf, a seller, back over the counter, or nobody can say. */
export function OriginChoice({ subject, pieces, onPieces, onBack }: OriginProps) {
  const navigate = useNavigate();
  const begin = useBeginInspection();
  const batches = useQuery({
    queryKey: ['batches', subject.partId],
    queryFn: () => call('listBatches', { query: { partId: subject.partId } }),
  });
  const sellers = useQuery({ queryKey: ['sellers'], queryFn: () => call('listSellers', {}) });
  const [used, setUsed] = useState<BesideIt>('drawings');
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
      <div className="flex items-center gap-3 pb-2">
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
        <Choice
          label="Beside it"
          value={used}
          options={BESIDE_IT}
          onChange={setUsed}
          labelClass=""
          className="flex items-center gap-2"
          fieldClass="w-auto"
        />
      </div>
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
        <KeyButton press="Escape" printed="Esc" does="Another part">
          {' '}
          another part
        </KeyButton>
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
