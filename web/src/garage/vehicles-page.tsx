import { useNavigate, useParams } from 'react-router';
import type { GarageLine } from '@brackenfell/contract/garage';
import { sayIn } from '@brackenfell/core/fitment/say';
import { sayRun } from '@brackenfell/core/garage/say-due';
import { Mark } from '../controls/mark.tsx';
import { usePickList } from '../controls/pick-list.ts';
import { useAddressText } from '../controls/use-address.ts';
import { useSettings } from '../settings/settings.ts';
import { dueMark, dueWhen } from './due-words.ts';
import { useVehicle, useVehicles } from './use-garage.ts';
import { VehicleDetail } from './vehicle-detail.tsx';

/** Vehicles and machines of the garage book, what is due first; the picked one with its history. */
export function VehiclesPage() {
  const { vehicleId } = useParams();
  const navigate = useNavigate();
  const { units } = useSettings();
  const [q, setQ] = useAddressText('q');
  const { data, error } = useVehicles(q.trim());
  const lines = data?.vehicles ?? [];
  const pick = (line: GarageLine | undefined) => {
    if (line)
      void navigate(
        { pathname: `/garage/vehicles/${line.vehicleId}`, search: window.location.search },
        { replace: true },
      );
  };
  const list = usePickList({
    label: 'Vehicles',
    row: 'vehicle',
    count: lines.length,
    picked: vehicleId === undefined ? 0 : lines.findIndex((line) => line.vehicleId === vehicleId),
    pick: (index) => pick(lines[index]),
  });
  const picked = vehicleId ?? lines[0]?.vehicleId;
  const vehicle = useVehicle(picked);
  return (
    <>
      <aside className="desk-list" aria-label="Vehicles">
        <div className="grid gap-1 border-b border-line px-3 py-2">
          <h1 className="text-verdict font-semibold">Garage book</h1>
          <input
            className="field"
            aria-label="Find a vehicle by name, phone or plate"
            placeholder="name, phone, plate"
            value={q}
            maxLength={80}
            onChange={(event) => setQ(event.target.value)}
          />
          <p className="text-soft">{data ? `${data.total} in it; what is due stands first` : 'Opening the book …'}</p>
          {error && (
            <p role="alert" className="text-madder">
              {error.message}
            </p>
          )}
        </div>
        <ol {...list.listProps} className="min-h-0 flex-1 overflow-auto">
          {lines.map((line, i) => (
            <li key={line.vehicleId} {...list.rowProps(i)} className="garage-line">
              <Mark kind={dueMark(line.due)} label={line.due ? dueWhen(line.due, units) : 'nothing due'} />
              <b className="min-w-0 font-semibold [overflow-wrap:anywhere]">{line.called}</b>
              <span className="num text-right text-soft">{line.plate}</span>
              <span className="col-[2/-1] flex justify-between gap-2 text-soft">
                <span className="min-w-0 truncate">
                  {line.customer === '' ? (line.engine ?? 'no engine yet') : line.customer}
                </span>
                <span className="num whitespace-nowrap">
                  {line.served === null ? '' : sayRun(line.served, line.countsIn, sayIn(units))}
                </span>
              </span>
              {line.due && (
                <span className="col-[2/-1]">
                  {line.due.what}: {dueWhen(line.due, units)}
                </span>
              )}
            </li>
          ))}
        </ol>
        {data && data.more > 0 && (
          <p className="border-t border-hair p-3 text-soft">{data.more} more answer: ask for less.</p>
        )}
        {data && lines.length === 0 && (
          <p className="p-3 text-soft">
            {q.trim() === ''
              ? 'Nothing is in it yet. On a slip, Shift r remembers its vehicle.'
              : `Nothing answers to “${q.trim()}”: try fewer characters.`}
          </p>
        )}
      </aside>
      {vehicle.data ? (
        <VehicleDetail key={vehicle.data.vehicleId} vehicle={vehicle.data} />
      ) : (
        <main className="desk-main p-6" aria-label="Vehicle">
          <p className={vehicle.error ? 'text-madder' : 'text-soft'} role={vehicle.error ? 'alert' : undefined}>
            {vehicle.error
              ? vehicle.error.message
              : picked
                ? 'Fetching the vehicle …'
                : 'A vehicle is shown here once there is one.'}
          </p>
        </main>
      )}
    </>
  );
}
