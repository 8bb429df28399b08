import { listed } from '@brackenfell/core/words/counted';
import { useNavigate } from 'react-router';
import type { Delivery } from '@brackenfell/contract/delivery';
import { CHANNEL_WORDS } from '@brackenfell/core/authenticity/prior';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { printPrice } from '@brackenfell/core/words/money';
import { useKeys } from '../keys/keys.ts';
import { batchCode, STATE_MARK, STATE_WORDS } from '../quarantine/batch-words.ts';
import { LETTERS } from '../session/switch-person.tsx';

/** A delivery taken in: its batches, and which to look at before anything is sold. */
export function DeliveryView({ delivery }: { delivery: Delivery }) {
  const navigate = useNavigate();
  const inspect = ({ partId, batchId }: Delivery['lines'][number]) =>
    void navigate(`/counter/proof?inspect=${partId}&batch=${batchId}`);
  useKeys(
    'Delivery',
    delivery.lines
      .slice(0, LETTERS.length)
      .map((line, i) => ({ press: LETTERS[i]!, does: `Look at ${line.printed}`, run: () => inspect(line) })),
  );
  return (
    <section aria-label={`Delivery of ${delivery.seller}`}>
      <h2 className="text-head font-semibold">
        {delivery.seller}, {printMoment(delivery.at)}
      </h2>
      <p className="pb-2 text-soft">
        {CHANNEL_WORDS[delivery.channel]}; taken in by {delivery.by}. The stock has followed.
      </p>
      {delivery.mixed.map(({ orderedUnder, makers }) => (
        <p key={orderedUnder} className="flex items-center gap-2 pb-2">
          <Mark kind="caution" label="Caution" />
          <span>
            <span className="num">{orderedUnder}</span> was filled with parts of {listed(makers)}: hand over sets of one
            maker.
          </span>
        </p>
      ))}
      <table className="w-full">
        <thead className="text-left text-xs text-slate">
          <tr>
            <th className="font-normal">Number</th>
            <th className="text-right font-normal">Came</th>
            <th className="text-right font-normal">In all</th>
            <th className="pl-3 font-normal">Batch</th>
            <th className="text-right font-normal">Each</th>
            <th className="pl-3 font-normal">Before it is sold</th>
            <th>
              <span className="sr-only">Proof</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {delivery.lines.map((line, i) => (
            <tr key={line.batchId} className="border-t border-hair align-top">
              <td>
                <b className="num font-semibold">{line.printed}</b> <span className="text-soft">{line.maker}</span>
                {line.state !== 'open' && (
                  <span className="flex items-center gap-1 text-madder">
                    <Mark kind={STATE_MARK[line.state]} rem={0.625} /> {STATE_WORDS[line.state]}
                  </span>
                )}
              </td>
              <td className="num text-right">{line.quantity}</td>
              <td className="num text-right text-soft">{line.partOnHand}</td>
              <td className="num pl-3">{batchCode(line.code)}</td>
              <td className="num text-right">{printPrice(line.unitCostMinor)}</td>
              <td className={`pl-3 ${line.suggested.pieces > 0 ? 'font-semibold' : 'text-soft'}`}>
                {line.suggested.says}
              </td>
              <td className="text-right">
                {line.inspectionId ? (
                  <button
                    type="button"
                    className="min-h-6 underline"
                    onClick={() => void navigate(`/counter/proof/${line.inspectionId!}`)}
                  >
                    looked at
                  </button>
                ) : (
                  <button type="button" className="button-plain" onClick={() => inspect(line)}>
                    Look <Key>{LETTERS[i]}</Key>
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
