import { scaleLinear } from 'd3-scale';
import type { Say } from '@brackenfell/core/fitment/say';
import { inOurMoney, moneySign, printPrice } from '@brackenfell/core/words/money';
import { USUAL_HORIZON_KM } from '@brackenfell/core/service-plan/cost-over';
import { compareOptions, paysFromKm, spentAfter, type CostedOption } from '@brackenfell/core/service-plan/options';
import { PRICED_OVER, sayServed } from '@brackenfell/core/service-plan/running-hours';
import { systemOf } from '@brackenfell/core/quantities/format-quantity';
import { asOne, oneOf, readPence } from '@brackenfell/core/quantities/plain-figure';
import { readQuantity } from '@brackenfell/core/quantities/read-quantity';
import type { HandOver } from '@brackenfell/contract/hand-over';
import { useDraftOf } from '../controls/draft.ts';
import { useSize } from '../drawing/use-size.ts';
import { AskedBack } from '../measuring/asked-back.tsx';
import { useSettings } from '../settings/settings.ts';

const [HEIGHT, LEFT, BOTTOM] = [130, 44, 18];
const DASHES = ['', '6 3', '2 2', '8 2 2 2', '1 3'] as const;

interface OptionsPanelProps {
  readonly card: Pick<HandOver, 'options' | 'countsIn'>;
  readonly slipId: string;
  readonly say: Say;
}

/** What each plug that could be sold comes to over the years, parts and work, and from where the dearer pays. */
export function OptionsPanel({ card, slipId, say }: OptionsPanelProps) {
  const { units } = useSettings();
  const asked = useDraftOf(`options ${slipId}`, { horizon: '', labour: '' });
  const { horizon, labour } = asked.value;
  const readings = {
    horizon:
      horizon.trim() === '' ? undefined : asOne(readQuantity(horizon, 'distance', { system: systemOf(units) }), true),
    labour: readPence(labour),
  };
  const horizonKm = oneOf(readings.horizon) ?? USUAL_HORIZON_KM;
  const labourMinor = oneOf(readings.labour) ?? 0;
  const served = (km: number) => sayServed(km, card.countsIn, say);
  const options = compareOptions(
    card.options.map((option) => ({ ...option, id: option.partId })),
    labourMinor,
    horizonKm,
  );
  if (options.length === 0) return null;
  const named = labourMinor > 0 ? 'parts and labour' : 'parts';
  const perKm = PRICED_OVER[card.countsIn];
  const [cheapest] = options;
  const field = (name: 'horizon' | 'labour', label: string, example: string) => (
    <div className="max-w-56">
      <label className="grid">
        <span className="text-slate">{label}</span>
        <input
          className="field num w-32"
          value={asked.value[name]}
          placeholder={example}
          maxLength={16}
          spellCheck={false}
          onChange={(event) => asked.set({ ...asked.value, [name]: event.target.value })}
        />
      </label>
      <AskedBack reading={readings[name]} onChoose={(value) => asked.set({ ...asked.value, [name]: value })} />
    </div>
  );
  return (
    <section aria-label="Options" className="set-up-panel">
      <h2 className="flex flex-wrap items-baseline gap-x-2">
        <b className="text-lead font-semibold">What it comes to</b>
        <span className="text-soft">
          {named} before tax, to {served(horizonKm)}; the first set is now
        </span>
      </h2>
      <div className="flex flex-wrap gap-3">
        {field('horizon', 'Reckoned to', served(USUAL_HORIZON_KM))}
        {field('labour', inOurMoney('Work each time, £'), '0')}
      </div>
      <table className="w-full">
        <thead className="text-left text-xs text-slate">
          <tr>
            <th className="font-normal">Plug</th>
            <th className="pl-3 text-right font-normal">sets</th>
            <th className="pl-3 text-right font-normal">in all</th>
            <th className="pl-3 text-right font-normal">
              for <span className="whitespace-nowrap">{perKm.says}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {options.map((option, i) => {
            const own = card.options.find(({ partId }) => partId === option.id)!;
            return (
              <tr key={option.id} className={`border-t border-hair ${own.isOnSlip ? 'bg-bracken-wash' : ''}`}>
                <th className="text-left font-normal">
                  <svg width="26" height="8" aria-hidden="true" className="block">
                    <path d="M0 4H26" className="stroke-peat" strokeWidth={1.5} strokeDasharray={DASHES[i]} />
                  </svg>
                  <b className="num font-semibold whitespace-nowrap">{option.printed}</b>
                  <span className="block text-xs text-soft">
                    {own.isOnSlip ? 'on the slip' : own.maker},{' '}
                    <span className="whitespace-nowrap">lasts {served(option.lastsKm)}</span>
                  </span>
                </th>
                <td className="num pl-3 text-right">{option.cost.changes}</td>
                <td className="num pl-3 text-right">{printPrice(option.cost.totalMinor)}</td>
                <td className="num pl-3 text-right">
                  {printPrice(Math.round((option.cost.totalMinor / horizonKm) * perKm.km))}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <BreakEven options={options} labourMinor={labourMinor} horizonKm={horizonKm} served={served} />
      <ul className="text-soft">
        {options.slice(1).flatMap((option) => {
          const from = paysFromKm(option, cheapest!, labourMinor);
          return from === undefined || from === 0
            ? []
            : [
                <li key={option.id}>
                  <span className="num">{option.printed}</span> costs no more than{' '}
                  <span className="num">{cheapest!.printed}</span> from {served(from)} on.
                </li>,
              ];
        })}
      </ul>
    </section>
  );
}

interface BreakEvenProps {
  readonly options: readonly CostedOption[];
  readonly labourMinor: number;
  readonly horizonKm: number;
  readonly served: (km: number) => string;
}

/** Money spent by distance: a step where a set is changed. */
function BreakEven({ options, labourMinor, horizonKm, served }: BreakEvenProps) {
  const [pane, { widthPx }] = useSize();
  const farKm = horizonKm * 1.5;
  const most = Math.max(...options.map((option) => spentAfter(option, labourMinor, farKm)));
  const x = scaleLinear([0, farKm], [LEFT, widthPx - 8]);
  const y = scaleLinear([0, most], [HEIGHT - BOTTOM, 14]);
  const steps = (option: CostedOption) => {
    const changes = Array.from({ length: Math.ceil(farKm / option.lastsKm) }, (_, i) => i * option.lastsKm);
    return `${changes
      .map((km, i) => {
        const spent = y(spentAfter(option, labourMinor, km + 1)).toFixed(1);
        return i === 0 ? `M${x(km).toFixed(1)} ${spent}` : `H${x(km).toFixed(1)}V${spent}`;
      })
      .join('')}H${x(farKm).toFixed(1)}`;
  };
  const says = options
    .map((option) => `${option.printed}: ${printPrice(option.cost.totalMinor)} to ${served(horizonKm)}`)
    .join('; ');
  return (
    <div ref={pane} className="w-full">
      <svg role="img" aria-label={`Spent by distance. ${says}.`} width={widthPx} height={HEIGHT} className="block">
        <path d={`M${LEFT} 8V${HEIGHT - BOTTOM}H${widthPx - 8}`} fill="none" className="stroke-slate" />
        <path d={`M${x(horizonKm)} 8V${HEIGHT - BOTTOM}`} className="stroke-bracken" strokeDasharray="3 2" />
        {options.map((option, i) => (
          <path
            key={option.id}
            d={steps(option)}
            fill="none"
            className="stroke-peat"
            strokeWidth={1.5}
            strokeDasharray={DASHES[i]}
          />
        ))}
        {y.ticks(3).map((minor) => (
          <text key={minor} x={LEFT - 4} y={y(minor) + 4} textAnchor="end" className="num fill-peat text-xs">
            {moneySign()}
            {Math.round(minor / 100)}
          </text>
        ))}
        {x.ticks(2).map((km) => (
          <text key={km} x={x(km)} y={HEIGHT - 4} textAnchor="middle" className="num fill-peat text-xs">
            {km === 0 ? '' : served(km)}
          </text>
        ))}
      </svg>
    </div>
  );
}
