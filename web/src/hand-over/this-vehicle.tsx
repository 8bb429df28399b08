import { useState } from 'react';
import { FACTS, type FactId } from '@brackenfell/core/facts/facts';
import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import type { Slip, SlipReading } from '@brackenfell/contract/slip';
import { Choice } from '../controls/choice.tsx';
import { slipCall } from '../counter/slip-call.ts';
import { slipSheet } from '../counter/slip-sheet.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useUnsent } from '../counter/use-unsent.ts';
import { useSettings } from '../settings/settings.ts';

/** What is looked at on a vehicle as it stands: each changes what is asked of the parts, on this slip and on its next. */
const LOOKED_AT = [
  'position.comesOff',
  'position.minutesEach',
  'position.wrenchReaches',
  'position.nearHot',
  'position.lengthLimitMm',
  'position.wellBoreMm',
  'position.hasBattery',
  'position.headMetal',
  'position.aspiration',
  'position.fuel',
] as const satisfies readonly FactId[];
type LookedAt = (typeof LOOKED_AT)[number];

const optionsOf = (fact: FactId) => {
  const { answer } = FACTS[fact];
  return answer?.kind === 'choose' ? answer.options : [];
};

/** A finding in the words it was answered in, or as it was measured. */
const sayFound = ({ fact, value }: SlipReading, say: Say): string => {
  const { answer } = FACTS[fact];
  return answer?.kind === 'measure' && typeof value === 'number'
    ? say.quantity(answer.quantity, value)
    : (optionsOf(fact).find((option) => option.value === value)?.says ?? String(value));
};

interface ThisVehicleProps {
  readonly slip: Slip;
  readonly mine: boolean;
}

/** Found on this very vehicle: it stands over what is on paper, here and on its next slip. */
export function ThisVehicle({ slip, mine }: ThisVehicleProps) {
  const write = useSlipWrite();
  const say = sayIn(useSettings().units);
  const isOnItsWay = useUnsent(slip.slipId).some(({ name }) => name === 'addReading');
  const [fact, setFact] = useState<LookedAt>('position.comesOff');
  const options = optionsOf(fact).map(({ value, says }) => ({ value: String(value), says }));
  const [picked, pick] = useState<string>();
  const value = options.find((option) => option.value === picked)?.value;
  const found = slip.readings.filter(({ partId }) => partId === null);
  const store = () => {
    const answer = optionsOf(fact).find((option) => String(option.value) === value);
    if (!answer) return;
    write.mutate(
      slipCall(
        'addReading',
        { params: { slipId: slip.slipId }, body: { partId: null, fact, value: answer.value, how: 'seen' } },
        `${FACTS[fact].label}: ${answer.says}`,
      ),
    );
  };
  return (
    <section aria-label="This vehicle" className="set-up-panel">
      <h2 className="text-lead font-semibold">This vehicle</h2>
      {found.length === 0 && <p className="text-soft">Nothing was found that is otherwise than on paper.</p>}
      <ul>
        {found.map((reading) => (
          <li key={reading.readingId} className="flex flex-wrap items-baseline gap-x-2 border-t border-hair">
            <span className="flex-1">
              {FACTS[reading.fact].label}: <b className="font-semibold">{sayFound(reading, say)}</b>{' '}
              <span className="text-soft">{reading.by}</span>
            </span>
            {mine && !reading.by.includes(', slip ') && (
              <button
                type="button"
                className="button-quiet"
                onClick={() =>
                  write.mutate(
                    slipCall(
                      'withdrawReading',
                      { params: { slipId: slip.slipId, readingId: reading.readingId }, body: {} },
                      `${FACTS[reading.fact].label} taken back`,
                    ),
                  )
                }
              >
                Take it back
              </button>
            )}
          </li>
        ))}
      </ul>
      {mine && (
        <div className="flex flex-wrap items-end gap-2">
          <Choice
            label="Looked at"
            labelClass="text-slate"
            value={fact}
            options={LOOKED_AT.map((id) => ({ value: id, says: FACTS[id].label }))}
            onChange={setFact}
          />
          {options.length > 0 ? (
            <>
              <Choice label="Found" labelClass="text-slate" value={value ?? ''} options={options} onChange={pick} />
              <button
                type="button"
                className="button-plain"
                disabled={isOnItsWay || value === undefined}
                onClick={store}
              >
                Found on this vehicle
              </button>
            </>
          ) : (
            <button
              type="button"
              className="button-plain"
              onClick={() =>
                slipSheet.set({
                  kind: 'answer',
                  part: { partId: '', printed: 'this vehicle' },
                  facts: [fact],
                  says: FACTS[fact].question,
                })
              }
            >
              Measure it
            </button>
          )}
        </div>
      )}
    </section>
  );
}
