import { SheetStrip } from '../controls/sheet-strip.tsx';

/** The sums, each without a slip. */
export function SumsStrip() {
  return (
    <SheetStrip
      title="Sums"
      label="Sums"
      sheets={[
        { key: '1', name: 'Feelers', to: '/sums/feelers', needs: 'blades for a gap' },
        { key: '2', name: 'Spark demand', to: '/sums/spark', needs: 'against the coil' },
        { key: '3', name: 'Torque', needs: 'not built yet' },
        { key: '4', name: 'Wear', needs: 'not built yet' },
        { key: '5', name: 'Conversions', needs: 'not built yet' },
      ]}
    />
  );
}
