import { inOurMoney } from '@brackenfell/core/words/money';
import { counted, wordFor } from '@brackenfell/core/words/counted';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from '../controls/toast.ts';
import { Link, useNavigate, useParams } from 'react-router';
import { readPriceMinor } from '@brackenfell/core/authenticity/read-typed';
import { CHANNEL_WORDS } from '@brackenfell/core/authenticity/prior';
import type { Delivery } from '@brackenfell/contract/delivery';
import { Choice } from '../controls/choice.tsx';
import { Key } from '../controls/key.tsx';
import { printMoment } from '../controls/moment.ts';
import { useKeys } from '../keys/keys.ts';
import { useDraftOf } from '../controls/draft.ts';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useUnsent } from '../counter/use-unsent.ts';
import { UnsentList } from '../counter/unsent-list.tsx';
import { useSellers } from '../quarantine/use-quarantine.ts';
import { useSession } from '../session/use-session.ts';
import { call } from '../wire/call.ts';
import { DeliveryView } from './delivery-view.tsx';
import { NumberField, type FoundPart } from '../part/number-field.tsx';
import { useOnceFound } from '../part/once-found.ts';

interface Line {
  readonly text: string;
  readonly part: FoundPart | undefined;
  readonly quantity: string;
  readonly code: string;
  readonly price: string;
  readonly orderedUnder: string;
}
const EMPTY: Line = { text: '', part: undefined, quantity: '', code: '', price: '', orderedUnder: '' };

const isEmpty = (line: Line): boolean =>
  [line.text, line.quantity, line.code, line.price].every((text) => text.trim() === '');

const LOOKED_UP = 'its number is being looked up';
/** Why a line cannot be taken in, or undefined. */
function wrongOf(line: Line, isLooking: boolean): string | undefined {
  if (line.part === undefined) return isLooking ? LOOKED_UP : 'no one part has been found for its number';
  if (!/^[1-9]\d{0,3}$/.test(line.quantity.trim())) return 'how many came, a whole number';
  if (line.price.trim() !== '' && readPriceMinor(line.price) === undefined) return 'a price such as 4.20, or nothing';
  return undefined;
}

/** A delivery by its seller: parts, quantities, batch codes, prices. Stock follows, and what to look at first is said. */
export function ReceivingPage() {
  const { deliveryId } = useParams();
  const { data: me } = useSession();
  const deliveries = useQuery({ queryKey: ['deliveries'], queryFn: () => call('listDeliveries', {}) });
  const delivery = useQuery({
    queryKey: ['deliveries', deliveryId],
    queryFn: () => call('getDelivery', { params: { deliveryId: deliveryId! } }),
    enabled: deliveryId !== undefined,
  });
  return (
    <>
      <aside className="desk-list" aria-label="Deliveries">
        <div className="border-b border-line px-3 py-2">
          <h1 className="text-verdict font-semibold">Deliveries</h1>
          {deliveryId !== undefined && (
            <Link to="/quarantine/receiving" className="underline">
              Take another in
            </Link>
          )}
        </div>
        <ol className="min-h-0 flex-1 overflow-auto" tabIndex={0} aria-label="Deliveries taken in">
          {deliveries.data?.deliveries.map((one) => (
            <li key={one.deliveryId} className="border-b border-hair">
              <Link
                to={`/quarantine/receiving/${one.deliveryId}`}
                aria-current={one.deliveryId === deliveryId ? 'page' : undefined}
                className={`block px-3 py-1 hover:bg-bracken-wash ${one.deliveryId === deliveryId ? 'bg-bracken-wash' : ''}`}
              >
                <b className="font-semibold">{one.seller}</b>
                <span className="block text-soft">
                  {printMoment(one.at)}, {one.by}: {one.pieces} pieces in {one.lines} {wordFor(one.lines, 'line')}
                </span>
              </Link>
            </li>
          ))}
        </ol>
        {deliveries.data?.deliveries.length === 0 && <p className="p-3 text-soft">No deliveries yet.</p>}
        {deliveries.error && (
          <p role="alert" className="p-3 text-madder">
            {deliveries.error.message}
          </p>
        )}
      </aside>
      <main className="desk-main" aria-label="Receiving">
        <div className="min-h-0 flex-1 overflow-auto p-4" tabIndex={0} role="region" aria-label="The delivery">
          {deliveryId === undefined ? (
            me?.role === 'editor' ? (
              <p className="text-soft">Deliveries are taken in at the counter.</p>
            ) : (
              <NewDelivery />
            )
          ) : delivery.data ? (
            <DeliveryView delivery={delivery.data} />
          ) : (
            <p className={delivery.error ? 'text-madder' : 'text-soft'}>
              {delivery.error?.message ?? 'Fetching the delivery …'}
            </p>
          )}
        </div>
      </main>
    </>
  );
}

interface Draft {
  readonly sellerId: string;
  readonly lines: readonly Line[];
}

const isReady = ({ sellerId, lines }: Draft): boolean => {
  const filled = lines.filter((line) => !isEmpty(line));
  return sellerId !== '' && filled.length > 0 && filled.every((line) => wrongOf(line, false) === undefined);
};

/** A delivery as it is typed: half typed it is kept, and taken in while the server is away it waits its turn. */
function NewDelivery() {
  const navigate = useNavigate();
  const sellers = useSellers();
  const write = useSlipWrite();
  const queries = useQueryClient();
  const draft = useDraftOf<Draft>('delivery', { sellerId: '', lines: [EMPTY] });
  const { sellerId, lines } = draft.value;
  const unsent = useUnsent(undefined).filter(({ name }) => name === 'receiveDelivery');
  const [tried, setTried] = useState(false);
  const once = useOnceFound();
  const setSeller = (next: string) => {
    once.end();
    draft.set({ sellerId: next, lines });
  };
  const filled = lines.filter((line) => !isEmpty(line));
  const wrong = lines.map((line) => (isEmpty(line) ? undefined : wrongOf(line, once.isLooking)));
  const send = (kept: Draft) => {
    const body = {
      sellerId: kept.sellerId,
      lines: kept.lines
        .filter((line) => !isEmpty(line))
        .map((line) => ({
          partId: line.part!.partId,
          quantity: Number(line.quantity),
          code: line.code.trim(),
          unitCostMinor: readPriceMinor(line.price) ?? null,
          orderedUnder: line.orderedUnder.trim(),
        })),
    };
    const pieces = body.lines.reduce((sum, { quantity }) => sum + quantity, 0);
    draft.clear();
    setTried(false);
    once.end();
    write.mutate(slipCall('receiveDelivery', { body }, `delivery of ${pieces} pieces`), {
      onSuccess: ({ deliveryId }: Delivery) => {
        for (const key of [['deliveries'], ['batches'], ['tray'], ['sellers']])
          void queries.invalidateQueries({ queryKey: key });
        void navigate(`/quarantine/receiving/${deliveryId}`);
      },
      // What was refused stands in the form again, to be mended.
      onRefused: (error) => {
        toast.error(error.message);
        draft.set(kept);
      },
    });
  };
  const store = () => {
    setTried(true);
    if (isReady(draft.value)) send(draft.value);
    else once.wait();
  };
  const change = (at: number, more: Partial<Line>) => {
    const next = lines.map((line, i) => (i === at ? { ...line, ...more } : line));
    const changed = { sellerId, lines: isEmpty(next.at(-1)!) ? next : [...next, EMPTY] };
    if (once.isDue && more.part && isReady(changed)) {
      send(changed);
      return;
    }
    if (more.part === undefined) once.end();
    draft.set(changed);
  };
  useKeys('Receiving', [{ press: 'Control+Enter', printed: 'Ctrl Enter', does: 'Take it in', run: store }]);
  return (
    <form
      className="grid gap-3"
      aria-label="A delivery"
      onSubmit={(event) => {
        event.preventDefault();
      }}
    >
      <h2 className="text-head font-semibold">Take a delivery in</h2>
      <UnsentList unsent={unsent} />
      <div className="flex items-center gap-3">
        <Choice
          label="From"
          value={sellerId}
          options={
            sellers.data?.sellers.map((seller) => ({
              value: seller.sellerId,
              says: `${seller.name}, ${CHANNEL_WORDS[seller.channel]}`,
            })) ?? (sellerId === '' ? [] : [{ value: sellerId, says: 'The seller chosen before' }])
          }
          onChange={setSeller}
          hint={sellers.data ? 'Choose the seller' : 'Fetching the sellers …'}
          autoFocus
          labelClass=""
          className="flex items-center gap-3"
          fieldClass="w-72"
        />
        {tried && sellerId === '' && <span className="text-madder">Whose delivery is it?</span>}
      </div>
      <table className="w-full">
        <thead className="text-left text-xs text-slate">
          <tr>
            <th className="w-[32%] font-normal">Number, as on the box</th>
            <th className="w-[4.5rem] font-normal">Pieces</th>
            <th className="font-normal">Batch code</th>
            <th className="w-[5.5rem] font-normal">{inOurMoney('Price each, £')}</th>
            <th className="w-[22%] font-normal">Ordered under</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line, i) => (
            <tr key={i} className="align-top">
              <td className="pr-1">
                <NumberField
                  label={`Number, line ${i + 1}`}
                  text={line.text}
                  part={line.part}
                  onChange={(text, part) => change(i, { text, part })}
                />
                {tried && wrong[i] && (
                  <span className={`block text-xs ${wrong[i] === LOOKED_UP ? 'text-soft' : 'text-madder'}`}>
                    Line {i + 1}: {wrong[i]}.
                  </span>
                )}
              </td>
              <Cell
                label={`Pieces, line ${i + 1}`}
                value={line.quantity}
                longest={4}
                onChange={(quantity) => change(i, { quantity })}
              />
              <Cell
                label={`Batch code, line ${i + 1}`}
                value={line.code}
                longest={40}
                onChange={(code) => change(i, { code })}
              />
              <Cell
                label={`Price each, line ${i + 1}`}
                value={line.price}
                longest={10}
                onChange={(price) => change(i, { price })}
              />
              <Cell
                label={`Ordered under, line ${i + 1}`}
                value={line.orderedUnder}
                longest={40}
                onChange={(orderedUnder) => change(i, { orderedUnder })}
              />
            </tr>
          ))}
        </tbody>
      </table>
      <p className="flex items-center gap-3">
        <button type="button" className="button-act" onClick={store}>
          Take it in <Key>Ctrl Enter</Key>
        </button>
        <span className="text-soft">
          {once.isDue && once.isLooking
            ? 'Taken in as soon as its number is found.'
            : filled.length === 0
              ? 'A new line opens as one is filled.'
              : counted(filled.length, 'line')}
        </span>
      </p>
    </form>
  );
}

interface CellProps {
  readonly label: string;
  readonly value: string;
  readonly longest: number;
  readonly onChange: (text: string) => void;
}

function Cell({ label, value, longest, onChange }: CellProps) {
  return (
    <td className="pr-1">
      <input
        className="field num"
        aria-label={label}
        value={value}
        maxLength={longest}
        spellCheck={false}
        onChange={(event) => onChange(event.target.value)}
      />
    </td>
  );
}
