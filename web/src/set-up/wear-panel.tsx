import type { Say } from '@brackenfell/core/fitment/say';
import type { WearDesk } from '@brackenfell/core/set-up/wear-desk';
import { roundedDown } from '@brackenfell/core/duty/agreed-interval';
import { lifeEnds, type EndBy, type LifeEnd } from '@brackenfell/core/wear/remaining-life';
import { KM_PER_HOUR, sayServed } from '@brackenfell/core/service-plan/running-hours';
import { Mark } from '../controls/mark.tsx';

export const END_WORDS: Readonly<Record<EndBy, string>> = {
  margin: 'the coil’s reserve runs out',
  gap: 'the gap is worn',
  life: 'its maker’s stated life',
  interval: 'the agreed interval',
};

interface WearPanelProps {
  readonly desk: WearDesk;
  /** The gap it is set to, mm. */
  readonly setMm: number | undefined;
  readonly say: Say;
}

/** How long a set lasts from the gap it is set to, which end comes first, and what each school makes the interval. */
export function WearPanel({ desk, setMm, say }: WearPanelProps) {
  const { perTenThousandKmMm, wornAtMm, marginOutAtMm, statedLife, countedIn, schools, material } = desk;
  const toKm = (value: number | undefined) =>
    value === undefined ? undefined : countedIn === 'hours' ? value * KM_PER_HOUR : value;
  const served = (km: number) => sayServed(km, countedIn === 'hours' ? 'hours' : 'distance', say);
  /** What is reckoned is told rounded down; what a maker or the shop says stands as it is. */
  const left = ({ by, leftKm }: LifeEnd) =>
    served(by === 'gap' || by === 'margin' ? roundedDown(leftKm, 'km') : leftKm);
  const chosen = schools.find(({ isChosen }) => isChosen);
  const ends =
    setMm === undefined || perTenThousandKmMm === undefined || wornAtMm === undefined
      ? []
      : lifeEnds({
          gapMm: setMm,
          ranKm: 0,
          perTenThousandKmMm,
          wornAtMm,
          marginOutAtMm,
          statedLifeKm: toKm(statedLife),
          intervalKm: toKm(chosen?.agreed.value),
        });
  const isLate = chosen && ends[0] && ends[0].by !== 'interval' && ends[0].leftKm < toKm(chosen.agreed.value)!;
  return (
    <section aria-label="Wear and interval" className="set-up-panel">
      <h2 className="flex flex-wrap items-baseline gap-x-2">
        <b className="text-lead font-semibold">Wear and interval</b>
        {perTenThousandKmMm !== undefined && (
          <span className="text-soft">
            {material}: <span className="num">{perTenThousandKmMm.toFixed(3)} mm</span> for 10 000 km, as is usual
          </span>
        )}
      </h2>
      {ends.length === 0 ? (
        <p className="flex items-center gap-1.5">
          <Mark kind="unknown" /> Not reckoned: {setMm === undefined ? 'the gap' : 'what it is made of'} is not known.
        </p>
      ) : (
        <table className="w-full">
          <tbody>
            {ends.map((end, i) => (
              <tr key={end.by} className="border-t border-hair">
                <th className={`text-left ${i === 0 ? 'font-semibold' : 'font-normal'}`}>
                  {i === 0 && 'first: '}
                  {END_WORDS[end.by]}
                </th>
                <td className={`num text-right ${i === 0 ? 'font-semibold' : ''}`}>{left(end)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {isLate && (
        <p className="flex items-start gap-1.5">
          <span className="pt-0.5">
            <Mark kind="caution" label="Contradiction" />
          </span>
          The interval is longer than this set lasts: {END_WORDS[ends[0]!.by]} at {left(ends[0]!)}.
        </p>
      )}
      {schools.length > 0 && (
        <ul className="flex flex-wrap gap-x-3 text-xs">
          {schools.map(({ school, isChosen, agreed }) => (
            <li key={school} className={isChosen ? 'font-semibold' : 'text-soft'}>
              {school}: <span className="num">{served(toKm(agreed.value)!)}</span>
              {isChosen && ' (house rule)'}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
