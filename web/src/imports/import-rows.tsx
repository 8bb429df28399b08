import { COLUMN_USE_WORDS } from '@brackenfell/core/imports/columns';
import type { Heap } from '@brackenfell/core/imports/sort-row';
import type { ImportView } from '@brackenfell/contract/imports';
import { Mark } from '../controls/mark.tsx';
import { HEAP_MARKS } from './import-words.ts';
import { useImportRows } from './use-imports.ts';

interface ImportRowsProps {
  readonly view: ImportView;
  readonly heap: Heap | undefined;
}

/** The rows of a list as they lie: what each would change, or why it is not taken. */
export function ImportRows({ view, heap }: ImportRowsProps) {
  const { data, error, hasNextPage, fetchNextPage, isFetchingNextPage } = useImportRows(view, heap);
  const rows = data?.pages.flatMap((page) => page.rows) ?? [];
  return (
    <section aria-label="Rows" className="px-3 py-2">
      <h2 className="text-lead font-semibold">
        Rows <span className="font-normal text-soft">{heap ? `that are ${heap}` : 'in the order of the file'}</span>
      </h2>
      {error && (
        <p role="alert" className="text-madder">
          {error.message}
        </p>
      )}
      <table className="w-full">
        <thead>
          <tr className="text-left text-soft">
            <th scope="col" className="text-right">
              Line
            </th>
            <th scope="col" className="px-2">
              Heap
            </th>
            <th scope="col">Number</th>
            <th scope="col">Ours → the file</th>
            <th scope="col">Why</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.line} className="border-t border-hair align-top">
              <td className="num text-right">{row.line}</td>
              <td className="whitespace-nowrap px-2">
                <Mark kind={HEAP_MARKS[row.heap]} rem={0.75} label="" /> {row.heap}
              </td>
              <td className="num whitespace-nowrap pr-3 font-semibold">{row.number || '–'}</td>
              <td className="pr-3">
                {row.changes.map(({ what, ours, theirs }) => (
                  <span key={what} className="block">
                    {COLUMN_USE_WORDS[what]}{' '}
                    <span className="num">
                      <span className="text-soft">{ours ?? '–'}</span> → <b className="font-semibold">{theirs}</b>
                    </span>
                  </span>
                ))}
              </td>
              <td className="text-soft">{row.why.join('; ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {data && rows.length === 0 && <p className="text-soft">No row lies here.</p>}
      {hasNextPage && (
        <button
          type="button"
          className="button-plain"
          disabled={isFetchingNextPage}
          onClick={() => void fetchNextPage()}
        >
          More rows
        </button>
      )}
    </section>
  );
}
