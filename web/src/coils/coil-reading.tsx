import { judgeReading } from '@brackenfell/core/coils/measured-resistance';
import { RESISTANCE_MATCH } from '@brackenfell/core/coils/resistance-bands';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import { plainFigure } from '@brackenfell/core/quantities/plain-figure';
import { Answer, Field, useFigure } from '../measuring/reading-field.tsx';

const COIL_ANSWERS = {
  inside: ['match', 'Inside what is stated.', 'The primary is sound; the secondary and the heat are another matter.'],
  'too-low': [
    'refuse',
    'Too low: turns are shorted.',
    'Renew it; measured hot, read it again at room temperature first.',
  ],
  'too-high': ['refuse', 'Too high: a bad joint or a winding that is burning through.', 'Renew it.'],
  'cannot-tell': [
    'unknown',
    'Cannot tell: the meter may err by more than half the tolerance.',
    'Use a finer meter, or swap the coil to another cylinder and see whether the fault goes with it.',
  ],
} as const;

/** A coil's primary, corrected for its heat and the meter's leads, against what is stated. */
export function CoilReading({ tray }: { tray: OpenTray }) {
  const statedOhm = tray.rows
    .flatMap((row) => {
      const figures = row.findings.find(({ check }) => check === 'primary')?.figures;
      // Of an asked range, its middle is what a reading is held against.
      return figures ? [(Number(figures.askedLowOhm) + Number(figures.askedHighOhm)) / 2] : [];
    })
    .find((ohm) => Number.isFinite(ohm));
  const stated = useFigure('coil-primary', statedOhm === undefined ? '' : `${statedOhm} Ω`);
  const read = useFigure('coil-primary');
  const shorted = useFigure('coil-primary', '0.2 Ω');
  const temperature = useFigure('temperature', '20 °C');
  const error = useFigure('coil-primary', '0.02 Ω');
  // A meter's own leads and error lie under what a winding can have; they are read as plain ohms.
  const [shortedOhm, errorOhm] = [shorted.value ?? plainFigure(shorted.text), error.value ?? plainFigure(error.text)];
  const ready =
    stated.value !== undefined &&
    read.value !== undefined &&
    shortedOhm !== undefined &&
    temperature.value !== undefined &&
    errorOhm !== undefined;
  const judged = ready
    ? judgeReading(
        { readOhm: read.value!, shortedOhm: shortedOhm, coilTempC: temperature.value!, meterErrorOhm: errorOhm },
        { low: stated.value! * (1 - RESISTANCE_MATCH), high: stated.value! * (1 + RESISTANCE_MATCH) },
      )
    : undefined;
  return (
    <div className="grid gap-2">
      <Field label="Reading across the primary" figure={read} first />
      <Field label="Meter’s leads held together" figure={shorted} plain />
      <Field label="Coil’s temperature" figure={temperature} />
      <Field label="Meter may be off by" figure={error} plain />
      <Field label="Stated at 20 °C" figure={stated} />
      <output className="border-t border-line pt-2">
        {judged ? (
          <Answer
            kind={COIL_ANSWERS[judged.verdict][0]}
            figure={`${judged.ohmAt20C.toFixed(2)} Ω at 20 °C, stated ± ${judged.toleranceOhm.toFixed(2)} Ω`}
            says={COIL_ANSWERS[judged.verdict][1]}
            toDo={COIL_ANSWERS[judged.verdict][2]}
          />
        ) : (
          <span className="text-soft">Corrected to 20 °C and judged as soon as all five are read.</span>
        )}
      </output>
    </div>
  );
}
