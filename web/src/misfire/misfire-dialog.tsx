import { useState } from 'react';
import { readMisfireCode, sayWhere } from '@brackenfell/core/misfire/misfire-code';
import { DEFAULT_HOUSE_RULES } from '@brackenfell/core/house-rules/house-rules';
import { conclude, planSwap, type OneOrAll, type SwapResult } from '@brackenfell/core/misfire/swap-test';
import type { EngineCard } from '@brackenfell/contract/engine';
import { Dialog } from '../controls/dialog.tsx';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { PlanDrawing } from '../engine-plan/plan-drawing.tsx';
import type { HouseRuleView } from '@brackenfell/contract/house-rules';
import { useCounter } from '../counter/use-counter.ts';
import { useHouseRules } from '../house-rules/use-house-rules.ts';
import { useKept } from '../counter/use-keep.ts';
import { useKeys } from '../keys/keys.ts';

const RESULTS: readonly (readonly [string, SwapResult, string])[] = [
  ['a', 'followed', 'the code went with it'],
  ['b', 'stayed', 'the code stayed'],
  ['n', 'cannot-tell', 'cannot tell'],
];

/** From a misfire code to the cylinder it means, the swaps that tell, and what may be sold: nothing before it is settled. */
export function MisfireDialog({ engine, onClose }: { engine: EngineCard; onClose: () => void }) {
  const { kept } = useKept('swap-test', engine.engineId);
  const [typed, setTyped] = useState(kept?.code ?? '');
  const [taken, setTaken] = useState(kept?.code);
  const { plan } = engine;
  return (
    <Dialog
      title={`Misfire code on the ${engine.code}`}
      about="Engine cold before anything is moved; never cranked with a coil off its plug."
      onClose={onClose}
      wide
    >
      {!plan ? (
        <p>How this engine’s cylinders stand and fire is not known: ask the maker’s manual before anything is moved.</p>
      ) : (
        <>
          <form
            className="flex items-end gap-3 pb-3"
            onSubmit={(event) => {
              event.preventDefault();
              // The letters that follow are answers, not more of the code.
              event.currentTarget.querySelector('input')?.blur();
              setTaken(typed);
            }}
          >
            <label className="grid gap-1">
              <span className="text-slate">Code as read, or the cylinder</span>
              <input
                className="field num w-40"
                autoFocus
                value={typed}
                maxLength={20}
                onChange={(event) => setTyped(event.target.value)}
              />
            </label>
            <button type="submit" className="button-plain">
              Where is it? <Key>Enter</Key>
            </button>
          </form>
          {taken !== undefined && (
            <Reading
              key={taken}
              engine={engine}
              plan={plan}
              typed={taken}
              kept={kept?.code === taken ? kept.results : []}
            />
          )}
        </>
      )}
    </Dialog>
  );
}

interface ReadingProps {
  readonly engine: EngineCard;
  readonly plan: NonNullable<EngineCard['plan']>;
  readonly typed: string;
  /** What the swaps told so far, kept on the slip. */
  readonly kept: readonly SwapResult[];
}

function Reading({ engine, plan, typed, kept }: ReadingProps) {
  const code = readMisfireCode(typed, plan);
  switch (code.kind) {
    case 'unreadable':
      return <p role="alert">No cylinder can be read in it: its last two digits name one.</p>;
    case 'other-fault':
      return (
        <p role="alert">
          <b className="font-semibold">{typed.toUpperCase()} is no misfire code.</b> It names another fault, and no
          cylinder: no swap of plugs, coils or leads answers it. Look it up in the engine maker’s list; sell nothing for
          it yet.
        </p>
      );
    case 'no-such-cylinder':
      return (
        <p role="alert">This engine has no cylinder {code.cylinder}: check the code, or the engine on the slip.</p>
      );
    case 'several':
      return (
        <p>
          <b className="font-semibold">Several cylinders, no one in particular.</b> Mixture, fuel, a common supply or
          all plugs worn: no swap tells. Read the plugs first; sell nothing yet.
        </p>
      );
    case 'cylinder':
      return <SwapTest engine={engine} plan={plan} typed={typed} kept={kept} cylinder={code.cylinder} />;
  }
}

/** How many the shop changes when one has failed: as settled on the slip, else as the shop chose. */
function oneOrAll(house: readonly HouseRuleView[], ofSlip: readonly { rule: string; school: string }[]): OneOrAll {
  const of = (rule: keyof OneOrAll) =>
    ofSlip.find((one) => one.rule === rule)?.school ??
    house.find((one) => one.rule === rule)?.chosen ??
    DEFAULT_HOUSE_RULES[rule];
  return {
    oneOrAllPlugs: of('oneOrAllPlugs'),
    oneOrAllCoils: of('oneOrAllCoils'),
    oneOrAllLeads: of('oneOrAllLeads'),
  } as OneOrAll;
}

function SwapTest({ engine, plan, typed, kept, cylinder }: ReadingProps & { readonly cylinder: number }) {
  const hasLeads = engine.needs.some(({ kind }) => kind === 'lead-set');
  const by = engine.sparkBy ?? 'coil-each';
  const steps = planSwap(plan, cylinder, by === 'coil-each' && hasLeads ? 'coil-with-lead' : by);
  const [results, setResults] = useState(kept);
  const { keep } = useKept('swap-test', engine.engineId);
  const { data: house, error: houseAway } = useHouseRules();
  const { slip } = useCounter();
  const conclusion = conclude(steps, results, oneOrAll(house?.rules ?? [], slip.data?.rules ?? []));
  const at = results.length;
  const step = conclusion.settled ? undefined : steps[at];
  // A swap test takes a day: every answer is kept on the slip as it is given.
  const put = (next: readonly SwapResult[]) => {
    setResults(next);
    keep({ kind: 'swap-test', code: typed, results: [...next] }, 'swap test');
  };
  const answer = (result: SwapResult) => {
    if (step) put([...results, result]);
  };
  useKeys(
    'Swap test',
    [
      ...RESULTS.map(([press, result, does]) => ({ press, does, run: () => answer(result) })),
      { press: 'z', does: 'Take the last result back', run: () => results.length > 0 && put(results.slice(0, -1)) },
    ],
    { inDialog: true, active: steps.length > 0 },
  );
  return (
    <div className="grid grid-cols-[auto_1fr] gap-4">
      <div>
        <PlanDrawing
          plan={plan}
          says={`Cylinder ${cylinder}: ${sayWhere(plan, cylinder)}.`}
          toneOf={(one) => (one === cylinder ? 'odd' : one === step?.to ? 'picked' : 'plain')}
          swap={step ? [step.from, step.to] : undefined}
        />
        <p>
          <b className="font-semibold">Cylinder {cylinder}</b>: {sayWhere(plan, cylinder)}.
        </p>
      </div>
      <div>
        {steps.length === 0 && (
          <p>There is no other cylinder to swap with: change one part at a time and clear the code.</p>
        )}
        <ol className="grid gap-1.5">
          {steps.map(({ move, from, to }, i) => (
            <li
              key={move}
              className={`border p-2 ${i === at && step ? 'border-bracken bg-bracken-wash' : 'border-hair'}`}
            >
              <p>
                {i + 1}. Move the <b className="font-semibold">{move}</b> of cylinder {from} to {to}, and that of {to}{' '}
                to {from}. Clear the code; drive until it comes again.
              </p>
              {results[i] !== undefined ? (
                <p className="text-slate">{RESULTS.find(([, result]) => result === results[i])?.[2]}</p>
              ) : (
                i === at &&
                step && (
                  <p className="flex gap-4 pt-1">
                    {RESULTS.map(([press, result, says]) => (
                      <button key={press} type="button" className="min-h-6 underline" onClick={() => answer(result)}>
                        <Key>{press}</Key> {says}
                        {result === 'followed' ? `: now ${to}` : result === 'stayed' ? `: still ${from}` : ''}
                      </button>
                    ))}
                  </p>
                )
              )}
            </li>
          ))}
        </ol>
        <div className="mt-2 border-t border-line pt-2" aria-live="polite">
          <p className="flex items-center gap-2">
            <Mark kind={conclusion.blamed ? 'match' : conclusion.settled ? 'acceptable' : 'unknown'} rem={1} />
            <span>{conclusion.says}</span>
          </p>
          {conclusion.sell.length > 0 &&
            (house || houseAway ? (
              <p>
                To sell: <b className="font-semibold">{conclusion.sell.join(', ')}</b>.
                {!house && ' Whether one or all, by this shop’s own rule, could not be asked: this is by a usual one.'}
              </p>
            ) : (
              <p className="text-soft">Looking whether this shop sells one or all …</p>
            ))}
          <p className="text-slate">Not yet: {conclusion.notYet.join(', ')}.</p>
        </div>
      </div>
    </div>
  );
}
