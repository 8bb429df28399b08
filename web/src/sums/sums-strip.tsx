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
        { key: '3', name: 'Torque', to: '/sums/torque', needs: 'sheets, slips, wrench' },
        { key: '4', name: 'Wear', to: '/sums/wear', needs: 'what a set has left' },
        { key: '5', name: 'Conversions', to: '/sums/convert', needs: 'units and small sums' },
      ]}
    />
  );
}
