import { z } from 'zod';
import { changeCustomer, changeGarageVehicle, type GarageVehicle } from '@brackenfell/contract/garage';
import { TextField, useBodyForm } from '../controls/body-form.tsx';
import { Dialog } from '../controls/dialog.tsx';
import { call } from '../wire/call.ts';
import { useGarageWrite } from './use-garage.ts';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

const Vehicle = changeGarageVehicle.body.pick({ called: true, plate: true, serial: true, modified: true }).extend({
  perDay: z.union([z.literal(''), z.coerce.number('A figure, or nothing.').min(0).max(1500)]),
  months: z.array(z.string()).min(1, 'At least one month.'),
});
const Both = Vehicle.extend({ person: changeCustomer.body.omit({ version: true }).optional() });

/** Mends what is remembered of a vehicle and of its customer. */
export function MendDialog({ vehicle, onClose }: { readonly vehicle: GarageVehicle; readonly onClose: () => void }) {
  const { customer, countsIn } = vehicle;
  const write = useGarageWrite<unknown>();
  const { register, handleSubmit, formState } = useBodyForm(Both, {
    called: vehicle.called,
    plate: vehicle.plate,
    serial: vehicle.serial,
    modified: vehicle.modified,
    perDay: vehicle.perDay ?? '',
    months: vehicle.months.map(String),
    ...(customer && {
      person: {
        name: customer.name,
        phone: customer.phone,
        accountRef: customer.accountRef,
        isTrade: customer.isTrade,
      },
    }),
  });
  const { errors } = formState;
  const store = handleSubmit(({ perDay, months, person, ...same }) => {
    if (write.isPending) return;
    const body = {
      ...same,
      version: vehicle.version,
      engineId: vehicle.engineId,
      build: vehicle.build,
      duty: vehicle.duty,
      perDay: perDay === '' ? null : perDay,
      months: months.map(Number),
    };
    write.mutate(
      async () => {
        if (customer && person)
          await call('changeCustomer', {
            params: { customerId: customer.customerId },
            body: { version: customer.version, ...person },
          });
        return call('changeGarageVehicle', { params: { vehicleId: vehicle.vehicleId }, body });
      },
      { onSuccess: onClose },
    );
  });
  return (
    <Dialog title={`Mend ${vehicle.called}`} onClose={onClose} wide>
      <form className="grid gap-3" onSubmit={(event) => void store(event)} noValidate>
        <div className="grid grid-cols-2 gap-3">
          <TextField label="Called" error={errors.called} maxLength={80} autoFocus {...register('called')} />
          <TextField label="Plate" error={errors.plate} maxLength={20} className="num" {...register('plate')} />
          <TextField
            label="Serial number"
            error={errors.serial}
            maxLength={40}
            className="num"
            {...register('serial')}
          />
          <TextField label="Changed on it" error={errors.modified} maxLength={200} {...register('modified')} />
          <TextField
            label={countsIn === 'hours' ? 'Hours in a day of use' : 'km in a day of use'}
            error={errors.perDay}
            maxLength={6}
            className="num"
            {...register('perDay')}
          />
        </div>
        <fieldset>
          <legend className="text-slate">Months it runs</legend>
          <div className="flex flex-wrap gap-x-3">
            {MONTHS.map((month, i) => (
              <label key={month} className="flex min-h-6 items-center gap-1">
                <input type="checkbox" value={String(i + 1)} {...register('months')} />
                {month}
              </label>
            ))}
          </div>
          {errors.months?.message && (
            <span role="alert" className="text-xs text-madder">
              {errors.months.message}
            </span>
          )}
        </fieldset>
        {customer && (
          <div className="grid grid-cols-2 gap-3">
            <TextField label="Customer" error={errors.person?.name} maxLength={120} {...register('person.name')} />
            <TextField label="Phone" error={errors.person?.phone} maxLength={40} {...register('person.phone')} />
            <TextField
              label="Account"
              error={errors.person?.accountRef}
              maxLength={40}
              className="num"
              {...register('person.accountRef')}
            />
            <label className="flex items-end gap-1 pb-1">
              <input type="checkbox" {...register('person.isTrade')} /> in the trade
            </label>
          </div>
        )}
        <button type="submit" className="button-act justify-self-start" disabled={write.isPending}>
          Keep it
        </button>
      </form>
    </Dialog>
  );
}
