import { sayServed } from '@brackenfell/core/service-plan/running-hours';
import { roundedDown } from '@brackenfell/core/duty/agreed-interval';
import { sayIn } from '@brackenfell/core/fitment/say';
import type { LifeEnd } from '@brackenfell/core/wear/remaining-life';
import { Mark } from '../controls/mark.tsx';
import { END_WORDS } from '../set-up/wear-panel.tsx';
import { useSettings } from '../settings/settings.ts';
import { CopyText } from './copy-text.tsx';
import { SumChoice } from './sum-choice.tsx';
import { SumField } from './sum-field.tsx';
import { SumPage } from './sum-page.tsx';
import { useTyped } from './use-typed.ts';
import {
  BREATHING,
  CHANGED,
  countsInHours,
  readWearSum,
  TIPS_THAT_WEAR,
  WEAR_FIELDS,
  type WearSum,
} from './wear-inputs.ts';

const EXAMPLES: Partial<Record<string, string>> = { gap: '0.7–0.8', found: '0.92', ran: '45 000 km' };

/** What is reckoned is told rounded down; what somebody says stands. */
const sayLeft = ({ by, leftKm }: LifeEnd, served: Served): string =>
  served(by === 'gap' || by === 'margin' ? roundedDown(leftKm, 'km') : leftKm);

/** Says a distance as the engine counts it. */
type Served = (km: number) => string;

/** How the gap grew or usually grows, in words. */
function growthWords({ measured, usualMm }: WearSum): string {
  const rate = (mm: number) => `${mm.toFixed(3)} mm for 10 000 km`;
  switch (measured?.kind) {
    case 'rate':
      return `It grew by ${rate(measured.perTenThousandKmMm)}; usual is ${rate(usualMm)}.`;
    case 'closed':
      return `It stands closer than it was fitted: set or knocked meanwhile, and no wear can be told from it. Usual is ${rate(usualMm)}.`;
    case 'no-distance':
      return `Nothing was run between the two: usual is ${rate(usualMm)}.`;
    case undefined:
      return `Usual growth: ${rate(usualMm)}.`;
  }
}

function historyWords({ estimate }: WearSum, served: Served): string | undefined {
  if (estimate?.kind === 'estimated')
    return `History unknown: by the gap found it has run about ${served(roundedDown(estimate.ranKm, 'km'))}, an estimate.`;
  if (estimate === undefined) return undefined;
  return estimate.because === 'closed-since'
    ? 'History unknown, and it stands closer than it was delivered: due now.'
    : 'History unknown: due now, unless the gap it was fitted with is known.';
}

/** How long a set has left, from a gap found and what was run, and what each school makes the interval. */
export function WearPage() {
  const { typed, text, set } = useTyped();
  const { units } = useSettings();
  const say = sayIn(units);
  const served: Served = (km) => sayServed(km, countsInHours(typed) ? 'hours' : 'distance', say);
  const sum = readWearSum(typed, units);
  const history = historyWords(sum, served);
  const outlives = sum.schools.find(({ agreed }) => agreed.outlivesPart);
  const [first] = sum.ends;
  const lines = [
    growthWords(sum),
    ...(history ? [history] : []),
    ...sum.ends.map((end) => `${END_WORDS[end.by]}: ${sayLeft(end, served)} left`),
    ...sum.schools.map(({ says, agreed }) => `${says}: ${served(agreed.value)}`),
  ];
  return (
    <SumPage
      title="Wear"
      about="How long a set has left, and when it is due."
      answerLabel="What is left"
      fields={
        <>
          <SumChoice
            name="material"
            label="The electrode that wears"
            options={TIPS_THAT_WEAR}
            typed={typed}
            onChoose={set}
          />
          <SumChoice name="breathing" label="The engine" options={BREATHING} typed={typed} onChoose={set} />
          <SumChoice name="changed" label="It is" options={CHANGED} typed={typed} onChoose={set} />
          {WEAR_FIELDS.map(({ name, label }, i) => (
            <SumField
              key={name}
              label={label}
              text={text(name)}
              first={i === 0}
              example={EXAMPLES[name] ?? ''}
              reading={sum.readings[name]}
              onType={(value) => set(name, value)}
            />
          ))}
        </>
      }
    >
      <h2 className="flex items-center gap-2 text-verdict font-semibold">
        <Mark kind={first === undefined ? 'unknown' : first.leftKm === 0 ? 'refuse' : 'match'} rem={1.25} />
        {first === undefined
          ? 'Type the gap asked and the gap found'
          : first.leftKm === 0
            ? `Due now: ${END_WORDS[first.by]}`
            : `${sayLeft(first, served)} left, then ${END_WORDS[first.by]}`}
      </h2>
      <p>{growthWords(sum)}</p>
      {history && <p>{history}</p>}
      {sum.ends.length > 0 && (
        <table className="max-w-xl">
          <tbody>
            {sum.ends.map((end) => (
              <tr key={end.by} className="border-t border-hair">
                <th className="text-left font-normal">{END_WORDS[end.by]}</th>
                <td className="num text-right">{sayLeft(end, served)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {sum.schools.length > 0 && (
        <section aria-label="Interval by school">
          <h2 className="font-semibold">The interval, school by school</h2>
          <ul>
            {sum.schools.map(({ says, agreed }) => (
              <li key={says}>
                {says}: <span className="num">{served(agreed.value)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {outlives && (
        <p className="flex items-center gap-1.5">
          <Mark kind="caution" label="Contradiction" /> The engine maker’s interval is longer than this plug lives.
        </p>
      )}
      <CopyText title="Wear" lines={sum.ends.length + sum.schools.length > 0 ? lines : []} />
    </SumPage>
  );
}
