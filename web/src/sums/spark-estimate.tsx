import type { Say } from '@brackenfell/core/fitment/say';
import { GROWTH_MM, judgeRange, type RangeJudgement } from '@brackenfell/core/spark-demand/judge-range';
import { operatingPoints, type OperatingPointId } from '@brackenfell/core/spark-demand/operating-points';
import { listed } from '@brackenfell/core/words/counted';
import { Mark } from '../controls/mark.tsx';
import type { MarkKind } from '../controls/mark-shapes.ts';
import { CopyText } from './copy-text.tsx';
import { SparkChart } from '../set-up/spark-chart.tsx';
import type { SparkAsked } from './spark-inputs.ts';

type Judged = Extract<RangeJudgement, { kind: 'judged' }>;

const POINT_WORDS: Readonly<Record<OperatingPointId, string>> = {
  'cold-crank': 'Cold cranking',
  'torque-peak': 'Torque peak',
  'top-speed': 'Top speed',
};
const WORDS = {
  comfortable: ['match', 'Comfortable'],
  tight: ['caution', 'Tight'],
  'runs-out': ['refuse', 'Runs out before it is worn'],
  'misfire-likely': ['refuse', 'A misfire is likely'],
} as const satisfies Record<Judged['word'], readonly [MarkKind, string]>;

/** A margin in whole percent, never told for more than it is. */
const inHand = (margin: number): string =>
  margin < 0 ? `${Math.ceil(-margin * 100)}% short` : `${Math.floor(margin * 100 + 1e-6)}%`;
const toldInHand = (margin: number): string => (margin < 0 ? inHand(margin) : `${inHand(margin)} in hand`);

/** What is missing or cannot be, instead of an estimate. */
export function NotEstimated({
  missing,
  wrong,
}: {
  readonly missing: readonly string[];
  readonly wrong: readonly string[];
}) {
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

interface EstimateProps {
  readonly asked: SparkAsked;
  readonly say: Say;
}

/** The estimate in words, drawn, and state by state. */
export function Estimate({ asked, say }: EstimateProps) {
  const { setting, plug, range } = asked;
  const judgement = judgeRange(setting, plug, range);
  if (judgement.kind !== 'judged')
    return <NotEstimated missing={['What the magneto gives at these speeds']} wrong={[]} />;
  const { fresh, worn, advice } = judgement;
  const [mark, word] = WORDS[judgement.word];
  const point = operatingPoints(setting.engine).find(({ id }) => id === worn.lowest.id)!;
  const told = `${word}: at ${say.quantity('gap', range.high)} ${toldInHand(fresh.lowest.margin)} new, ${toldInHand(worn.lowest.margin)} worn and ${say.quantity('gap', GROWTH_MM)} wider.`;
  const advised =
    advice.kind === 'gap'
      ? range.low === range.high
        ? 'It keeps 30% as set and 15% at the end.'
        : `The widest that keeps 30% as set and 15% at the end: ${say.quantity('gap', advice.gapMm)}.`
      : 'No gap of this range keeps 30% as set and 15% at the end: a coil of more energy and rated voltage, a finer tip, or a closer gap where the engine allows it.';
  return (
    <>
      <h2 className="flex items-center gap-2 text-verdict font-semibold">
        <Mark kind={mark} rem={1.25} /> {told}
      </h2>
      <p>{advised}</p>
      <SparkChart
        drawn={{
          setting,
          plug,
          makers: range,
          asked: range,
          end: { growthMm: GROWTH_MM, lifeUsed: 1 },
          gapMm: range.high,
        }}
        point={point}
        says={`${told} Drawn for ${POINT_WORDS[point.id].toLowerCase()}.`}
      />
      <Points fresh={fresh} worn={worn} />
      <CopyText title="Spark demand, an estimate" lines={[told, advised]} />
      <p className="max-w-2xl text-soft">
        An estimate to judge gaps by, ±10% and more: full filling, mixture and wear as is usual. The drawing is of the
        state with the least in hand. Where it misfires, look at seating, gap and leads first. Secondary voltage can
        kill: no coil is run off its plug.
      </p>
    </>
  );
}

function Points({ fresh, worn }: Pick<Judged, 'fresh' | 'worn'>) {
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
