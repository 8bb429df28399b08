import { Link } from 'react-router';
import { printDate } from '@brackenfell/core/words/moments';
import { Choice } from '../controls/choice.tsx';
import { Mark } from '../controls/mark.tsx';
import { useAddress } from '../controls/use-address.ts';
import { useSettings } from '../settings/settings.ts';
import { dueMark, dueWhen } from './due-words.ts';
import { useDues } from './use-garage.ts';

const SPANS = [
  { value: '7', says: 'in a week' },
  { value: '31', says: 'in a month' },
  { value: '92', says: 'in three months' },
] as const;

/** Whom to ring: what is past and what is due by a day, with the reason; as a list, a calendar and a sheet. */
export function DuePage() {
  const { search, write } = useAddress();
  const { units } = useSettings();
  const days = SPANS.find(({ value }) => value === search.get('days'))?.value ?? '7';
  const { data, error } = useDues(Number(days));
  return (
    <main className="desk-main col-span-2" aria-label="Due">
      <header className="set-up-head">
        <Mark kind={data?.dues.length ? 'caution' : 'match'} rem={1.25} />
        <h1 className="text-head font-semibold">
          {data ? `${data.dues.length} due by ${printDate(data.until)}` : 'Looking what is due …'}
        </h1>
        <Choice
          label="Due"
          labelClass="sr-only"
          value={days}
          options={SPANS}
          onChange={(value) => write({ days: value })}
        />
        <span className="flex-1" />
        <a
          className="button-plain inline-flex items-center"
          href={`/api/garage/due.ics?days=${days}`}
          download="due.ics"
        >
          As a calendar
        </a>
        <a
          className="button-plain inline-flex items-center"
          href={`/api/garage/due.csv?days=${days}`}
          download="due.csv"
        >
          As a sheet
        </a>
      </header>
      <div className="min-h-0 flex-1 overflow-auto p-4" tabIndex={0} role="region" aria-label="Dues">
        {error && (
          <p role="alert" className="text-madder">
            {error.message}
          </p>
        )}
        {data && data.notLookedAt > 0 && (
          <p role="alert" className="text-madder">
            {data.notLookedAt} vehicles, the longest in the book, were not reckoned: it is larger than this list.
          </p>
        )}
        {data?.dues.length === 0 && <p className="text-soft">Nothing is due by then, as far as anybody knows.</p>}
        {data && data.dues.length > 0 && (
          <table className="w-full max-w-6xl">
            <thead className="text-left text-xs text-slate">
              <tr>
                <th className="font-normal">Vehicle</th>
                <th className="font-normal">What</th>
                <th className="font-normal">When</th>
                <th className="font-normal">Why</th>
                <th className="font-normal">Who</th>
              </tr>
            </thead>
            <tbody>
              {data.dues.map((due) => (
                <tr key={due.fittedId} className="border-t border-hair align-top">
                  <th className="pr-3 text-left font-normal">
                    <span className="flex gap-1.5">
                      <span className="pt-0.5">
                        <Mark kind={dueMark(due)} label={due.isPast ? 'Now' : 'To come'} />
                      </span>
                      <Link className="underline" to={`/garage/vehicles/${due.vehicleId}`}>
                        {due.called} <span className="num whitespace-nowrap">{due.plate}</span>
                      </Link>
                    </span>
                  </th>
                  <td className="num pr-3 whitespace-nowrap">{due.what}</td>
                  <td className="pr-3">{dueWhen(due, units)}</td>
                  <td className="pr-3 text-soft">{due.because}</td>
                  <td>
                    {due.customer} <span className="num whitespace-nowrap">{due.phone}</span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
    </main>
  );
}
