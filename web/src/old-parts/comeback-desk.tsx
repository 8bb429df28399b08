import { Suspense, useState } from 'react';
import { toast } from '../controls/toast.ts';
import type { GarageVehicle } from '@brackenfell/contract/garage';
import { groupsHere, howSoonAfter, touchedBy, type ComebackResult } from '@brackenfell/core/old-parts/comeback';
import {
  comebackCheck,
  MISFIRE_WORDS,
  TOUCHED_GROUPS,
  type ComebackCheckId,
} from '@brackenfell/core/old-parts/comeback-checks';
import { answerKeptComeback, hasHere } from '@brackenfell/core/old-parts/kept-answers';
import { counted } from '@brackenfell/core/words/counted';
import { printDate } from '@brackenfell/core/words/moments';
import { Key } from '../controls/key.tsx';
import { room, SheetOnItsWay } from '../controls/room.tsx';
import { Mark } from '../controls/mark.tsx';
import { SureButton } from '../controls/sure-button.tsx';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useBeginSlip } from '../counter/use-begin-slip.ts';
import { useCounter } from '../counter/use-counter.ts';
import { useKept } from '../counter/use-keep.ts';
import { useVehicle } from '../garage/use-garage.ts';
import { useKeys } from '../keys/keys.ts';
import { ComebackAsked } from './comeback-asked.tsx';
import { COMEBACK_RESULT_KEYS, ComebackList } from './comeback-list.tsx';
import { TouchedPlan } from './touched-plan.tsx';
import type { DeskProps } from './desk-props.ts';
import { oldPartsEngine, type ComebackKept } from './use-old-parts.ts';
import { readMisfireCode } from '@brackenfell/core/misfire/misfire-code';
import { lowerFirst } from '@brackenfell/core/words/case';

const MisfireDialog = room(async () => (await import('../misfire/misfire-dialog.tsx')).MisfireDialog);

/** What was done last on the vehicle: the parts of its latest day, and how far it has run since. */
function lastWork(vehicle: GarageVehicle | undefined) {
  const days = vehicle?.fitted.flatMap(({ on }) => on ?? []) ?? [];
  const on = days.sort().at(-1);
  if (!vehicle || on === undefined) return undefined;
  const parts = vehicle.fitted.filter((record) => record.on === on);
  const served = parts.find((record) => record.served !== null)?.served ?? null;
  const now = vehicle.servedNow?.served ?? null;
  const sinceKm = vehicle.countsIn === 'distance' && served !== null && now !== null ? now - served : undefined;
  return { on, parts, sinceKm };
}

/** Done, and now it misfires: checks by likelihood a minute, what was touched first, and nothing sold before that is undone. */
export function ComebackDesk({ engine, plan, mine }: DeskProps) {
  const { slip } = useCounter();
  const { kept, keep } = useKept('comeback', engine.engineId);
  const write = useSlipWrite();
  const begin = useBeginSlip();
  const vehicle = useVehicle(slip.data?.garage?.vehicleId);
  const last = lastWork(vehicle.data);
  const [showPoints, setShowPoints] = useState(false);
  const [isSwapping, setSwapping] = useState(false);
  const touched = last && touchedBy(last.parts.map(({ partKind }) => partKind));
  const now: ComebackKept = kept ?? {
    kind: 'comeback',
    engineId: engine.engineId,
    howSoon: howSoonAfter(last?.sinceKm),
    misfire: 'one',
    when: [],
    lamp: 'off',
    // Only what the book knows was not touched stands back; what nobody has said counts as touched.
    untouched: touched ? TOUCHED_GROUPS.filter((group) => !touched.includes(group)) : [],
    isToldDropped: false,
    code: '',
    isTakenBack: false,
    results: {},
  };
  const of = oldPartsEngine(engine);
  const has = hasHere(of);
  const mayBeSwapped = has.coils || has.leads;
  const groups = groupsHere(has);
  const answer = answerKeptComeback(now, of, plan);
  // What is told or looked at anew opens it again.
  const change = (more: Partial<ComebackKept>, says: string) => keep({ ...now, isTakenBack: false, ...more }, says);
  const result = (id: ComebackCheckId, value: ComebackResult) =>
    change({ results: { ...now.results, [id]: value } }, comebackCheck(id).title);
  const takeBack = (id: ComebackCheckId) => {
    const { [id]: _, ...results } = now.results;
    change({ results }, `${comebackCheck(id).title} taken back`);
  };
  const { next, found } = answer;
  const writeDown = () => {
    const slipId = begin(engine.engineId);
    const text = found
      ? `Came back, ${MISFIRE_WORDS[now.misfire]}: ${comebackCheck(found).title.toLowerCase()} was wrong. ${comebackCheck(found).mend}`
      : `Came back, ${MISFIRE_WORDS[now.misfire]}: ${counted(Object.keys(now.results).length, 'check')} made, not found.`;
    write.mutate(
      slipCall('addNote', { params: { slipId }, body: { text: text.slice(0, 400) } }, 'the comeback'),
      { onSuccess: () => toast('Written on the slip.') },
      slipId,
    );
  };
  useKeys(
    'Comeback',
    [
      ...(next && !answer.stop
        ? COMEBACK_RESULT_KEYS.map(([press, value, does]) => ({ press, does, run: () => result(next.id, value) }))
        : []),
      ...(mayBeSwapped ? [{ press: 'x', does: 'Swap test', run: () => setSwapping(true) }] : []),
      { press: 's', does: 'Points behind the order', run: () => setShowPoints(!showPoints) },
      { press: 'Control+Enter', printed: 'Ctrl Enter', does: 'Write it on the slip', run: writeDown },
    ],
    { active: mine },
  );
  const checkNow = next && comebackCheck(next.id);
  const code = readMisfireCode(now.code, plan);
  return (
    <>
      <aside className="desk-card" aria-label="What is told of it">
        <ComebackAsked now={now} mine={mine} lastSaid={last && sayLast(last)} groups={groups} onChange={change} />
      </aside>
      <main className="desk-main" aria-label="Old parts stage">
        <header className="set-up-head">
          <Mark kind={answer.stop ? 'refuse' : found ? 'match' : 'unknown'} rem={1.25} />
          <h1 className="min-w-0 text-head font-semibold" aria-live="polite">
            {answer.stop
              ? 'Lamp flashing: engine off, before any check'
              : found
                ? `Found: ${comebackCheck(found).title.toLowerCase()}`
                : checkNow
                  ? `Next: ${lowerFirst(checkNow.title)}`
                  : 'Everything was right: nothing is left to check here'}
          </h1>
          <span className="min-w-48 flex-1 text-soft">
            {answer.stop
              ? 'Unburnt fuel overheats the catalyst: it is not driven.'
              : found
                ? comebackCheck(found).mend
                : checkNow
                  ? `${checkNow.does} ${checkNow.minutes} min.`
                  : 'Read the plugs and log the compression.'}
          </span>
          <button type="button" className="button-act shrink-0" disabled={!mine} onClick={writeDown}>
            Write it on the slip <Key>Ctrl Enter</Key>
          </button>
        </header>
        <div className="set-up-panels" tabIndex={0} role="region" aria-label="Checks, results and what not to sell">
          <section aria-label="What was touched" className="set-up-panel col-span-full">
            <h2 className="text-lead font-semibold">What was touched</h2>
            <TouchedPlan
              plan={plan}
              groups={groups}
              untouched={now.untouched}
              next={checkNow?.group ?? undefined}
              coded={code.kind === 'cylinder' ? code.cylinder : undefined}
            />
          </section>
          <section aria-label="Checks, in order" className="set-up-panel">
            <h2 className="text-lead font-semibold">Checks, in order</h2>
            {mine && next && !answer.stop && (
              <p className="flex flex-wrap gap-2">
                {COMEBACK_RESULT_KEYS.map(([press, value, says]) => (
                  <button key={value} type="button" className="button-plain" onClick={() => result(next.id, value)}>
                    {says} <Key>{press}</Key>
                  </button>
                ))}
              </p>
            )}
            <ComebackList answer={answer} showPoints={showPoints} onTakeBack={mine ? takeBack : undefined} />
          </section>
          <div className="grid content-start">
            {found && answer.sell ? (
              <section aria-label="May be sold" className="set-up-panel">
                <h2 className="text-lead font-semibold">May be sold</h2>
                <p>{answer.sell}, where the check showed that it is worn or broken.</p>
              </section>
            ) : (
              <section aria-label="Not to be sold yet" className="set-up-panel bg-madder-wash">
                <h2 className="text-lead font-semibold text-madder">
                  {found ? 'Nothing to sell' : 'Not to be sold yet'}
                </h2>
                <p>
                  {found
                    ? 'It was only to be put right: no part, no charge.'
                    : now.isTakenBack
                      ? 'It was no comeback: nothing is held for it.'
                      : 'Coils, plugs, leads: what was touched is undone before anything is sold.'}
                </p>
                {mine && kept && !found && !now.isTakenBack && (
                  <SureButton
                    asks="It is no comeback"
                    sure="It is none: hold nothing for it"
                    onSure={() => keep({ ...now, isTakenBack: true }, 'no comeback after all')}
                  />
                )}
              </section>
            )}
            {mayBeSwapped && (
              <section aria-label="Swap test" className="set-up-panel">
                <h2 className="text-lead font-semibold">Swap test</h2>
                <p className="text-soft">Where a code names a cylinder: coil, plug or lead moved, in that order.</p>
                <button type="button" className="button-plain" onClick={() => setSwapping(true)}>
                  Swap test … <Key>x</Key>
                </button>
              </section>
            )}
            <section aria-label="Take care" className="set-up-panel">
              <h2 className="text-lead font-semibold">Take care</h2>
              <ul className="list-disc pl-5">
                <li>Engine off and cold before a boot is touched.</li>
                <li>
                  Never cranked with a coil off its plug; secondary voltage can kill, most of all with a pacemaker.
                </li>
                <li>A hard misfire is not driven: unburnt fuel overheats the catalyst.</li>
                {engine.cautions.some((says) => /\bgas\b/i.test(says)) && <li>Gas: its licensed fitter only.</li>}
              </ul>
            </section>
          </div>
        </div>
      </main>
      {isSwapping && (
        <Suspense fallback={<SheetOnItsWay />}>
          <MisfireDialog engine={engine} onClose={() => setSwapping(false)} />
        </Suspense>
      )}
    </>
  );
}

const sayLast = ({ on, parts, sinceKm }: NonNullable<ReturnType<typeof lastWork>>): string =>
  `${printDate(on)}: ${parts.map(({ quantity, printed }) => `${quantity} × ${printed}`).join(', ')}${
    sinceKm === undefined ? '' : `; ${Math.max(0, Math.round(sinceKm))} km since`
  }.`;
