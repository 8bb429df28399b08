import { useState } from 'react';
import { judgeReading } from '@brackenfell/core/coils/measured-resistance';
import type { PartKind } from '@brackenfell/core/fitment/part-kinds';
import { testLead } from '@brackenfell/core/leads/test-lead';
import type { QuantityKind } from '@brackenfell/core/quantities/plausible-ranges';
import { readQuantity } from '@brackenfell/core/quantities/read-quantity';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import { Dialog } from '../controls/dialog.tsx';
import { Mark } from '../controls/mark.tsx';

interface MeasureDialogProps {
  readonly kind: PartKind;
  readonly tray: OpenTray;
  readonly onClose: () => void;
}

/** What a meter says of the coil or lead in hand, and whether that meter can say it. */
export function MeasureDialog({ kind, tray, onClose }: MeasureDialogProps) {
  return (
    <Dialog
      title={kind === 'coil' ? 'Measure a coil’s primary' : 'Measure a lead'}
      about="Part in hand, off the engine. A reading speaks for this one piece."
      onClose={onClose}
    >
      {kind === 'coil' ? <CoilReading tray={tray} /> : <LeadReading tray={tray} />}
    </Dialog>
  );
}

/** A figure as it is typed, with what it is read as. */
function useFigure(kind: QuantityKind, initial = '') {
  const [text, setText] = useState(initial);
  const read = text.trim() === '' ? undefined : readQuantity(text, kind);
  const value = read?.kind === 'read' ? (read.low + read.high) / 2 : undefined;
  const remark =
    read === undefined
      ? ''
      : read.kind === 'asked'
        ? read.question
        : read.kind === 'unreadable'
          ? read.why
          : read.kind === 'open'
            ? 'Open circuit: the winding is broken.'
            : (read.said ?? '');
  return { text, setText, value, remark };
}

function Field({
  label,
  figure,
  first = false,
  plain = false,
}: {
  label: string;
  figure: ReturnType<typeof useFigure>;
  first?: boolean;
  /** Of the meter, not of a part: no usual range to hold it against. */
  plain?: boolean;
}) {
  return (
    <label className="grid grid-cols-[1fr_8rem] items-center gap-x-3">
      <span>{label}</span>
      <input
        className="field num"
        autoFocus={first}
        value={figure.text}
        maxLength={40}
        onChange={(event) => figure.setText(event.target.value)}
      />
      {!plain && figure.remark !== '' && <span className="col-span-2 text-xs text-slate">{figure.remark}</span>}
    </label>
  );
}

/** Share of the stated resistance that coils are made within: the match band of the primary check. */
const TOLERANCE = 0.1;

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

function CoilReading({ tray }: { tray: OpenTray }) {
  const statedOhm = tray.rows
    .flatMap((row) => row.findings.find(({ check }) => check === 'primary')?.figures.askedOhm ?? [])
    .find((ohm) => typeof ohm === 'number');
  const stated = useFigure('coil-primary', statedOhm === undefined ? '' : `${statedOhm} Ω`);
  const read = useFigure('coil-primary');
  const shorted = useFigure('coil-primary', '0.2 Ω');
  const temperature = useFigure('temperature', '20 °C');
  const error = useFigure('coil-primary', '0.02 Ω');
  // A meter's own leads and error lie under what a winding can have; they are read as plain ohms.
  const plain = (figure: ReturnType<typeof useFigure>) =>
    figure.value ?? (Number.isFinite(parseFloat(figure.text)) ? parseFloat(figure.text.replace(',', '.')) : undefined);
  const [shortedOhm, errorOhm] = [plain(shorted), plain(error)];
  const ready =
    stated.value !== undefined &&
    read.value !== undefined &&
    shortedOhm !== undefined &&
    temperature.value !== undefined &&
    errorOhm !== undefined;
  const judged = ready
    ? judgeReading(
        { readOhm: read.value!, shortedOhm: shortedOhm, coilTempC: temperature.value!, meterErrorOhm: errorOhm },
        { low: stated.value! * (1 - TOLERANCE), high: stated.value! * (1 + TOLERANCE) },
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

const LEAD_ANSWERS = {
  good: ['match', 'Good for its length.', 'Look for cracks and burnt ends all the same.'],
  'too-little': [
    'caution',
    'Less than asked: it may disturb the control unit.',
    'Read the set’s own figure before judging.',
  ],
  'too-much': ['refuse', 'Too much for its length: it is breaking up inside.', 'Renew the set, not one lead.'],
} as const;

function LeadReading({ tray }: { tray: OpenTray }) {
  const drawing = tray.rows[0]?.drawing;
  const asked = drawing?.part === 'lead-set' ? drawing.kohmPerM : null;
  const resistance = useFigure('lead-resistance');
  const [lengthText, setLengthText] = useState('');
  const lengthMm = parseFloat(lengthText.replace(',', '.'));
  const judged =
    asked && resistance.value !== undefined && lengthMm > 0
      ? testLead({ kohm: resistance.value / 1000, lengthMm }, asked)
      : undefined;
  return (
    <div className="grid gap-2">
      <Field label="Reading, end to end" figure={resistance} first />
      <label className="grid grid-cols-[1fr_8rem] items-center gap-x-3">
        <span>Length, mm</span>
        <input
          className="field num"
          inputMode="decimal"
          value={lengthText}
          maxLength={8}
          onChange={(event) => setLengthText(event.target.value)}
        />
      </label>
      <output className="border-t border-line pt-2">
        {!asked ? (
          <span>What this engine asks a metre is not known: no reading can be judged.</span>
        ) : judged ? (
          <Answer
            kind={LEAD_ANSWERS[judged.verdict][0]}
            figure={`${judged.kohmPerM.toFixed(1)} kΩ a metre, asked ${asked.low}–${asked.high}`}
            says={LEAD_ANSWERS[judged.verdict][1]}
            toDo={LEAD_ANSWERS[judged.verdict][2]}
          />
        ) : (
          <span className="text-soft">
            Asked {`${asked.low}–${asked.high}`} kΩ a metre. Judged as soon as both are read.
          </span>
        )}
      </output>
    </div>
  );
}

interface AnswerProps {
  readonly kind: 'match' | 'caution' | 'refuse' | 'unknown';
  readonly figure: string;
  readonly says: string;
  readonly toDo: string;
}

function Answer({ kind, figure, says, toDo }: AnswerProps) {
  return (
    <div className="grid gap-0.5">
      <p className="flex items-center gap-2">
        <Mark kind={kind} rem={1} /> <b className="num font-semibold">{figure}</b>
      </p>
      <p>
        {says} <span className="text-slate">{toDo}</span>
      </p>
    </div>
  );
}
