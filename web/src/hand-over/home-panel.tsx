import { homeOrWorkshop } from '@brackenfell/core/service-plan/home-or-workshop';
import { oneOf, readPence, readPlain, type PlainReading } from '@brackenfell/core/quantities/plain-figure';
import { inOurMoney, printPrice } from '@brackenfell/core/words/money';
import { ourTax } from '../shop/our-shop.ts';
import { Mark } from '../controls/mark.tsx';
import { useDraftOf } from '../controls/draft.ts';
import { AskedBack } from '../measuring/asked-back.tsx';

interface HomePanelProps {
  readonly slipId: string;
  /** What is sold on the slip, before tax. */
  readonly partsMinor: number;
  /** Minutes of work as they were found on this vehicle. */
  readonly minutesFound: number | undefined;
  /** Why it stays with a workshop whatever it costs. */
  readonly stays: readonly string[];
}

const FIELDS = [
  { name: 'tools', label: 'Tools to buy, £', example: '0' },
  { name: 'minutes', label: 'Work, minutes', example: '45' },
  { name: 'rate', label: 'Workshop’s hour, £', example: '80' },
  { name: 'markUp', label: 'On parts there, %', example: '0' },
] as const;
type FieldName = (typeof FIELDS)[number]['name'];

/** What the job comes to at home and in a workshop, told the same way; and when it is not a question of money. */
export function HomePanel({ slipId, partsMinor, minutesFound, stays }: HomePanelProps) {
  const asked = useDraftOf<Record<FieldName, string>>(`home ${slipId}`, {
    tools: '',
    minutes: '',
    rate: '',
    markUp: '',
  });
  const readings: Readonly<Record<FieldName, PlainReading | undefined>> = {
    tools: readPence(asked.value.tools),
    minutes: readPlain(asked.value.minutes || String(minutesFound ?? ''), 'Minutes of work, such as 45.'),
    rate: readPence(asked.value.rate),
    markUp: readPlain(asked.value.markUp, 'Per cent, such as 15.'),
  };
  const [minutes, perHourMinor] = [oneOf(readings.minutes), oneOf(readings.rate)];
  const isAsked = Object.values(readings).some((reading) => reading?.kind === 'unreadable');
  const both =
    minutes === undefined || perHourMinor === undefined || isAsked
      ? undefined
      : homeOrWorkshop({
          partsMinor,
          toolsMinor: oneOf(readings.tools) ?? 0,
          minutes,
          perHourMinor,
          markUpPercent: oneOf(readings.markUp) ?? 0,
          taxBasisPoints: ourTax(),
        });
  return (
    <section aria-label="Home or workshop" className="set-up-panel">
      <h2 className="text-lead font-semibold">Home or workshop</h2>
      {stays.map((says) => (
        <p key={says} className="flex items-start gap-1.5">
          <span className="pt-0.5">
            <Mark kind="caution" label="Stays with a workshop" />
          </span>
          {says}
        </p>
      ))}
      <div className="grid grid-cols-2 gap-2">
        {FIELDS.map(({ name, label, example }) => (
          <div key={name}>
            <label className="grid">
              <span className="text-slate">{inOurMoney(label)}</span>
              <input
                className="field num"
                value={asked.value[name]}
                placeholder={name === 'minutes' && minutesFound !== undefined ? `${minutesFound}, found here` : example}
                maxLength={10}
                spellCheck={false}
                onChange={(event) => asked.set({ ...asked.value, [name]: event.target.value })}
              />
            </label>
            <AskedBack reading={readings[name]} onChoose={(value) => asked.set({ ...asked.value, [name]: value })} />
          </div>
        ))}
      </div>
      {both ? (
        <output className="grid gap-0.5">
          <span>
            At home <b className="num font-semibold">{printPrice(both.homeMinor)}</b>
            {both.homeMinor === both.laterMinor ? '' : `, later jobs ${printPrice(both.laterMinor)}`}; in a workshop{' '}
            <b className="num font-semibold">{printPrice(both.workshopMinor)}</b>, both with tax.
          </span>
          <span className="text-soft">
            {both.toolsPayAfter === undefined
              ? 'Tools bought for it never pay: the workshop is no dearer.'
              : both.homeMinor === both.laterMinor
                ? 'No tools to buy.'
                : `Its tools pay from job ${both.toolsPayAfter} on.`}
          </span>
        </output>
      ) : (
        <p className="text-soft">Told once minutes and the workshop’s hour are known.</p>
      )}
    </section>
  );
}
