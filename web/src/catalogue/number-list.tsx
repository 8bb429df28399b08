import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { useDeferredValue, useRef } from 'react';
import { Link } from 'react-router';
import type { RequestOf } from '@brackenfell/contract/endpoints';
import { KIND_WORDS, PART_KINDS } from '@brackenfell/core/facts/part-kinds';
import { inOurMoney, printAmount } from '@brackenfell/core/words/money';
import { Choice } from '../controls/choice.tsx';
import { Key } from '../controls/key.tsx';
import { useAddress, useAddressText } from '../controls/use-address.ts';
import { useKeys } from '../keys/keys.ts';
import { call } from '../wire/call.ts';

const ALL = 'all';
const KINDS = [
  { value: ALL, says: 'of every kind' },
  ...PART_KINDS.map((value) => ({ value, says: KIND_WORDS[value][0].toLowerCase() })),
  { value: 'oe-number', says: 'numbers to order by' },
  { value: 'unheld', says: 'only spoken of' },
  { value: 'sundry', says: 'sundries' },
  { value: 'kit', says: 'kits' },
] as const;
/** What one part of a kind is called. */
const ONE = new Map<string, string>([
  ...PART_KINDS.map((kind) => [kind, KIND_WORDS[kind][1]] as const),
  ['oe-number', 'number to order by'],
  ['unheld', 'only spoken of'],
]);
type Query = RequestOf<'listNumbers'>['query'];

/** Every number of the catalogue in its order: narrowed by how it begins, by kind, maker and shelf. The address keeps it. */
export function NumberList() {
  const { search, write } = useAddress();
  const field = useRef<HTMLInputElement>(null);
  const [begins, setBegins] = useAddressText('begins');
  const kind = search.get('kind') ?? ALL;
  const maker = search.get('maker') ?? ALL;
  const isStocked = search.get('shelf') === 'yes';
  const set = (name: string, value: string) => write({ [name]: value === ALL ? '' : value });
  const asked = useDeferredValue(begins);
  const found = useInfiniteQuery({
    queryKey: ['numbers', asked, kind, maker, isStocked],
    queryFn: ({ pageParam }) =>
      call('listNumbers', {
        query: {
          begins: asked,
          ...(kind === ALL ? {} : { kind: kind as NonNullable<Query['kind']> }),
          ...(maker === ALL ? {} : { maker }),
          ...(isStocked ? { stocked: 'yes' as const } : {}),
          ...pageParam,
        },
      }),
    initialPageParam: {},
    getNextPageParam: ({ numbers, hasMore }) => {
      const last = numbers.at(-1);
      return hasMore && last ? { afterForm: last.normal, afterId: last.nameId } : undefined;
    },
    placeholderData: keepPreviousData,
  });
  const rows = found.data?.pages.flatMap(({ numbers }) => numbers) ?? [];
  const makers = found.data?.pages[0]?.makers ?? [];
  const more = () => {
    if (found.hasNextPage && !found.isFetchingNextPage) void found.fetchNextPage();
  };
  useKeys('Numbers', [
    { press: 'f', does: 'How the number begins', run: () => field.current?.focus() },
    { press: 'x', does: 'On the shelf, or all', run: () => set('shelf', isStocked ? '' : 'yes') },
    ...(found.hasNextPage ? [{ press: 'e', does: 'More numbers', run: more }] : []),
  ]);
  return (
    <main className="desk-main col-span-2" aria-label="Numbers of the catalogue">
      <div className="flex flex-wrap items-center gap-4 border-b border-line px-4 py-2">
        <h1 className="text-verdict font-semibold">Numbers</h1>
        <label className="flex items-center gap-2 text-slate">
          Begins with <Key>f</Key>
          <input
            ref={field}
            className="field num w-44"
            value={begins}
            maxLength={40}
            spellCheck={false}
            onChange={(event) => setBegins(event.target.value)}
          />
        </label>
        <Choice
          label="Kind"
          className="flex items-center gap-2"
          value={kind}
          options={KINDS}
          onChange={(value) => set('kind', value)}
        />
        <Choice
          label="Maker"
          className="flex items-center gap-2"
          value={maker}
          options={[
            { value: ALL, says: 'of every maker' },
            ...makers.map((one) => ({ value: one.makerId, says: one.name })),
          ]}
          onChange={(value) => set('maker', value)}
        />
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4"
            checked={isStocked}
            onChange={() => set('shelf', isStocked ? '' : 'yes')}
          />
          on the shelf <Key>x</Key>
        </label>
      </div>
      {found.error && (
        <p role="alert" className="p-3 text-madder">
          {found.error.message}
        </p>
      )}
      <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="region" aria-label="List of numbers">
        <table className="w-full">
          <thead className="text-left text-soft">
            <tr>
              {['Number', 'As', 'Maker', 'Kind'].map((head) => (
                <th key={head} className="px-3 py-1 font-normal">
                  {head}
                </th>
              ))}
              <th className="px-3 py-1 text-right font-normal">Here</th>
              <th className="px-3 py-1 text-right font-normal">{inOurMoney('£ each')}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.nameId} className="border-t border-hair">
                <td className="num px-3 py-1 [overflow-wrap:anywhere]">
                  <Link className="font-semibold underline decoration-line" to={`/parts/${row.partId}`}>
                    {row.printed}
                  </Link>
                </td>
                <td className="px-3">{row.as}</td>
                <td className="px-3 [overflow-wrap:anywhere]">{row.maker}</td>
                <td className="px-3">{ONE.get(row.kind) ?? row.kind}</td>
                <td className="num px-3 text-right">{row.onHand ?? '–'}</td>
                <td className="num px-3 text-right">{printAmount(row.priceMinor)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {found.isPending && <p className="p-4 text-soft">Fetching the numbers …</p>}
        {found.data && rows.length === 0 && <p className="p-4">No number of this catalogue answers to all of that.</p>}
        {found.hasNextPage && (
          <p className="p-3">
            <button type="button" className="button-quiet" disabled={found.isFetchingNextPage} onClick={more}>
              More <Key>e</Key>
            </button>
          </p>
        )}
      </div>
    </main>
  );
}
