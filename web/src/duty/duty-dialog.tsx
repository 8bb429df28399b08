import { useState } from 'react';
import type { Duty } from '@brackenfell/core/duty/duty';
import { printDuty, readDuty } from '@brackenfell/core/duty/duty-text';
import { Dialog } from '../controls/dialog.tsx';

interface DutyDialogProps {
  readonly duty: string;
  readonly onSet: (duty: string) => void;
  readonly onClose: () => void;
}

const FLAGS = [
  ['sustainedLoad', 'Sustained full load: generator, pump, towing'],
  ['shortColdRuns', 'Short cold runs'],
  ['gasFuel', 'Converted to gas'],
] as const;

const FIGURES = [
  ['powerRatio', 'Output against the factory’s, 1 = as built'],
  ['boostKpa', 'Boost now, kPa above the atmosphere'],
  ['factoryBoostKpa', 'Boost as the factory set it, kPa'],
] as const;

const WORDS = [
  ['className', 'Sanctioned class'],
  ['classDate', 'On the day (YYYY-MM-DD), today if empty'],
] as const;

/** What the engine is used for and what was changed on it: moves heat, gap and interval by the house rules. */
export function DutyDialog({ duty: text, onSet, onClose }: DutyDialogProps) {
  const first = readDuty(text) ?? {};
  const [flags, setFlags] = useState<Duty>(first);
  const [typed, setTyped] = useState<Record<string, string>>(() =>
    Object.fromEntries(
      [...FIGURES, ...WORDS].map(([field]) => [field, first[field] === undefined ? '' : String(first[field])]),
    ),
  );
  const said: Record<string, unknown> = { ...flags };
  for (const [field] of FIGURES) said[field] = typed[field] ? Number(typed[field].replace(',', '.')) : undefined;
  for (const [field] of WORDS) {
    const word = typed[field]?.trim() ?? '';
    said[field] = word === '' ? undefined : word;
  }
  const printed = printDuty(said);
  const isGood = readDuty(printed) !== undefined;
  const field = (name: string, label: string, numeric: boolean) => (
    <label key={name} className="grid grid-cols-[1fr_9rem] items-center gap-3">
      <span>{label}</span>
      <input
        className="field num"
        inputMode={numeric ? 'decimal' : 'text'}
        value={typed[name]}
        maxLength={30}
        onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
      />
    </label>
  );
  return (
    <Dialog title="Duty" about="What is done with the engine. Nothing set is standard duty." onClose={onClose}>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!isGood) return;
          onSet(printed);
          onClose();
        }}
      >
        {FLAGS.map(([name, label], i) => (
          <label key={name} className="flex items-center gap-2">
            <input
              type="checkbox"
              autoFocus={i === 0}
              checked={flags[name] === true}
              onChange={(event) => setFlags({ ...flags, [name]: event.target.checked || undefined })}
            />
            {label}
          </label>
        ))}
        {FIGURES.map(([name, label]) => field(name, label, true))}
        {WORDS.map(([name, label]) => field(name, label, false))}
        {!isGood && (
          <p role="alert" className="text-madder">
            Output from 0.5 to 5, boost from −100 to 400 kPa, and the day as 2026-03-01.
          </p>
        )}
        <p className="flex gap-3">
          <button type="submit" className="button-act" disabled={!isGood}>
            Judge for this duty
          </button>
          <button
            type="button"
            className="button-plain"
            onClick={() => {
              onSet('');
              onClose();
            }}
          >
            Standard duty
          </button>
        </p>
      </form>
    </Dialog>
  );
}
