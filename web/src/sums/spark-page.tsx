import { estimateSpark, sayMargin, TIGHT, widestGap, type SparkEstimate } from '@brackenfell/core/spark-demand/margin';
import { operatingPoints, type OperatingPointId } from '@brackenfell/core/spark-demand/operating-points';
import { listed } from '@brackenfell/core/words/counted';
import { Choice } from '../controls/choice.tsx';
import { Mark } from '../controls/mark.tsx';
import type { MarkKind } from '../controls/mark-shapes.ts';
import { SparkChart } from './spark-chart.tsx';
import {
  chosen,
  COIL_FIGURES,
  ENGINE_FIGURES,
  FUELS,
  PLACES,
  readSparkInputs,
  TIPS,
  WAYS,
  type SparkAsked,
} from './spark-inputs.ts';
import { useTyped } from './use-typed.ts';

const POINT_WORDS: Readonly<Record<OperatingPointId, string>> = {
  'cold-crank': 'Cold cranking',
  'torque-peak': 'Torque peak',
  'top-speed': 'Top speed',
};
const MARGIN_WORDS = {
  comfortable: ['match', 'Comfortable'],
  tight: ['caution', 'Tight'],
  'misfire-likely': ['refuse', 'A misfire is likely'],
} as const satisfies Record<ReturnType<typeof sayMargin>, readonly [MarkKind, string]>;
const RUNS_OUT = ['refuse', 'Runs out before it is worn'] as const;
/** So much wider the gap may stand before the plug is renewed. */
const WORN_MM = 0.2;

/** A margin in whole percent, never told for more than it is. */
const inHand = (margin: number): string =>
  margin < 0 ? `${Math.ceil(-margin * 100)}% short` : `${Math.floor(margin * 100 + 1e-6)}%`;

/** What a spark asks at a gap against what the coil can give: an estimate, told as one. */
export function SparkPage() {
  const { typed, text, set } = useTyped();
  const reading = readSparkInputs(typed);
  const field = ({ name, label }: { readonly name: string; readonly label: string }, autoFocus = false) => (
    <label key={name} className="grid grid-cols-[1fr_7rem] items-center gap-2">
      <span>{label}</span>
      <input
        className="field num"
        inputMode="decimal"
        autoFocus={autoFocus}
        value={text(name)}
        maxLength={16}
        spellCheck={false}
        onChange={(event) => set(name, event.target.value)}
      />
    </label>
  );
  const choice = (
    name: string,
    label: string,
    options: readonly { readonly value: string; readonly says: string }[],
  ) => (
    <Choice
      label={label}
      labelClass=""
      value={chosen(typed, name, options)}
      options={options}
      onChange={(value) => set(name, value)}
      className="grid gap-0.5"
    />
  );
  return (
    <>
      <aside className="desk-list" aria-label="What is reckoned with">
        <div className="border-b border-line px-3 py-2">
          <h1 className="text-verdict font-semibold">Spark demand</h1>
          <p className="text-soft">What the gap asks, against what the coil gives.</p>
        </div>
        <form
          className="grid min-h-0 flex-1 content-start gap-1.5 overflow-auto p-3"
          onSubmit={(event) => event.preventDefault()}
        >
          {field({ name: 'gap', label: 'Gap, mm' }, true)}
          {choice('tip', 'Tip', TIPS)}
          {choice('way', 'The spark runs', WAYS)}
          {ENGINE_FIGURES.map((one) => field(one))}
          {choice('fuel', 'Fuel', FUELS)}
          {choice('place', 'Coil', PLACES)}
          {COIL_FIGURES.map((one) => field(one))}
        </form>
      </aside>
      <main className="desk-main" aria-label="Demand and reserve">
        <div
          className="grid content-start gap-4 overflow-auto p-4"
          tabIndex={0}
          role="region"
          aria-label="The estimate"
        >
          {reading.kind === 'asked' ? (
            <Estimate asked={reading.asked} />
          ) : (
            <NotEstimated missing={reading.missing} wrong={reading.wrong} />
          )}
        </div>
      </main>
    </>
  );
}

function NotEstimated({ missing, wrong }: { readonly missing: readonly string[]; readonly wrong: readonly string[] }) {
  return (
    <div className="grid gap-1">
      <h2 className="flex items-center gap-2 text-head font-semibold">
        <Mark kind="unknown" rem={1.25} /> Not estimated
      </h2>
      {missing.length > 0 && (
        <>
          <p>Not known yet:</p>
          <ul className="list-disc pl-5">
            {missing.map((label) => (
              <li key={label}>{label}</li>
            ))}
          </ul>
        </>
      )}
      {wrong.length > 0 && (
        <p role="alert" className="text-madder">
          Cannot be: {listed(wrong)}. Look at the figure again, and at its unit.
        </p>
      )}
    </div>
  );
}

function Estimate({ asked }: { readonly asked: SparkAsked }) {
  const { setting, plug, range } = asked;
  const at = (gapMm: number, lifeUsed: number) => estimateSpark(setting, { ...plug, gapMm, lifeUsed });
  const [fresh, worn] = [at(range.high, 0), at(range.high + WORN_MM, 1)];
  if (fresh.kind !== 'estimated' || worn.kind !== 'estimated') return null;
  const [mark, word] = worn.lowest.margin < TIGHT ? RUNS_OUT : MARGIN_WORDS[sayMargin(fresh.lowest.margin)];
  const advice = widestGap(setting, plug, range, { growthMm: WORN_MM, lifeUsed: 1 });
  const point = operatingPoints(setting.engine).find(({ id }) => id === worn.lowest.id)!;
  const told = `${word}: at ${range.high.toFixed(2)} mm ${inHand(fresh.lowest.margin)} in hand new, ${inHand(worn.lowest.margin)} worn and ${WORN_MM} mm wider.`;
  return (
    <>
      <h2 className="flex items-center gap-2 text-verdict font-semibold">
        <Mark kind={mark} rem={1.25} /> {told}
      </h2>
      <p>
        {advice.kind === 'gap'
          ? range.low === range.high
            ? 'It keeps 30% as set and 15% at the end.'
            : `The widest that keeps 30% as set and 15% at the end: ${advice.gapMm.toFixed(2)} mm.`
          : 'No gap of this range keeps 30% as set and 15% at the end: a coil of more energy and rated voltage, a finer tip, or a closer gap where the engine allows it.'}
      </p>
      <SparkChart asked={asked} point={point} says={`${told} Drawn for ${POINT_WORDS[point.id].toLowerCase()}.`} />
      <Points fresh={fresh} worn={worn} />
      <p className="max-w-2xl text-soft">
        An estimate to judge gaps by, ±10% and more: full filling, mixture and wear as is usual. The drawing is of the
        state with the least in hand. Where it misfires, look at seating, gap and leads first. Secondary voltage can
        kill: no coil is run off its plug.
      </p>
    </>
  );
}

type Estimated = Extract<SparkEstimate, { kind: 'estimated' }>;

function Points({ fresh, worn }: { readonly fresh: Estimated; readonly worn: Estimated }) {
  return (
    <table className="max-w-2xl">
      <thead className="text-left text-xs text-slate">
        <tr>
          <th className="font-normal">State</th>
          <th className="font-normal">Coil gives</th>
          <th className="font-normal">New asks</th>
          <th className="font-normal">in hand</th>
          <th className="font-normal">Worn asks</th>
          <th className="font-normal">in hand</th>
        </tr>
      </thead>
      <tbody>
        {fresh.points.map((point, i) => {
          const later = worn.points[i]!;
          return (
            <tr key={point.id} className="border-t border-hair">
              <th className="py-1 text-left font-semibold">{POINT_WORDS[point.id]}</th>
              <td className="num">{point.availableKv.toFixed(1)} kV</td>
              <td className="num">{point.demandKv.toFixed(1)} kV</td>
              <td className="num">{inHand(point.margin)}</td>
              <td className="num">{later.demandKv.toFixed(1)} kV</td>
              <td className="num">{inHand(later.margin)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
