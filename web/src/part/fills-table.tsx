import { useQuery } from '@tanstack/react-query';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { Mark, VERDICT_MARK } from '../controls/mark.tsx';
import { printPrice } from '@brackenfell/core/words/money';
import { useCounter } from '../counter/use-counter.ts';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';

/** Which parts fill a number to order by: what each costs, what is here, what is thought of it, and what differs. */
export function FillsTable({ partId, printed }: { readonly partId: string; readonly printed: string }) {
  const { engineId, go } = useCounter();
  const { units } = useSettings();
  const fills = useQuery({
    queryKey: ['fills', partId, engineId, units],
    queryFn: () =>
      call('getPartFills', { params: { partId }, query: { units, ...(engineId ? { engine: engineId } : {}) } }),
  });
  if (fills.error)
    return (
      <p role="alert" className="text-madder">
        {fills.error.message}
      </p>
    );
  if (!fills.data) return <p className="text-soft">Looking for what fills it …</p>;
  const { parts, differIn, moreDiffer, engine } = fills.data;
  const makers = new Set(parts.map(({ maker }) => maker));
  if (parts.length === 0) return <p>Nothing in the catalogue is said to be the same part as {printed}.</p>;
  return (
    <section aria-label="What fills this number">
      <h2 className="pb-1 font-semibold text-slate">
        Filled by {parts.length === 1 ? 'one part' : `${parts.length} parts`}
        {engine ? <span className="font-normal text-soft">, judged for the {engine}</span> : ''}
      </h2>
      {makers.size > 1 && (
        <p className="flex items-baseline gap-2 pb-1">
          <Mark kind="caution" />
          <span>Of {makers.size} makers: a set ordered under this number can arrive mixed.</span>
        </p>
      )}
      <div className="overflow-x-auto">
        <table className="w-full">
          <thead className="text-left text-soft">
            <tr>
              {['Part', 'Each', 'Here', ...differIn].map((head) => (
                <th key={head} className="px-2 py-0.5 font-normal first-letter:uppercase first:pl-0">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {parts.map((part) => (
              <tr key={part.partId} className="border-t border-hair align-baseline">
                <td className="py-1 pr-2">
                  <span className="flex items-baseline gap-1.5">
                    {part.verdict && <Mark kind={VERDICT_MARK[part.verdict]} />}
                    <button
                      type="button"
                      className="num min-h-6 font-semibold underline decoration-line"
                      onClick={() => go(`/parts/${part.partId}`)}
                    >
                      {part.printed}
                    </button>
                    <span className="text-soft">{part.maker}</span>
                  </span>
                  {part.verdict && (
                    <span className="block text-soft">
                      {VERDICT_WORDS[part.verdict]}: {part.reason}
                    </span>
                  )}
                </td>
                <td className="num px-2">{printPrice(part.priceMinor)}</td>
                <td className="num px-2">{part.onHand}</td>
                {part.values.map((value, i) => (
                  <td key={differIn[i]} className="px-2">
                    {value ?? <span className="text-ash">not known</span>}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {parts.length > 1 && differIn.length === 0 && (
        <p className="text-soft">They differ in nothing that is recorded.</p>
      )}
      {moreDiffer > 0 && <p className="text-soft">They differ in {moreDiffer} more; each part’s page has them.</p>}
    </section>
  );
}
