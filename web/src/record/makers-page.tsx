import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { counted, printCount } from '@brackenfell/core/words/counted';
import { Trouble } from '../controls/trouble.tsx';
import { call } from '../wire/call.ts';

/** The makers of the catalogue: how each rates heat and how its numbers are read. */
export function MakersPage() {
  const makers = useQuery({ queryKey: ['makers'], queryFn: () => call('listMakers', {}) });
  return (
    <main className="desk-main col-span-2" aria-label="Makers">
      <h1 className="border-b border-line px-4 py-2 text-verdict font-semibold">
        {makers.data ? counted(makers.data.makers.length, 'maker') : 'Makers'}
      </h1>
      <Trouble error={makers.error} className="p-4" />
      <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="region" aria-label="List of makers">
        <table className="w-full">
          <thead className="text-left text-soft">
            <tr>
              {['Maker', 'Parts', 'Heat scale, from hot to cold', 'Numbering'].map((head) => (
                <th key={head} className="px-3 py-1 font-normal">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {makers.data?.makers.map(({ makerId, name, parts, ratings, numbering }) => (
              <tr key={makerId} className="border-t border-hair">
                <td className="px-3 py-1 font-semibold">{name}</td>
                <td className="num px-3">{printCount(parts)}</td>
                <td className="px-3">
                  <Link
                    className="underline decoration-line"
                    aria-label={`Heat scale of ${name}`}
                    to={`/catalogue/records/heat-scale/${makerId}`}
                  >
                    {ratings > 0 ? counted(ratings, 'rating') : 'none yet'}
                  </Link>
                </td>
                <td className="px-3">
                  <Link
                    className="underline decoration-line"
                    aria-label={`Numbering of ${name}`}
                    to={`/catalogue/records/numbering/${makerId}`}
                  >
                    {numbering ?? 'none yet'}
                  </Link>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {makers.isPending && <p className="p-4 text-soft">Fetching the makers …</p>}
        {makers.data?.makers.length === 0 && (
          <p className="p-4">No maker is in this catalogue yet: one is added where a list names it.</p>
        )}
      </div>
    </main>
  );
}
