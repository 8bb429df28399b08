import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { WITHIN_MM } from '@brackenfell/core/dimensions/dimensions';
import { readQuantity } from '@brackenfell/core/quantities/read-quantity';
import { AskedDimensions } from '@brackenfell/contract/dimensions';
import { printCount } from '@brackenfell/core/words/counted';
import { printPrice } from '@brackenfell/core/words/money';
import { Choice } from '../controls/choice.tsx';
import { useAddress } from '../controls/use-address.ts';
import { useCounter } from '../counter/use-counter.ts';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';
import { DimensionField } from './dimension-field.tsx';

const CHOICES = {
  seat: [
    ['', 'not looked at'],
    ['gasket', 'flat, with a gasket'],
    ['taper', 'a cone'],
  ],
  terminal: [
    ['', 'not looked at'],
    ['solid', 'solid'],
    ['nut', 'a nut on its stud'],
    ['stud', 'a bare stud'],
    ['cup', 'a cup'],
  ],
  how: [
    ['tape', `tape or ruler, ± ${WITHIN_MM.tape.reachMm} mm`],
    ['gauge', 'slide gauge'],
  ],
} as const;

/** What a customer measured of a part, with a tape or a gauge: the plugs it could be, and the engines that take such. */
export function DimensionPage() {
  const { search, write } = useAddress();
  const { go } = useCounter();
  const { units } = useSettings();
  const parsed = AskedDimensions.safeParse(
    Object.fromEntries(
      Object.keys(AskedDimensions.shape).flatMap((name) => (search.get(name) ? [[name, search.get(name)]] : [])),
    ),
  );
  const asked = parsed.success ? parsed.data : AskedDimensions.parse({});
  const { how: _, ...dimensions } = asked;
  const isAsked = Object.values(dimensions).some((said) => said !== undefined);
  const set = (name: keyof AskedDimensions, value: string) => write({ [name]: value });
  const found = useQuery({
    queryKey: ['by dimension', asked, units],
    queryFn: ({ signal }) => call('searchByDimension', { query: { ...asked, units } }, { signal }),
    enabled: isAsked,
    placeholderData: keepPreviousData,
  });
  const choice = (name: 'seat' | 'terminal' | 'how', label: string) => (
    <Choice
      label={label}
      value={asked[name] ?? ''}
      options={CHOICES[name].map(([value, says]) => ({ value, says }))}
      onChange={(value) => set(name, value)}
      labelClass=""
      className="grid gap-0.5"
    />
  );
  const length = (name: 'threadMm' | 'reachMm' | 'hexMm', label: string, hint: string, autoFocus = false) => (
    <DimensionField
      label={label}
      hint={hint}
      autoFocus={autoFocus}
      valueMm={asked[name]}
      onRead={(mm) => set(name, mm === undefined ? '' : String(mm))}
      read={(text) => readQuantity(text, name === 'hexMm' ? 'hex' : 'reach', { system: 'metric' })}
      isThread={name === 'threadMm'}
    />
  );
  return (
    <>
      <aside className="desk-list" aria-label="What was measured">
        <div className="border-b border-line px-3 py-2">
          <h1 className="text-verdict font-semibold">Search by dimension</h1>
          <p className="text-soft">What is not measured is left empty; a colour or a guess is not needed.</p>
        </div>
        <form className="grid gap-2 p-3" onSubmit={(event) => event.preventDefault()}>
          {length('threadMm', 'Thread across its crests', '14', true)}
          {length('reachMm', 'Reach, from seat to end of thread', '19')}
          {length('hexMm', 'Hex across its flats', '16')}
          {choice('seat', 'Seat')}
          {choice('terminal', 'Top')}
          {choice('how', 'Measured with')}
          <button
            type="button"
            className="button-plain justify-self-start"
            onClick={() => write(Object.fromEntries(Object.keys(AskedDimensions.shape).map((name) => [name, ''])))}
          >
            Empty all
          </button>
        </form>
      </aside>
      <main className="desk-main" aria-label="What answers to the dimensions">
        {found.error && (
          <p role="alert" className="p-3 text-madder">
            {found.error.message}
          </p>
        )}
        {!isAsked && <p className="p-4 text-soft">Type one dimension, and what answers to it stands here.</p>}
        {isAsked && !found.data && !found.error && <p className="p-4 text-soft">Looking …</p>}
        {isAsked && found.data && (
          <div className="grid min-h-0 flex-1 grid-cols-2 divide-x divide-line">
            <section className="min-h-0 overflow-auto" aria-label="Plugs" tabIndex={0}>
              <h2 className="px-3 py-2 font-semibold" aria-live="polite">
                {found.data.partCount === 0
                  ? 'No plug answers to all of it'
                  : `${found.data.partCount === 1 ? 'One plug' : `${printCount(found.data.partCount)} plugs`}${found.data.partCount > found.data.parts.length ? `, the nearest ${found.data.parts.length}` : ', the nearest first'}`}
              </h2>
              <ol>
                {found.data.parts.map((part) => (
                  <li key={part.partId} className="border-t border-hair px-3 py-1">
                    <p className="flex items-baseline gap-2">
                      <Link className="num font-semibold underline decoration-line" to={`/parts/${part.partId}`}>
                        {part.printed}
                      </Link>
                      <span className="text-soft">{part.maker}</span>
                      <span className="num ml-auto">
                        {printPrice(part.priceMinor)} · {part.onHand} here
                      </span>
                    </p>
                    <p className="text-slate">{part.says}</p>
                  </li>
                ))}
              </ol>
            </section>
            <section className="min-h-0 overflow-auto" aria-label="Engines" tabIndex={0}>
              <h2 className="px-3 py-2 font-semibold">
                {found.data.engineCount === 0
                  ? 'No engine takes such a plug'
                  : found.data.engineCount === 1
                    ? 'One engine takes such a plug'
                    : `${printCount(found.data.engineCount)} engines take such a plug`}
              </h2>
              <ol>
                {found.data.engines.map((engine) => (
                  <li key={engine.engineId} className="border-t border-hair px-3 py-1">
                    <p className="flex items-baseline gap-2">
                      <b className="font-semibold">{engine.title}</b>
                      <span className="truncate text-soft">{engine.summary}</span>
                      <button
                        type="button"
                        className="button-plain ml-auto"
                        onClick={() => go('/counter/parts', { engine: engine.engineId })}
                      >
                        Its parts
                      </button>
                    </p>
                    <p className="text-slate">{engine.says}</p>
                  </li>
                ))}
              </ol>
            </section>
          </div>
        )}
      </main>
    </>
  );
}
