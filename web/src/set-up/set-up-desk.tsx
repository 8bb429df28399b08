import { useMemo } from 'react';
import { readDuty } from '@brackenfell/core/duty/duty-text';
import { sayIn } from '@brackenfell/core/fitment/say';
import { middleOf } from '@brackenfell/core/gap/gap-move';
import { sayFigures } from '@brackenfell/core/set-up/say-figures';
import { setUpPoints } from '@brackenfell/core/set-up/set-up-points';
import { sparkDesk } from '@brackenfell/core/set-up/spark-desk';
import { wearDesk } from '@brackenfell/core/set-up/wear-desk';
import { torqueDesk, type TorqueDesk } from '@brackenfell/core/torque/torque-desk';
import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import { admitEvidence, withEvidence } from '@brackenfell/core/spark-demand/evidence';
import { useKept } from '../counter/use-keep.ts';
import { useEngine } from '../engine/use-engine.ts';
import { EvidenceForm } from './evidence-form.tsx';
import { FastenersPanel } from './fasteners-panel.tsx';
import { Mark } from '../controls/mark.tsx';
import { useSettings } from '../settings/settings.ts';
import { FeelerPanel } from './feeler-panel.tsx';
import { GapPanel } from './gap-panel.tsx';
import { RequiredCard } from './required-card.tsx';
import { SparkPanel } from './spark-panel.tsx';
import { TorquePanel } from './torque-panel.tsx';
import { useBlades } from './use-blades.ts';
import { useGapSeries } from './use-gap-series.ts';
import type { OpenSetUp, PlaceOfSetUp } from './use-set-up.ts';
import { WearPanel } from './wear-panel.tsx';

interface SetUpDeskProps {
  readonly slip: Slip;
  readonly line: SlipLine;
  readonly engineId: string;
  readonly setUp: OpenSetUp;
  /** Other lines of plugs on the slip. */
  readonly others: number;
  readonly mayWrite: boolean;
}

/** Places that are tightened alike are told once. */
function torquesOf(setUp: OpenSetUp): { readonly at: readonly string[]; readonly desk: TorqueDesk }[] {
  const told: { at: string[]; desk: TorqueDesk; key: string }[] = [];
  for (const { label, asked, rules } of setUp.places) {
    const desk = torqueDesk(asked, setUp.plug, { rules });
    const key = JSON.stringify(desk);
    const alike = told.find((one) => one.key === key);
    if (alike) alike.at.push(label);
    else told.push({ at: [label], desk, key });
  }
  return told;
}

/** The desk of one place: the first that fires in reverse, for it asks most; else the first. */
const hardest = ({ places }: OpenSetUp): PlaceOfSetUp =>
  places.find(({ onPaper }) => onPaper['position.polarity']?.ruling[0]?.value === 'reverse') ?? places[0]!;

/** Everything a line of plugs is set up by, on one desk. */
export function SetUpDesk({ slip, line, engineId, setUp, others, mayWrite }: SetUpDeskProps) {
  const say = sayIn(useSettings().units);
  const { known: blades } = useBlades();
  const engine = useEngine(engineId);
  const series = useGapSeries(slip, line, mayWrite);
  const torques = useMemo(() => torquesOf(setUp), [setUp]);
  const place = hardest(setUp);
  const duty = useMemo(() => readDuty(slip.duty) ?? {}, [slip.duty]);
  const { kept, keep } = useKept('spark-evidence', engineId);
  const reckoned = useMemo(
    () => sparkDesk({ onPaper: place.onPaper, plug: setUp.plug, duty, rules: place.rules }),
    [place, setUp, duty],
  );
  const evidence = kept && reckoned.kind === 'ready' ? admitEvidence(reckoned.setting, reckoned.plug, kept) : undefined;
  const factor = evidence?.kind === 'admitted' ? evidence.factor : 1;
  const spark = useMemo(
    () => (reckoned.kind === 'ready' ? { ...reckoned, setting: withEvidence(reckoned.setting, factor) } : reckoned),
    [reckoned, factor],
  );
  const wear = useMemo(
    () => wearDesk({ onPaper: place.onPaper, plug: setUp.plug, duty, rules: place.rules, spark }),
    [place, setUp, duty, spark],
  );
  const { range } = series.asked;
  const points = setUpPoints({ quantity: line.quantity, figures: line.setUp, gaps: series.gaps }, say);
  const [gravest] = points;
  const figures = line.setUp[0] ? sayFigures(line.setUp[0], say) : [];
  const told = line.setUp[0]?.tightening;
  const isTurned = told?.method !== 'wrench' || told.torque === null;
  const isReversed = place.onPaper['position.polarity']?.ruling[0]?.value === 'reverse' && setUp.places.length > 1;
  return (
    <>
      <aside className="desk-card" aria-label="What is set up">
        <RequiredCard line={line} setUp={setUp} others={others} say={say} />
      </aside>
      <main className="desk-main" aria-label="Set-up stage">
        <header className="set-up-head">
          <Mark
            kind={gravest === undefined ? 'match' : gravest.kind === 'to-return' ? 'refuse' : 'unknown'}
            rem={1.25}
          />
          {figures.slice(0, 2).map(({ what, says }) => (
            <span key={what} className="text-head">
              {what === 'Gap' ? 'Set' : what}{' '}
              {what === 'Tighten' && isTurned ? (
                <b className="font-semibold">by turn</b>
              ) : (
                <b className="num font-semibold">{says.split(', ')[0]}</b>
              )}
            </span>
          ))}
          <span className="min-w-0 flex-1 text-soft" aria-live="polite">
            {gravest === undefined ? 'Nothing is open about its setting up.' : gravest.says}
            {points.length > 1 && ` And ${points.length - 1} more.`}
          </span>
        </header>
        <div className="set-up-panels" tabIndex={0} role="region" aria-label="Gap, blades, torque, spark and wear">
          <div className="grid content-start">
            <GapPanel line={line} series={series} mayWrite={mayWrite} />
            <SparkPanel
              desk={spark}
              say={say}
              coil={`${isReversed ? `reckoned for cylinder ${place.label}, fired in reverse; ` : ''}${setUp.coil?.isOwn === false ? setUp.coil.printed : 'the engine’s own'}`}
              evidence={
                <EvidenceForm
                  draft={`evidence ${slip.slipId}`}
                  kept={kept}
                  evidence={evidence}
                  onKeep={
                    mayWrite ? (found) => keep({ kind: 'spark-evidence', ...found }, 'what it ran well on') : undefined
                  }
                />
              }
            />
          </div>
          <div className="grid content-start">
            {range && (
              <section aria-label="Feelers" className="set-up-panel">
                <h2 className="text-lead font-semibold">
                  Feelers{' '}
                  <span className="font-normal text-soft">
                    {blades?.areAssumed ? 'of a usual set' : 'of the blades owned'}
                  </span>
                </h2>
                <FeelerPanel range={range} known={blades} say={say} />
              </section>
            )}
            {torques.map(({ at, desk }) => (
              <TorquePanel key={at.join()} desk={desk} at={torques.length > 1 ? at.join(', ') : undefined} say={say} />
            ))}
            <FastenersPanel notes={engine.data?.notes ?? []} />
            <WearPanel desk={wear} setMm={range && middleOf(range)} say={say} />
          </div>
        </div>
      </main>
    </>
  );
}
