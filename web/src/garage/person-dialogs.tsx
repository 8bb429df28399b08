import { useState } from 'react';
import { toast } from '../controls/toast.ts';
import type { GarageVehicle } from '@brackenfell/contract/garage';
import { counted } from '@brackenfell/core/words/counted';
import { Dialog } from '../controls/dialog.tsx';
import { SureButton } from '../controls/sure-button.tsx';
import { call } from '../wire/call.ts';
import { useGarageWrite, useVehicles } from './use-garage.ts';

type Customer = NonNullable<GarageVehicle['customer']>;

interface PersonProps {
  readonly customer: Customer;
  readonly onClose: () => void;
}

/** Erasing a person: told what goes and what stays, and done once the name is typed. */
export function EraseDialog({ customer, onClose }: PersonProps) {
  const [name, setName] = useState('');
  const write = useGarageWrite<{ slips: number; vehicles: number; papers: number; notes: number }>();
  const erase = () => {
    if (name !== customer.name || write.isPending) return;
    write.mutate(() => call('erasePerson', { params: { customerId: customer.customerId }, body: { name } }), {
      onSuccess: ({ slips, vehicles, papers, notes }) => {
        toast(
          `Erased from ${counted(vehicles, 'vehicle')} and ${counted(slips, 'slip')}; ${counted(papers, 'paper')} and ${counted(notes, 'note')} gone. Sales and judgements stay.`,
        );
        onClose();
      },
    });
  };
  return (
    <Dialog
      title={`Erase ${customer.name}`}
      about="Name, phone, plates, serials, notes and printed papers go for good, here and in the history. What was sold and judged stays, of nobody. It cannot be undone: export it first if it is wanted."
      onClose={onClose}
    >
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          erase();
        }}
      >
        <label className="grid gap-1">
          <span className="text-slate">Type the name as it stands: {customer.name}</span>
          <input
            className="field"
            autoFocus
            value={name}
            maxLength={120}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <button type="submit" className="button-act justify-self-start" disabled={name !== customer.name}>
          Erase for good
        </button>
      </form>
    </Dialog>
  );
}

/** Two entries that are one person: which one stays is found by any of its vehicles. */
export function MergeDialog({ customer, vehicleId, onClose }: PersonProps & { readonly vehicleId: string }) {
  const [q, setQ] = useState('');
  const found = useVehicles(q.trim());
  const write = useGarageWrite<{ vehicles: number }>();
  const others = (found.data?.vehicles ?? []).filter((line) => line.vehicleId !== vehicleId && line.customer !== '');
  const merge = (otherId: string, name: string) => {
    if (write.isPending) return;
    write.mutate(
      async () => {
        const other = await call('getGarageVehicle', { params: { vehicleId: otherId } });
        return call('mergePeople', {
          params: { customerId: customer.customerId },
          body: { version: customer.version, intoId: other.customer!.customerId },
        });
      },
      {
        onSuccess: ({ vehicles }) => {
          toast(`${customer.name} is ${name} now, with ${counted(vehicles, 'vehicle')}.`);
          onClose();
        },
      },
    );
  };
  return (
    <Dialog
      title={`${customer.name} is somebody who is in the book already`}
      about="Its vehicles go to the entry chosen; that entry’s name and phone stand."
      onClose={onClose}
    >
      <div className="grid gap-2">
        <label className="grid gap-1">
          <span className="text-slate">Who? Name, phone or a plate</span>
          <input className="field" autoFocus value={q} maxLength={80} onChange={(event) => setQ(event.target.value)} />
        </label>
        {q.trim() !== '' && (
          <ul className="grid gap-1">
            {others.slice(0, 6).map((line) => (
              <li key={line.vehicleId}>
                <SureButton
                  asks={`${line.customer}: ${line.called} ${line.plate}`}
                  sure={`${customer.name} is ${line.customer}: one entry from now on`}
                  onSure={() => merge(line.vehicleId, line.customer)}
                />
              </li>
            ))}
            {found.data && others.length === 0 && <li className="text-soft">Nobody else answers to that.</li>}
          </ul>
        )}
      </div>
    </Dialog>
  );
}
