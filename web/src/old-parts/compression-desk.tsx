import { CONDITION_SAYS, LOG_CONDITIONS, type LogCondition } from '@brackenfell/core/compression/log';
import { answerKeptLog } from '@brackenfell/core/old-parts/kept-answers';
import { oneOf, readPlain } from '@brackenfell/core/quantities/plain-figure';
import { useDraftOf } from '../controls/draft.ts';
import { Mark } from '../controls/mark.tsx';
import { toggled } from '../controls/toggles.tsx';
import { useCounter } from '../counter/use-counter.ts';
import { useKept } from '../counter/use-keep.ts';
import { AskedBack } from '../measuring/asked-back.tsx';
import { CompressionBars } from './compression-bars.tsx';
import { LastRead } from './last-read.tsx';
import type { DeskProps } from './desk-props.ts';
import { noLog, type CompressionLog } from './use-old-parts.ts';

const KPA_PER_BAR = 100;
const WHY = 'A pressure in bar, such as 11.9.';
const MOST_BAR = 100;
const readBar = (text: string) => {
  const read = readPlain(text, WHY);
  return read?.kind === 'plain' && read.value > MOST_BAR ? ({ kind: 'unreadable', why: WHY } as const) : read;
};
const asBar = (kpa: number | null | undefined): string =>
  kpa == null ? '' : String(Math.round((kpa / KPA_PER_BAR) * 100) / 100);

/** Compression cylinder by cylinder, dry and wet, in bar; judged as it is typed and kept as it stands. */
export function CompressionDesk({ engine, plan, mine }: DeskProps) {
  const { slipId } = useCounter();
  const { kept, keep } = useKept('compression', engine.engineId);
  const now = kept ?? noLog(engine.engineId);
  const cylinders = plan.banks.flatMap((bank) => bank.cylinders).sort((a, b) => a - b);
  // What is half typed, or cannot be read, is no reading: it stays in its field.
  const typed = useDraftOf<Readonly<Record<string, string>>>(`compression ${slipId ?? 'none'} ${engine.engineId}`, {});
  const answer = answerKeptLog(now, plan);
  const isTaken = LOG_CONDITIONS.every((one) => now.conditions.includes(one));
  const change = (more: Partial<CompressionLog>, says: string) => keep({ ...now, ...more }, says);
  const textOf = (name: string, kpa: number | null | undefined) => typed.value[name] ?? asBar(kpa);
  const drop = (name: string) => {
    const { [name]: _, ...others } = typed.value;
    typed.set(others);
  };
  const store = (cylinder: number, which: 'dry' | 'wet', text: string) => {
    const name = `${cylinder} ${which}`;
    const bar = oneOf(readBar(text));
    if (text.trim() !== '' && bar === undefined) return;
    const kpa = bar === undefined ? null : Math.round(bar * KPA_PER_BAR);
    const before = now.reads.find((one) => one.cylinder === cylinder);
    const dryKpa = which === 'dry' ? kpa : (before?.dryKpa ?? null);
    const wetKpa = which === 'wet' ? kpa : (before?.wetKpa ?? null);
    // A wet reading says nothing without the dry one: it waits in its field.
    if (dryKpa === null && which === 'wet') return;
    drop(name);
    const others = now.reads.filter((one) => one.cylinder !== cylinder);
    change(
      {
        reads:
          dryKpa === null ? others : [...others, { cylinder, dryKpa, wetKpa }].sort((a, b) => a.cylinder - b.cylinder),
      },
      `compression of ${cylinder}`,
    );
  };
  const field = (cylinder: number, which: 'dry' | 'wet') => {
    const name = `${cylinder} ${which}`;
    const read = now.reads.find((one) => one.cylinder === cylinder);
    const text = textOf(name, which === 'dry' ? read?.dryKpa : read?.wetKpa);
    return (
      <td key={which}>
        <input
          className="field num w-20"
          aria-label={`Cylinder ${cylinder}, ${which}, bar`}
          value={text}
          disabled={!mine}
          maxLength={10}
          spellCheck={false}
          onChange={(event) => typed.set({ ...typed.value, [name]: event.target.value })}
          onBlur={(event) => store(cylinder, which, event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') store(cylinder, which, event.currentTarget.value);
          }}
        />
        <AskedBack reading={readBar(text)} onChoose={(chosen) => store(cylinder, which, chosen)} />
      </td>
    );
  };
  return (
    <main className="desk-main col-span-2" aria-label="Old parts stage">
      <header className="set-up-head">
        <Mark
          kind={answer.tellsPlugs?.kind === 'good' ? 'match' : answer.low.length > 0 ? 'refuse' : 'unknown'}
          rem={1.25}
        />
        <h1 className="text-head font-semibold">{answer.says[0]}</h1>
        <span className="min-w-0 flex-1 text-soft">{isTaken ? '' : 'What is not ticked below may falsify it.'}</span>
      </header>
      <div className="set-up-panels" tabIndex={0} role="region" aria-label="Compression log">
        <div className="grid content-start">
          <section aria-label="Readings" className="set-up-panel">
            <h2 className="text-lead font-semibold">Readings, bar</h2>
            <table>
              <thead>
                <tr className="text-left text-slate">
                  <th scope="col" className="pr-3">
                    Cylinder
                  </th>
                  <th scope="col">Dry</th>
                  <th scope="col">Wet, with a spoon of oil</th>
                </tr>
              </thead>
              <tbody>
                {cylinders.map((cylinder) => (
                  <tr key={cylinder}>
                    <th scope="row" className="num text-left">
                      {cylinder}
                    </th>
                    {field(cylinder, 'dry')}
                    {field(cylinder, 'wet')}
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
          <section aria-label="How it was taken" className="set-up-panel">
            <h2 className="text-lead font-semibold">How it was taken</h2>
            {LOG_CONDITIONS.map((one: LogCondition) => (
              <label key={one} className="flex min-h-6 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-4"
                  disabled={!mine}
                  checked={now.conditions.includes(one)}
                  onChange={() => change({ conditions: toggled(now.conditions, one) }, 'how compression was taken')}
                />
                {CONDITION_SAYS[one]}
              </label>
            ))}
            <label className="flex min-h-6 items-center gap-2">
              <input
                type="checkbox"
                className="size-4"
                disabled={!mine}
                checked={now.hasDecompressor}
                onChange={() => change({ hasDecompressor: !now.hasDecompressor }, 'its decompressor')}
              />
              It has a decompressor
            </label>
            <label className="grid gap-0.5">
              <span className="text-slate">Specified pressure, bar</span>
              <input
                className="field num w-28"
                disabled={!mine}
                value={textOf('specified', now.specifiedKpa)}
                maxLength={10}
                onChange={(event) => typed.set({ ...typed.value, specified: event.target.value })}
                onBlur={(event) => {
                  const bar = oneOf(readBar(event.target.value));
                  if (event.target.value.trim() !== '' && bar === undefined) return;
                  drop('specified');
                  change(
                    { specifiedKpa: bar === undefined ? null : Math.round(bar * KPA_PER_BAR) },
                    'the specified pressure',
                  );
                }}
              />
              <AskedBack reading={readBar(textOf('specified', now.specifiedKpa))} onChoose={() => undefined} />
            </label>
            <label className="grid gap-0.5">
              <span className="text-slate">The engine then: cold or warm, before or after what</span>
              <input
                className="field"
                disabled={!mine}
                value={typed.value.state ?? now.state}
                maxLength={120}
                onChange={(event) => typed.set({ ...typed.value, state: event.target.value })}
                onBlur={(event) => {
                  drop('state');
                  change({ state: event.target.value }, 'the state of the engine');
                }}
              />
            </label>
          </section>
        </div>
        <div className="grid content-start">
          <section aria-label="What it says" className="set-up-panel">
            <h2 className="text-lead font-semibold">What it says</h2>
            <CompressionBars log={now} plan={plan} />
            <ul>
              {answer.says.map((says) => (
                <li key={says}>{says}</li>
              ))}
            </ul>
            {answer.leakDownFirst && (
              <>
                <p className="text-madder">Nothing is sold before the leak-down test.</p>
                <label className="flex min-h-6 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-4"
                    disabled={!mine}
                    checked={now.isLeakDownMade}
                    onChange={() => change({ isLeakDownMade: !now.isLeakDownMade }, 'the leak-down test')}
                  />
                  The leak-down test was made
                </label>
              </>
            )}
          </section>
          <LastRead kind="compression" />
        </div>
      </div>
    </main>
  );
}
