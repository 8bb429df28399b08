import { sayIn } from '@brackenfell/core/fitment/say';
import { systemOf } from '@brackenfell/core/quantities/format-quantity';
import { asOne, oneOf } from '@brackenfell/core/quantities/plain-figure';
import { readQuantity } from '@brackenfell/core/quantities/read-quantity';
import type { Evidence, SparkEvidence } from '@brackenfell/core/spark-demand/evidence';
import { useDraftOf } from '../controls/draft.ts';
import { AskedBack } from '../measuring/asked-back.tsx';
import { useSettings } from '../settings/settings.ts';

const WHY_NOT = {
  'not-gauged': 'Told, not gauged here: it raises a question and changes no figure.',
  'too-short': 'Under 1 000 km run: too short to say anything.',
  'not-healthy': 'The plugs were not read healthy: it says nothing for the coil.',
} as const;

interface EvidenceFormProps {
  /** What it is kept under while it is half typed. */
  readonly draft: string;
  /** As it was kept last. */
  readonly kept: SparkEvidence | undefined;
  /** What it comes to; undefined while nothing is kept. */
  readonly evidence: Evidence | undefined;
  /** Left out for who may not write on the slip. */
  readonly onKeep: ((evidence: SparkEvidence) => void) | undefined;
}

/** What this vehicle ran well on: its own record, gauged as the plugs came out. */
export function EvidenceForm({ draft, kept, evidence, onKeep }: EvidenceFormProps) {
  const { units } = useSettings();
  const say = sayIn(units);
  const form = useDraftOf(draft, {
    gap: kept ? `${kept.gapMm} mm` : '',
    ran: kept ? `${kept.ranKm} km` : '',
    gaugedHere: kept?.gaugedHere ?? false,
    readHealthy: kept?.readHealthy ?? false,
  });
  const { gap, ran, gaugedHere, readHealthy } = form.value;
  const read = (text: string, kind: 'gap' | 'distance') =>
    text.trim() === '' ? undefined : asOne(readQuantity(text, kind, { system: systemOf(units) }), true);
  const [gapRead, ranRead] = [read(gap, 'gap'), read(ran, 'distance')];
  const [gapMm, ranKm] = [oneOf(gapRead), oneOf(ranRead)];
  const says =
    evidence === undefined
      ? 'Nothing is on record of this vehicle.'
      : evidence.kind === 'question'
        ? WHY_NOT[evidence.because]
        : evidence.kind === 'outside-table'
          ? 'Outside the magneto’s table: it says nothing.'
          : evidence.factor > 1
            ? `By what it ran on the coil gives at least ${Math.floor((evidence.factor - 1) * 100)}% more than is reckoned: a lower bound from use.`
            : 'What it ran on asks no more than is reckoned.';
  return (
    <details>
      <summary className="min-h-6 cursor-pointer text-slate">Evidence from use: {says}</summary>
      {onKeep && (
        <form
          className="flex flex-wrap items-end gap-2 pt-1"
          onSubmit={(event) => {
            event.preventDefault();
            if (gapMm === undefined || ranKm === undefined) return;
            onKeep({ gapMm, ranKm, readHealthy, gaugedHere });
            form.clear();
          }}
        >
          <label className="grid">
            <span className="text-slate">Gap as they came out</span>
            <input
              className="field num w-28"
              value={gap}
              maxLength={24}
              onChange={(event) => form.set({ ...form.value, gap: event.target.value })}
            />
          </label>
          <label className="grid">
            <span className="text-slate">Run on them</span>
            <input
              className="field num w-28"
              value={ran}
              maxLength={24}
              onChange={(event) => form.set({ ...form.value, ran: event.target.value })}
            />
          </label>
          <label className="flex min-h-7 items-center gap-1">
            <input
              type="checkbox"
              checked={gaugedHere}
              onChange={(event) => form.set({ ...form.value, gaugedHere: event.target.checked })}
            />
            gauged here
          </label>
          <label className="flex min-h-7 items-center gap-1">
            <input
              type="checkbox"
              checked={readHealthy}
              onChange={(event) => form.set({ ...form.value, readHealthy: event.target.checked })}
            />
            all read healthy
          </label>
          <button type="submit" className="button-act" disabled={gapMm === undefined || ranKm === undefined}>
            Keep it on the slip
          </button>
          <AskedBack reading={gapRead} onChoose={(value) => form.set({ ...form.value, gap: value })} />
          <AskedBack reading={ranRead} onChoose={(value) => form.set({ ...form.value, ran: value })} />
          {gapMm !== undefined && ranKm !== undefined && (
            <span className="text-soft">
              {say.quantity('gap', gapMm)} after {say.quantity('distance', ranKm)}
            </span>
          )}
        </form>
      )}
    </details>
  );
}
