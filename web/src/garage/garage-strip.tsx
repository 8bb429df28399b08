import { SheetStrip } from '../controls/sheet-strip.tsx';
import { useDues, useVehicles } from './use-garage.ts';

/** The sheets of the garage book. */
export function GarageStrip() {
  const { data: vehicles } = useVehicles('');
  const { data: due } = useDues(7);
  return (
    <SheetStrip
      title="Garage book"
      label="Sheets of the garage book"
      sheets={[
        {
          key: '1',
          name: 'Vehicles',
          to: '/garage/vehicles',
          needs: vehicles ? `${vehicles.total} in it` : 'fetching',
        },
        { key: '2', name: 'Due', to: '/garage/due', needs: due ? `${due.dues.length} this week` : 'fetching' },
      ]}
    />
  );
}
