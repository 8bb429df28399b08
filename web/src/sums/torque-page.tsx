import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import { asOne } from '@brackenfell/core/quantities/plain-figure';
import { readQuantity } from '@brackenfell/core/quantities/read-quantity';
import { systemOf } from '@brackenfell/core/quantities/format-quantity';
import { clampOverIntended, cutFor, sayClamp } from '@brackenfell/core/torque/compound';
import { askWrench, type WrenchAnswer } from '@brackenfell/core/torque/wrench';
import { Mark } from '../controls/mark.tsx';
import { useHouseRules } from '../house-rules/use-house-rules.ts';
import { TorquePanel, torqueWords } from '../set-up/torque-panel.tsx';
import { useSettings } from '../settings/settings.ts';
import { CopyText } from './copy-text.tsx';
import { chosen } from './spark-inputs.ts';
import { SumChoice } from './sum-choice.tsx';
import { SumField } from './sum-field.tsx';
import { SumPage } from './sum-page.tsx';
import { CONDITIONS, METALS, OFFSET, readOffset, readTorqueSum, SHEETS, THREADS, USED_ON } from './torque-inputs.ts';
import { useTyped } from './use-typed.ts';

const WRENCH_WORDS: Readonly<Record<Exclude<WrenchAnswer['kind'], 'set' | 'lever-too-short'>, string>> = {
  'below-scale': 'under its scale: a smaller wrench',
  'above-scale': 'over its scale: a larger wrench',
  'low-on-scale': 'under a fifth of its top figure, where it is not true: a smaller wrench',
};

/** How far a plug is tightened, from the sheets at hand: sources, slips that multiply, and what a wrench is set to. */
export function TorquePage() {
  const { typed, text, set } = useTyped();
  const { units } = useSettings();
  const say = sayIn(units);
  const { readings, desk, context } = readTorqueSum(typed, units);
  const setTo =
    text('set').trim() === ''
      ? undefined
      : asOne(readQuantity(text('set'), 'plug-torque', { system: systemOf(units), context }));
  const wrench = wrenchOf(text('scale'), units);
  const offset = readOffset(typed);
  const answer = desk.answer;
  const used = chosen(typed, 'used', USED_ON);
  const house = useHouseRules();
  const byHouse = houseSays(house);
  const lines = answer
    ? [...said(desk.answer, say, torqueWords(desk, say, false)), ...(byHouse === undefined ? [] : [byHouse])]
    : [];
  return (
    <SumPage
      title="Torque"
      about="Every sheet at hand brought to one, for this thread and metal."
      answerLabel="How far it is tightened"
      fields={
        <>
          <SumChoice name="thread" label="Thread and seat" options={THREADS} typed={typed} onChoose={set} isBeside />
          <SumChoice name="metal" label="Head" options={METALS} typed={typed} onChoose={set} isBeside />
          {SHEETS.map(({ name, on, label }, i) => {
            const reading = readings[name];
            return (
              <div key={name} className="grid gap-1">
                <SumField
                  label={label}
                  text={text(name)}
                  first={i === 0}
                  example={i === 0 ? '25 N·m' : ''}
                  reading={reading?.kind === 'pair' ? undefined : reading}
                  wrong={reading?.kind === 'pair' ? reading.question : undefined}
                  onType={(value) => set(name, value)}
                />
                {text(name) !== '' && (
                  <SumChoice name={on} label="meant" options={CONDITIONS} typed={typed} onChoose={set} isBeside />
                )}
              </div>
            );
          })}
          <h2 className="pt-1 font-semibold">On the thread, and set to</h2>
          <SumChoice name="used" label="On the thread" options={USED_ON} typed={typed} onChoose={set} isBeside />
          <SumField
            label="Wrench was set to"
            text={text('set')}
            reading={setTo}
            onType={(value) => set('set', value)}
          />
          <h2 className="pt-1 font-semibold">Wrench</h2>
          <SumField
            label="Its scale"
            text={text('scale')}
            example="5-50 N·m"
            reading={wrench.reading}
            onType={(value) => set('scale', value)}
          />
          {OFFSET.map(({ name, label }) => (
            <SumField
              key={name}
              label={label}
              text={text(name)}
              reading={offset.readings[name]}
              onType={(value) => set(name, value)}
            />
          ))}
        </>
      }
    >
      <TorquePanel desk={desk} at={undefined} say={say} withThreads={false} />
      {byHouse !== undefined && <p role="note">{byHouse}</p>}
      {answer && (
        <section aria-label="On this thread" className="grid gap-1">
          <h2 className="text-lead font-semibold">On this thread</h2>
          {answer.condition === 'dry' ? (
            <p>
              The same clamp: dry <b className="num">{say.quantity('plug-torque', answer.aimNm)}</b>, oiled{' '}
              <b className="num">{say.quantity('plug-torque', answer.aimNm * cutFor('oil'))}</b>, with anti-seize{' '}
              <b className="num">{say.quantity('plug-torque', answer.aimNm * cutFor('anti-seize'))}</b>.
            </p>
          ) : (
            <p>The figure is not stated dry: it is not cut.</p>
          )}
          {setTo?.kind === 'read' && (
            <Clamp
              clamp={clampOverIntended({
                meantNm: answer.aimNm,
                meantOn: answer.condition === 'with-compound' ? 'anti-seize' : 'dry',
                setNm: setTo.low,
                usedOn: used,
              })}
            />
          )}
        </section>
      )}
      {answer && wrench.scale && !offset.isAsked && (
        <WrenchSays
          answer={askWrench(
            answer.aimNm * cutFor(answer.condition === 'dry' ? used : 'dry'),
            wrench.scale,
            offset.extension,
          )}
          say={say}
        />
      )}
      <CopyText title="Torque" lines={lines} />
    </SumPage>
  );
}

/** Where the shop tightens by angle: a sum tells the torque all the same, for a wrench is what it is held against. */
function houseSays({ data, isError }: ReturnType<typeof useHouseRules>): string | undefined {
  const rule = data?.rules.find((one) => one.rule === 'tightening')?.chosen;
  if (rule === undefined)
    return isError ? 'Whether the house rule is by wrench or by angle could not be asked.' : undefined;
  return rule === 'angle'
    ? 'House rule here: by angle from finger-tight, not by torque. The torque is for holding a wrench against.'
    : undefined;
}

const said = (
  { lowNm, highNm, aimNm }: { readonly lowNm: number; readonly highNm: number; readonly aimNm: number },
  say: Say,
  words: readonly string[],
): readonly string[] => [
  `${say.quantity('plug-torque', aimNm)}, in ${say.span('plug-torque', { low: lowNm, high: highNm })}`,
  ...words,
];

/** A wrench's scale: two figures of one unit. */
function wrenchOf(text: string, units: ReturnType<typeof useSettings>['units']) {
  const reading = text.trim() === '' ? undefined : readQuantity(text, 'fastener-torque', { system: systemOf(units) });
  const scale =
    reading?.kind === 'read' && reading.low < reading.high ? { lowNm: reading.low, highNm: reading.high } : undefined;
  const isNone = reading?.kind === 'read' && scale === undefined;
  return {
    reading: isNone ? { kind: 'unreadable' as const, why: 'From its lowest to its top figure: 5-50 N·m.' } : reading,
    scale,
  };
}

function Clamp({ clamp }: { readonly clamp: number }) {
  const { word, says } = sayClamp(clamp);
  return (
    <p className="flex items-start gap-1.5">
      <span className="pt-0.5">
        <Mark kind={word === 'as-meant' ? 'match' : 'refuse'} />
      </span>
      <span>
        As set it clamps <b className="num font-semibold">{Math.round(clamp * 100)}%</b> of what is meant. {says}
      </span>
    </p>
  );
}

function WrenchSays({ answer, say }: { readonly answer: WrenchAnswer; readonly say: Say }) {
  return (
    <section aria-label="The wrench" className="grid gap-1">
      <h2 className="text-lead font-semibold">The wrench</h2>
      {answer.kind === 'lever-too-short' ? (
        <p>The extension shortens the lever to half or less: no figure is given for it.</p>
      ) : (
        <p className="flex items-center gap-1.5">
          <Mark kind={answer.kind === 'set' ? 'match' : 'refuse'} />
          Set to <b className="num font-semibold">{say.quantity('fastener-torque', answer.setNm)}</b>
          {answer.kind === 'set' ? ': on its scale.' : `: ${WRENCH_WORDS[answer.kind]}.`}
        </p>
      )}
    </section>
  );
}
