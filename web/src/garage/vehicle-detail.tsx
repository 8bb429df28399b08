import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { GarageVehicle } from '@brackenfell/contract/garage';
import { sayIn } from '@brackenfell/core/fitment/say';
import { sayRun } from '@brackenfell/core/garage/say-due';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { nameNewSlip } from '../counter/slip-outbox.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { slipCall } from '../counter/slip-call.ts';
import { useKeys } from '../keys/keys.ts';
import { useSession } from '../session/use-session.ts';
import { useSettings } from '../settings/settings.ts';
import { DeclinedDialog } from './declined-dialog.tsx';
import { dueMark } from './due-words.ts';
import { FittedDialog } from './fitted-dialog.tsx';
import { HistoryChart } from './history-chart.tsx';
import { MendDialog } from './mend-dialog.tsx';
import { EraseDialog, MergeDialog } from './person-dialogs.tsx';
import { ReadingDialog } from './reading-dialog.tsx';
import { Declined, Dues, Fitted, Readings, Remembered, Slips } from './vehicle-panels.tsx';

type Sheet = 'reading' | 'fitted' | 'declined' | 'mend' | 'erase' | 'merge';

/** One vehicle: what sat where, what is due and why, what was declined, and all that is remembered of it. */
export function VehicleDetail({ vehicle }: { readonly vehicle: GarageVehicle }) {
  const { data: me } = useSession();
  const { units } = useSettings();
  const say = sayIn(units);
  const [sheet, open] = useState<Sheet>();
  const navigate = useNavigate();
  const write = useSlipWrite();
  const { customer } = vehicle;
  const isSupervisor = me?.role === 'supervisor';
  const begin = () => {
    const name = nameNewSlip();
    write.mutate(
      slipCall('createSlip', { body: { garageVehicleId: vehicle.vehicleId } }, `new slip for ${vehicle.called}`),
      {},
      name,
    );
    const engine = vehicle.engineId ? `&engine=${vehicle.engineId}` : '';
    void navigate(`/counter/${vehicle.engineId ? 'parts' : 'engine'}?slip=${name}${engine}`);
  };
  const exportAll = () => window.open(`/api/garage/customers/${customer!.customerId}/export`, '_blank', 'noopener');
  useKeys('Vehicle', [
    { press: 'b', does: 'Begin a slip for it', run: begin },
    { press: 'm', does: 'Write down what it has run', run: () => open('reading') },
    { press: 'a', does: 'Write down what sits in it', run: () => open('fitted') },
    { press: 'd', does: 'Keep advice that was declined', run: () => open('declined') },
    { press: 'e', does: 'Mend what is remembered', run: () => open('mend') },
    ...(customer && me?.role !== 'starter'
      ? [{ press: 'w', does: 'The customer is in the book twice', run: () => open('merge') }]
      : []),
    ...(customer && isSupervisor
      ? [
          { press: 'x', does: 'All that is kept of the customer, as data', run: exportAll },
          { press: 'r', does: 'Erase the customer', run: () => open('erase') },
        ]
      : []),
  ]);
  const close = () => open(undefined);
  const [first] = vehicle.dues;
  return (
    <main className="desk-main" aria-label="Vehicle">
      <header className="set-up-head">
        <Mark kind={dueMark(first ?? null)} rem={1.25} />
        <h1 className="min-w-0 text-head font-semibold [overflow-wrap:anywhere]">{vehicle.called}</h1>
        <span className="min-w-60 flex-1 text-soft">
          {[vehicle.engine ?? 'no engine yet', vehicle.build, vehicle.plate].filter(Boolean).join(', ')}.{' '}
          {vehicle.servedNow
            ? `${vehicle.servedNow.isEstimate ? 'About ' : ''}${sayRun(vehicle.servedNow.served, vehicle.countsIn, say)}${vehicle.servedNow.isEstimate ? ', reckoned' : ''}.`
            : 'Never read.'}
        </span>
        <button type="button" className="button-plain" onClick={() => open('reading')}>
          New reading <Key>m</Key>
        </button>
        <button type="button" className="button-act" onClick={begin}>
          Begin a slip <Key>b</Key>
        </button>
      </header>
      <div className="set-up-panels" tabIndex={0} role="region" aria-label="History, dues and what is remembered">
        <div className="grid content-start">
          <section aria-label="History and wear" className="set-up-panel">
            <h2 className="text-lead font-semibold">History and wear</h2>
            <HistoryChart vehicle={vehicle} say={say} />
          </section>
          <Dues vehicle={vehicle} />
          <Fitted vehicle={vehicle} say={say} onAdd={() => open('fitted')} />
        </div>
        <div className="grid content-start">
          <Declined vehicle={vehicle} onAdd={() => open('declined')} />
          <Remembered vehicle={vehicle} say={say} onMend={() => open('mend')} />
          <Readings vehicle={vehicle} say={say} />
          <Slips vehicle={vehicle} />
          {customer && (
            <section aria-label="The person" className="set-up-panel">
              <h2 className="text-lead font-semibold">The person</h2>
              <div className="flex flex-wrap gap-2">
                {me?.role !== 'starter' && (
                  <button type="button" className="button-plain" onClick={() => open('merge')}>
                    Twice in the book <Key>w</Key>
                  </button>
                )}
                {isSupervisor ? (
                  <>
                    <button type="button" className="button-plain" onClick={exportAll}>
                      Export as data <Key>x</Key>
                    </button>
                    <button type="button" className="button-plain" onClick={() => open('erase')}>
                      Erase the person <Key>r</Key>
                    </button>
                  </>
                ) : (
                  <span className="text-soft">Export and erasure are a supervisor’s.</span>
                )}
              </div>
            </section>
          )}
        </div>
      </div>
      {sheet === 'reading' && <ReadingDialog vehicle={vehicle} onClose={close} />}
      {sheet === 'fitted' && <FittedDialog vehicle={vehicle} onClose={close} />}
      {sheet === 'declined' && <DeclinedDialog vehicle={vehicle} onClose={close} />}
      {sheet === 'mend' && <MendDialog vehicle={vehicle} onClose={close} />}
      {sheet === 'erase' && customer && <EraseDialog customer={customer} onClose={close} />}
      {sheet === 'merge' && customer && (
        <MergeDialog customer={customer} vehicleId={vehicle.vehicleId} onClose={close} />
      )}
    </main>
  );
}
