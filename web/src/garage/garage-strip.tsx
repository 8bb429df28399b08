import { SheetStrip } from '../controls/sheet-strip.tsx';
import { useLoans } from '../hand-over/use-loans.ts';
import { useDues, useVehicles } from './use-garage.ts';

/** The sheets of the garage book. */
export function GarageStrip() {
  const { data: vehicles } = useVehicles('');
  const { data: due } = useDues(7);
  const { data: loans } = useLoans(undefined);
  const out = loans?.loans.filter(({ settled }) => settled === null) ?? [];
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
        {
          key: '3',
          name: 'Tool loans',
          to: '/garage/loans',
          needs: loans ? `${out.length} out, ${out.filter(({ isOverdue }) => isOverdue).length} overdue` : 'fetching',
        },
      ]}
    />
  );
}
