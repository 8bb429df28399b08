import { useState } from 'react';
import { Link } from 'react-router';
import { FACTS } from '@brackenfell/core/facts/facts';
import type { Say } from '@brackenfell/core/fitment/say';
import { middleOf } from '@brackenfell/core/gap/gap-move';
import { gapThroughLife, type SparkDesk } from '@brackenfell/core/set-up/spark-desk';
import { operatingPoints } from '@brackenfell/core/spark-demand/operating-points';
import type { SparkInput } from '@brackenfell/core/spark-demand/spark-sheet';
import { Mark } from '../controls/mark.tsx';
import { BoostSweep } from './boost-sweep.tsx';
import { sparkAddress } from './spark-address.ts';
import { SparkChart } from './spark-chart.tsx';
import { sayGap, saySchools } from './spark-words.ts';

const [LEAST_MM, MOST_MM, STEP_MM] = [0.3, 1.5, 0.01];
const [MOST_KPA, STEP_KPA] = [250, 1];

interface SparkPanelProps {
  readonly desk: SparkDesk;
  readonly say: Say;
  /** The coil it is reckoned against. */
  readonly coil: string;
  /** What is known from use, and how more is kept. */
  readonly evidence: React.ReactNode;
}

/** What the spark asks at a gap against what the coil gives, with both to be moved. */
export function SparkPanel({ desk, say, coil, evidence }: SparkPanelProps) {
  if (desk.kind === 'not-estimated')
    return (
      <section aria-label="Spark" className="set-up-panel">
        <h2 className="flex items-center gap-2 text-lead font-semibold">
          <Mark kind="unknown" /> Spark: not estimated
        </h2>
        <p>Not known: {desk.missing.map((fact) => FACTS[fact].label).join(', ')}.</p>
        <ul className="list-disc pl-5 text-soft">
          {desk.missing.map((fact) => (
            <li key={fact}>{FACTS[fact].question}</li>
          ))}
        </ul>
        <Inputs inputs={desk.inputs} />
      </section>
    );
  return <ReadySpark desk={desk} say={say} coil={coil} evidence={evidence} />;
}

function ReadySpark({
  desk,
  say,
  coil,
  evidence,
}: SparkPanelProps & { readonly desk: Extract<SparkDesk, { kind: 'ready' }> }) {
  const [gap, setGap] = useState<number>();
  const [boost, setBoost] = useState<number>();
  const gapMm = gap ?? middleOf(desk.asked);
  const boostKpa = boost ?? desk.setting.engine.boostKpa;
  const setting =
    boost === undefined ? desk.setting : { ...desk.setting, engine: { ...desk.setting.engine, boostKpa } };
  const moved = { ...desk, setting };
  const through = gapThroughLife(moved, gapMm);
  const words = sayGap(gapMm, through, desk.end.growthMm, say);
  const lowest = through.atEnd.kind === 'estimated' ? through.atEnd.lowest.id : 'top-speed';
  const point = operatingPoints(setting.engine).find(({ id }) => id === lowest)!;
  const address = sparkAddress(setting, desk.plug, desk.asked);
  const isMagneto = setting.source.kind === 'magneto';
  return (
    <section aria-label="Spark" className="set-up-panel">
      <h2 className="flex flex-wrap items-baseline gap-x-2">
        <b className="text-lead font-semibold">Spark against {isMagneto ? 'the magneto’s table' : 'the coil'}</b>
        <span className="text-soft">{coil}; an estimate, ±10% and more</span>
      </h2>
      {words === undefined ? (
        <p>Not estimated: outside the magneto’s own table. Its maker’s spark-tester gap says more.</p>
      ) : (
        <>
          <SparkChart drawn={{ ...moved, gapMm }} point={point} says={words} />
          <div className="grid">
            <Slider
              label="Gap"
              value={gapMm}
              says={say.quantity('gap', gapMm)}
              range={[LEAST_MM, MOST_MM, STEP_MM]}
              onMove={setGap}
            />
            <Slider
              label="Boost"
              value={boostKpa}
              says={say.quantity('boost', boostKpa)}
              range={[0, MOST_KPA, STEP_KPA]}
              onMove={setBoost}
            />
          </div>
          <p aria-live="polite">{words}</p>
          <p>{saySchools(moved, say).join(' ')}</p>
        </>
      )}
      {!isMagneto && <BoostSweep desk={desk} say={say} />}
      {evidence}
      <Inputs inputs={desk.inputs} />
      {address && (
        <Link className="justify-self-start underline" to={address}>
          The same as a sum by itself
        </Link>
      )}
      <p className="text-xs text-soft">
        It judges gaps, it promises nothing. Where it misfires, seating, gap and leads are looked at before a coil is
        sold. Secondary voltage can kill: no coil is run off its plug.
      </p>
    </section>
  );
}

interface SliderProps {
  readonly label: string;
  readonly value: number;
  readonly says: string;
  readonly range: readonly [least: number, most: number, step: number];
  readonly onMove: (value: number) => void;
}

function Slider({ label, value, says, range: [least, most, step], onMove }: SliderProps) {
  return (
    <label className="grid grid-cols-[3rem_1fr_auto] items-center gap-2">
      <span>{label}</span>
      <input
        type="range"
        className="slider"
        min={least}
        max={most}
        step={step}
        value={value}
        aria-valuetext={says}
        onChange={(event) => onMove(Number(event.target.value))}
      />
      <span className="num min-w-20 text-right font-semibold">{says}</span>
    </label>
  );
}

/** What it is reckoned with, each with who says so. */
function Inputs({ inputs }: { readonly inputs: readonly SparkInput[] }) {
  return (
    <details>
      <summary className="min-h-6 cursor-pointer text-slate">What it is reckoned with</summary>
      <dl className="grid grid-cols-[10rem_8rem_1fr] gap-x-2 text-xs">
        {inputs.map(({ label, says, source }) => (
          <div key={label} className="contents">
            <dt className="text-slate">{label}</dt>
            <dd className="num">{says}</dd>
            <dd className="text-soft">{source === 'default' ? 'default' : source.name}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}
