import { useState } from 'react';
import { testLead } from '@brackenfell/core/leads/test-lead';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import { plainFigure } from '@brackenfell/core/quantities/plain-figure';
import { Answer, Field, useFigure } from '../measuring/reading-field.tsx';

const LEAD_ANSWERS = {
  good: ['match', 'Good for its length.', 'Look for cracks and burnt ends all the same.'],
  'too-little': [
    'caution',
    'Less than asked: it may disturb the control unit.',
    'Read the set’s own figure before judging.',
  ],
  'too-much': ['refuse', 'Too much for its length: it is breaking up inside.', 'Renew the set, not one lead.'],
} as const;

/** A lead from end to end, against what is asked a metre. */
export function LeadReading({ tray }: { tray: OpenTray }) {
  const drawing = tray.rows[0]?.drawing;
  const asked = drawing?.part === 'lead-set' ? drawing.kohmPerM : null;
  const resistance = useFigure('lead-resistance');
  const [lengthText, setLengthText] = useState('');
  const lengthMm = plainFigure(lengthText.replace(/\s*mm$/i, '')) ?? 0;
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
