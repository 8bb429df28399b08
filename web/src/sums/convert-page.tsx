import { inOurMoney } from '@brackenfell/core/words/money';
import { Choice } from '../controls/choice.tsx';
import { Mark } from '../controls/mark.tsx';
import { useSettings } from '../settings/settings.ts';
import {
  compressionSays,
  convert,
  copperSays,
  costSays,
  KINDS,
  leadSays,
  pairGuard,
  socketSays,
  type Answer,
} from './convert-inputs.ts';
import { CopyText } from './copy-text.tsx';
import { chosen } from './spark-inputs.ts';
import { SumField } from './sum-field.tsx';
import { useTyped } from './use-typed.ts';

/** Small sums of a phone call, each by itself; the address carries all that was typed. */
const SUMS = [
  {
    title: 'Two figures side by side',
    fields: [
      ['one', 'One', '25 N·m'],
      ['other', 'The other', '18 lbf·ft'],
    ],
    says: pairGuard,
  },
  { title: 'Socket for a hex', fields: [['hex', 'Across the flats', '5/8 in']], says: socketSays },
  {
    title: 'A lead, a metre',
    fields: [
      ['lead', 'Reading, end to end', '7.2 kΩ'],
      ['length', 'Length, mm', '620'],
    ],
    says: leadSays,
  },
  {
    title: 'A winding at 20 °C',
    fields: [
      ['ohm', 'Reading', '0.58 Ω'],
      ['warm', 'Its temperature', '60 °C'],
    ],
    says: copperSays,
  },
  { title: 'Compression', fields: [['cylinders', 'Each cylinder', '12 11.8 9 bar']], says: compressionSays },
  {
    title: 'Cost over a distance',
    fields: [
      ['price', 'A set, £', '37.60'],
      ['labour', 'Labour each time, £', '45'],
      ['lasts', 'A set lasts', '60 000 km'],
      ['horizon', 'Reckoned to', '120 000 km'],
    ],
    says: costSays,
  },
] as const satisfies readonly {
  readonly title: string;
  readonly fields: readonly (readonly [name: string, label: string, example: string])[];
  readonly says: (search: URLSearchParams, units: ReturnType<typeof useSettings>['units']) => Answer;
}[];

/** Conversions with their guards, and the small sums that are asked over the telephone. */
export function ConvertPage() {
  const { typed, text, set } = useTyped();
  const { units } = useSettings();
  const figure = convert(typed, units);
  const all = [
    ...(figure.lines.length > 0 ? [figure.lines.join(' = ')] : []),
    ...SUMS.flatMap(({ title, says }) => {
      const { lines } = says(typed, units);
      return lines.length > 0 ? [`${title}: ${lines.join(' ')}`] : [];
    }),
  ];
  return (
    <main className="desk-main col-span-2" aria-label="Conversions">
      <div className="overflow-auto p-4" tabIndex={0} role="region" aria-label="Conversions and small sums">
        <div className="flex items-baseline gap-4 pb-2">
          <h1 className="text-verdict font-semibold">Conversions</h1>
          <CopyText title="Sums" lines={all} />
        </div>
        <div className="sum-cards">
          <section aria-label="One figure" className="sum-card">
            <h2 className="text-lead font-semibold">One figure in every unit</h2>
            <Choice
              label="It measures a"
              labelClass=""
              value={chosen(typed, 'kind', KINDS)}
              options={KINDS}
              onChange={(kind) => set('kind', kind)}
              className="grid grid-cols-[1fr_8.5rem] items-center gap-2"
            />
            <SumField
              label="As it is told"
              text={text('figure')}
              first
              example=".028-.030 in"
              reading={figure.readings?.figure}
              onType={(value) => set('figure', value)}
            />
            {figure.lines.length > 0 && (
              <output className="grid gap-0.5">
                <b className="num font-semibold">{figure.lines[0]}</b>
                <span className="num text-soft">{figure.lines.slice(1).join(' = ')}</span>
                <span className="text-xs text-soft">Ends of a range are limits: never wider than they were told.</span>
              </output>
            )}
          </section>
          {SUMS.map(({ title, fields, says }) => {
            const answer: Answer = says(typed, units);
            return (
              <section key={title} aria-label={title} className="sum-card">
                <h2 className="text-lead font-semibold">{title}</h2>
                {fields.map(([name, label, example]) => (
                  <SumField
                    key={name}
                    label={inOurMoney(label)}
                    text={text(name)}
                    example={example}
                    reading={answer.readings?.[name]}
                    onType={(value) => set(name, value)}
                  />
                ))}
                {answer.lines.length > 0 && (
                  <output className="grid gap-0.5">
                    {answer.lines.map((line) => (
                      <span key={line}>{line}</span>
                    ))}
                  </output>
                )}
                {answer.wrong && (
                  <p role="alert" className="flex items-start gap-1.5 text-madder">
                    <span className="pt-0.5">
                      <Mark kind="refuse" />
                    </span>
                    {answer.wrong}
                  </p>
                )}
              </section>
            );
          })}
        </div>
      </div>
    </main>
  );
}
