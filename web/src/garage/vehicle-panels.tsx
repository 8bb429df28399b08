import { Link } from 'react-router';
import type { GarageVehicle } from '@brackenfell/contract/garage';
import type { Say } from '@brackenfell/core/fitment/say';
import { sayRun } from '@brackenfell/core/garage/say-due';
import { printDate } from '@brackenfell/core/words/moments';
import { printPrice } from '@brackenfell/core/words/money';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printDocket } from '../counter/print-docket.ts';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';
import { dueMark, dueWhen } from './due-words.ts';
import { useGarageWrite } from './use-garage.ts';

/** What is due of it, and why. */
export function Dues({ vehicle }: { readonly vehicle: GarageVehicle }) {
  const { units } = useSettings();
  return (
    <section aria-label="Due" className="set-up-panel">
      <h2 className="text-lead font-semibold">Due</h2>
      {vehicle.dues.length === 0 && (
        <p className="text-soft">Nothing that sits in it has an end that anybody states.</p>
      )}
      <ul>
        {vehicle.dues.map((due) => (
          <li key={due.fittedId} className="grid grid-cols-[0.75rem_1fr] gap-x-2 border-t border-hair py-0.5">
            <span className="pt-0.5">
              <Mark kind={dueMark(due)} label={due.isPast ? 'Due now' : 'To come'} />
            </span>
            <span>
              <b className="font-semibold">{due.what}</b> <span className="num">{dueWhen(due, units)}</span>
              <span className="block text-soft">{due.because}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

interface PartProps {
  readonly vehicle: GarageVehicle;
  readonly say: Say;
}

export function Fitted({ vehicle, say, onAdd }: PartProps & { readonly onAdd: () => void }) {
  return (
    <section aria-label="What sat where" className="set-up-panel">
      <h2 className="flex items-baseline justify-between">
        <b className="text-lead font-semibold">What sat where</b>
        <button type="button" className="button-quiet" onClick={onAdd}>
          Add a record <Key>a</Key>
        </button>
      </h2>
      {vehicle.fitted.length === 0 && (
        <p className="text-soft">Nothing is written down yet. What a slip sells to it is, by itself.</p>
      )}
      <ul>
        {[...vehicle.fitted].reverse().map((record) => (
          <li key={record.fittedId} className="border-t border-hair py-0.5">
            <span className={record.isCurrent ? 'font-semibold' : ''}>
              {record.quantity} × <span className="num">{record.printed}</span>
            </span>{' '}
            {record.places.length > 0 && <span>at {record.places.join(', ')}</span>}{' '}
            <span className="text-soft">
              {record.on ? printDate(record.on) : 'nobody knows when'}
              {record.served === null
                ? ''
                : `, ${record.isReckoned ? 'about ' : ''}${sayRun(record.served, vehicle.countsIn, say)}`}
              {record.how === 'said' ? ', only said' : ''}
              {record.batch ? `, batch ${record.batch}` : ''}; {record.by}
            </span>
            {record.slip && (
              <>
                {' '}
                <Link className="underline" to={`/slips/${record.slip.slipId}`}>
                  slip {printDocket(record.slip.docket)}
                </Link>
              </>
            )}
            {record.gaps.length > 0 && (
              <span className="block">
                Gap {record.gaps.map(({ place, gapMm }) => `${place}: ${say.quantity('gap', gapMm)}`).join(', ')}
              </span>
            )}
            {record.torque && record.isCurrent && <span className="block text-soft">Tightened {record.torque}</span>}
            {!record.slip && (
              <TakeBack
                what={record.printed}
                send={() =>
                  call('withdrawFittedRecord', {
                    params: { vehicleId: vehicle.vehicleId, fittedId: record.fittedId },
                    body: {},
                  })
                }
              />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

export function Declined({ vehicle, onAdd }: { readonly vehicle: GarageVehicle; readonly onAdd: () => void }) {
  return (
    <section aria-label="Advice declined" className="set-up-panel">
      <h2 className="flex items-baseline justify-between">
        <b className="text-lead font-semibold">Advice declined</b>
        <button type="button" className="button-quiet" onClick={onAdd}>
          Keep one <Key>d</Key>
        </button>
      </h2>
      {vehicle.declined.length === 0 && <p className="text-soft">None. What is kept here is raised once, next time.</p>}
      <ul>
        {vehicle.declined.map((advice) => (
          <li key={advice.declinedId} className="border-t border-hair py-0.5">
            <span className="flex justify-between gap-2">
              <span className={advice.raised ? 'text-soft' : 'font-semibold'}>{advice.says}</span>
              {advice.priceMinor !== null && <span className="num">{printPrice(advice.priceMinor)}</span>}
            </span>
            <span className="block text-soft">
              {printDate(advice.at)}, {advice.by}.{' '}
              {advice.raised
                ? `Raised ${printDate(advice.raised.at)}, ${advice.raised.taken ? 'taken' : 'declined again'}: closed.`
                : 'To be raised once, on its next slip.'}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

export function Remembered({ vehicle, say, onMend }: PartProps & { readonly onMend: () => void }) {
  const { customer, months } = vehicle;
  const rows = [
    ['Customer', customer && [customer.name, customer.isTrade ? 'in the trade' : ''].filter(Boolean).join(', ')],
    ['Phone', customer?.phone],
    ['Account', customer?.accountRef],
    ['Plate', vehicle.plate],
    ['Serial', vehicle.serial],
    ['Engine', [vehicle.engine, vehicle.build].filter(Boolean).join(', ')],
    ['Changed', vehicle.modified],
    [
      'Use',
      vehicle.usePerDay === null
        ? 'nobody knows'
        : `${sayRun(vehicle.usePerDay, vehicle.countsIn, say)} a day, ${months.length === 12 ? 'all year' : `${months.length} months`}`,
    ],
  ] as const;
  return (
    <section aria-label="Remembered" className="set-up-panel">
      <h2 className="flex items-baseline justify-between">
        <b className="text-lead font-semibold">Remembered</b>
        <button type="button" className="button-quiet" onClick={onMend}>
          Mend <Key>e</Key>
        </button>
      </h2>
      <dl className="grid grid-cols-[5rem_1fr] gap-x-2">
        {rows.map(([label, value]) =>
          value ? (
            <div key={label} className="contents">
              <dt className="text-slate">{label}</dt>
              <dd className="min-w-0 [overflow-wrap:anywhere]">{value}</dd>
            </div>
          ) : null,
        )}
      </dl>
    </section>
  );
}

export function Readings({ vehicle, say }: PartProps) {
  return (
    <section aria-label="Readings" className="set-up-panel">
      <h2 className="text-lead font-semibold">Readings</h2>
      {vehicle.readings.length === 0 && (
        <p className="text-soft">Never read. Two, a month apart, say how it is used.</p>
      )}
      <ul>
        {[...vehicle.readings].reverse().map((reading) => (
          <li key={reading.readingId} className="flex flex-wrap items-baseline gap-x-2 border-t border-hair">
            <b className="num font-semibold">{sayRun(reading.served, vehicle.countsIn, say)}</b>
            <span className="flex-1 text-soft">
              {printDate(reading.on)}, {reading.how === 'said' ? 'said to ' : ''}
              {reading.by}
            </span>
            <TakeBack
              what={sayRun(reading.served, vehicle.countsIn, say)}
              send={() =>
                call('withdrawServedReading', {
                  params: { vehicleId: vehicle.vehicleId, readingId: reading.readingId },
                  body: {},
                })
              }
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

export function Slips({ vehicle }: { readonly vehicle: GarageVehicle }) {
  return (
    <section aria-label="Its slips" className="set-up-panel">
      <h2 className="text-lead font-semibold">Its slips</h2>
      {vehicle.slips.length === 0 && <p className="text-soft">None yet.</p>}
      <ul>
        {vehicle.slips.map((slip) => (
          <li key={slip.slipId} className="border-t border-hair">
            <Link className="num underline" to={`/slips/${slip.slipId}`}>
              {printDocket(slip.docket)}
            </Link>{' '}
            <span className="text-soft">
              {slip.state}, {printDate(slip.at)} {slip.cameFor}
            </span>
          </li>
        ))}
        {vehicle.found.map((found) => (
          <li key={`${found.slipId} ${found.says}`} className="text-soft">
            {found.says}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Takes back what was written down by mistake. */
function TakeBack({ what, send }: { readonly what: string; readonly send: () => Promise<GarageVehicle> }) {
  const write = useGarageWrite();
  return (
    <button type="button" className="button-quiet" aria-label={`Take back ${what}`} onClick={() => write.mutate(send)}>
      Take it back
    </button>
  );
}
