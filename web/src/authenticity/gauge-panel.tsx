import type { JudgedInspection } from '@brackenfell/core/authenticity/inspection';
import { MEASURED } from '@brackenfell/core/authenticity/measured';
import type { MeasuredId } from '@brackenfell/core/authenticity/tell';
import type { DeviceState, SimulatedDevice } from '@brackenfell/stand-ins/measuring-device';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';

interface GaugePanelProps {
  readonly quantity: MeasuredId;
  readonly nominal: number | undefined;
  readonly tolerance: number;
  readonly judged: JudgedInspection;
  /** The piece the next reading is of; undefined when all are read. */
  readonly turn: number | undefined;
  readonly device: SimulatedDevice | undefined;
  readonly state: DeviceState | undefined;
  readonly onTake: () => void;
}

/** A series of readings, piece by piece, from whatever is plugged in. What was taken stays, whatever the device does. */
export function GaugePanel({ quantity, nominal, tolerance, judged, turn, device, state, onTake }: GaugePanelProps) {
  const { label, unit, decimals } = MEASURED[quantity];
  const { gapSpread: spread } = judged;
  return (
    <section aria-label={`${label}, readings`} className="border-t border-line px-3 pt-1 pb-2">
      <h3 className="flex items-baseline gap-2">
        <b className="font-semibold">{label}</b>
        <span className="text-xs text-soft">
          {nominal === undefined
            ? 'no figure to hold it against'
            : `expected ${nominal.toFixed(decimals)} ± ${tolerance} ${unit}`}
        </span>
      </h3>
      <ol className="grid max-h-28 gap-0.5 overflow-auto" tabIndex={0} aria-label="Readings by piece">
        {judged.pieces.map((piece) => {
          const reading = piece.readings.find(({ id }) => id === quantity);
          const off = reading && nominal !== undefined ? reading.value - nominal : undefined;
          const out = off !== undefined && Math.abs(off) > tolerance + 1e-9;
          return (
            <li
              key={piece.label}
              className={`grid grid-cols-[1rem_4.5rem_1fr_6.5rem] items-center gap-2 ${piece.piece === turn ? 'bg-bracken-wash' : ''}`}
            >
              <b className="font-semibold">{piece.label}</b>
              <span className="num">
                {reading ? `${reading.value.toFixed(decimals)} ${unit}` : piece.piece === turn ? '…' : '–'}
              </span>
              <Tick off={off} tolerance={tolerance} />
              <span className="flex items-baseline gap-1 text-xs">
                {off !== undefined && (
                  <>
                    <Mark kind={out ? 'refuse' : 'match-small'} rem={0.625} />
                    {out ? `${(Math.abs(off) - tolerance).toFixed(decimals)} ${off < 0 ? 'under' : 'over'}` : 'inside'}
                  </>
                )}
              </span>
            </li>
          );
        })}
      </ol>
      {quantity === 'gapMm' && spread && (
        <p className="text-xs text-soft">
          {(spread.high - spread.low).toFixed(2)} apart, the maker allows {spread.allowed.toFixed(2)}
          {spread.all ? '.' : '; counts once all are read.'}
        </p>
      )}
      <div role="status" className="mt-1 flex flex-wrap items-center gap-2 border-t border-dashed border-line pt-1">
        <span className="text-xs text-soft">{device?.name}</span>
        {state?.kind === 'reading' ? (
          <b className={`num ${state.steady ? '' : 'text-soft'}`}>
            {state.value.toFixed(decimals)} {state.unit}
          </b>
        ) : (
          <b className="text-madder">{state ? `not reading: ${state.why}` : 'waiting'}</b>
        )}
        {turn !== undefined && (
          <button type="button" className="button-plain" onClick={onTake}>
            <Key>Space</Key> take it
          </button>
        )}
        {device?.simulated && (
          <button
            type="button"
            className="ml-auto min-h-6 text-xs underline"
            onClick={() => {
              if (device.plugged) device.unplug();
              else device.plugIn();
            }}
          >
            {device.plugged ? 'Unplug it' : 'Plug it in'}
          </button>
        )}
      </div>
    </section>
  );
}

/** Where a reading lies in three tolerances to either side. */
function Tick({ off, tolerance }: { off: number | undefined; tolerance: number }) {
  const at = off === undefined ? undefined : Math.max(-1, Math.min(1, off / (3 * tolerance)));
  return (
    <svg viewBox="0 0 100 12" className="h-3 w-full" preserveAspectRatio="none" aria-hidden="true">
      <rect x="33" y="1" width="34" height="9" className="fill-lichen-wash" />
      <path d="M0 10H100M0 7V10M50 6V10M100 7V10" className="stroke-line" fill="none" />
      {at !== undefined && <path d={`M${50 + at * 49} 0V10`} className="stroke-peat" strokeWidth="3" />}
    </svg>
  );
}
