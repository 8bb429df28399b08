import { SheetStrip } from '../controls/sheet-strip.tsx';
import { useBatches } from './use-quarantine.ts';

/** The sheets of the quarantine. */
export function QuarantineStrip() {
  const batches = useBatches();
  const held = batches.data?.batches.filter(({ state }) => state === 'held').length;
  return (
    <SheetStrip
      title="Quarantine"
      label="Sheets of the quarantine"
      sheets={[
        {
          key: '1',
          name: 'Batches',
          to: '/quarantine/batches',
          needs: held === undefined ? 'fetching' : `${held} held`,
        },
        { key: '2', name: 'Sellers', to: '/quarantine/sellers', needs: 'what their batches say' },
        { key: '3', name: 'Receiving', to: '/quarantine/receiving', needs: 'take a delivery in' },
        { key: '4', name: 'References', to: '/quarantine/references', needs: 'genuine and suspect' },
        {
          key: '5',
          name: 'Notices',
          to: '/quarantine/notices',
          needs: batches.data ? `${batches.data.notices.length} come in` : '',
        },
      ]}
    />
  );
}
