import { CAUSES, type CauseId } from '@brackenfell/core/old-parts/causes';
import { COMEBACK_CHECK_IDS, comebackCheck, HOW_SOON } from '@brackenfell/core/old-parts/comeback-checks';
import { TABLES, type ReadingTables } from '@brackenfell/core/old-parts/read-plugs';
import { CONTEXT_IDS, CONTEXTS, givenBy, SIGN_IDS, SIGNS, type SignId } from '@brackenfell/core/old-parts/signs';
import { changedBy, firstTwo, READING_EXAMPLES } from '@brackenfell/core/old-parts/worked-examples';
import { oneOf, readPlain } from '@brackenfell/core/quantities/plain-figure';
import { counted } from '@brackenfell/core/words/counted';
import { useDraftOf } from '../controls/draft.ts';
import { Mark } from '../controls/mark.tsx';

type Tried = Readonly<Record<string, string>>;
const keyOf = (sign: SignId, cause: CauseId): string => `${sign} ${cause}`;
const causesOf = (sign: SignId): readonly CauseId[] => Object.keys(givenBy(sign)) as CauseId[];

/** The tables with what is tried in their place; what cannot be read counts as it stands. */
const tablesWith = (tried: Tried): ReadingTables => ({
  ...TABLES,
  points: (sign, cause) => oneOf(readPlain(tried[keyOf(sign, cause)] ?? '', '')) ?? TABLES.points(sign, cause),
});

/** Every rule a reading goes by, with its reason; another weight is tried here, and shows which examples it would change. */
export function RulesDesk() {
  const tried = useDraftOf<Tried>('old-part weights', {});
  const tables = tablesWith(tried.value);
  const changed = changedBy(tables);
  const isTried = Object.values(tried.value).some((text) => text.trim() !== '');
  return (
    <main className="desk-main col-span-2" aria-label="Old parts stage">
      <header className="set-up-head">
        <Mark kind={changed.length === 0 ? 'match' : 'caution'} rem={1.25} />
        <h1 className="text-head font-semibold" aria-live="polite">
          {changed.length === 0
            ? `All ${READING_EXAMPLES.length} worked examples hold`
            : `${counted(changed.length, 'worked example')} would change`}
        </h1>
        <span className="min-w-0 flex-1 text-soft">
          Another weight is only tried here: readings go by the table as it stands.
        </span>
        {isTried && (
          <button type="button" className="button-plain" onClick={tried.clear}>
            Back to the table
          </button>
        )}
      </header>
      <div className="set-up-panels" tabIndex={0} role="region" aria-label="Rules, reasons, examples">
        <section aria-label="Signs and their points" className="set-up-panel">
          <h2 className="text-lead font-semibold">Signs and their points</h2>
          <ul>
            {SIGN_IDS.map((sign) => (
              <li key={sign} className="border-t border-hair py-1">
                <b className="font-semibold">{SIGNS[sign].title}</b>{' '}
                <span className="text-soft">{SIGNS[sign].why}</span>
                <span className="flex flex-wrap gap-x-3">
                  {causesOf(sign).map((cause) => {
                    const key = keyOf(sign, cause);
                    return (
                      <label key={cause} className="flex items-center gap-1 text-xs">
                        {CAUSES[cause].title}
                        <input
                          className="field num w-12"
                          aria-label={`${SIGNS[sign].title}, ${CAUSES[cause].title}`}
                          value={tried.value[key] ?? ''}
                          placeholder={String(givenBy(sign)[cause])}
                          maxLength={5}
                          onChange={(event) => tried.set({ ...tried.value, [key]: event.target.value })}
                        />
                      </label>
                    );
                  })}
                </span>
              </li>
            ))}
          </ul>
        </section>
        <div className="grid content-start">
          <section aria-label="Worked examples" className="set-up-panel">
            <h2 className="text-lead font-semibold">Worked examples</h2>
            <ol>
              {READING_EXAMPLES.map((example) => {
                const [first, second] = firstTwo(example, tables);
                const isOther = changed.includes(example);
                return (
                  <li key={example.tells} className={`border-t border-hair py-0.5 ${isOther ? 'bg-madder-wash' : ''}`}>
                    {example.tells}:{' '}
                    <b className="font-semibold">{first ? CAUSES[first.cause].title.toLowerCase() : 'nothing'}</b>{' '}
                    <span className="num">
                      {first?.points}
                      {second ? ` | ${second.points}` : ''}
                    </span>
                    {isOther && (
                      <span className="text-madder">
                        , was {CAUSES[example.first[0]].title.toLowerCase()} {example.first[1]}
                      </span>
                    )}
                  </li>
                );
              })}
            </ol>
          </section>
          <section aria-label="What is known of the engine" className="set-up-panel">
            <h2 className="text-lead font-semibold">What is known adds</h2>
            <ul>
              {CONTEXT_IDS.map((id) => (
                <li key={id}>
                  {CONTEXTS[id].title}:{' '}
                  {Object.entries(CONTEXTS[id].gives)
                    .map(([cause, points]) => `${CAUSES[cause as CauseId].title.toLowerCase()} +${points}`)
                    .join(', ')}
                </li>
              ))}
            </ul>
          </section>
          <section aria-label="Comeback checks" className="set-up-panel">
            <h2 className="text-lead font-semibold">Comeback: minutes, and weight at once / within 1 000 km / later</h2>
            <ul>
              {COMEBACK_CHECK_IDS.map((id) => {
                const { title, minutes, weights } = comebackCheck(id);
                return (
                  <li key={id} className="flex justify-between gap-2 border-t border-hair">
                    <span>{title}</span>
                    <span className="num whitespace-nowrap">
                      {minutes} min, {HOW_SOON.map((soon) => weights[soon]).join(' / ')}
                    </span>
                  </li>
                );
              })}
            </ul>
          </section>
        </div>
      </div>
    </main>
  );
}
