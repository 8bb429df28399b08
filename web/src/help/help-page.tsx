import { CHECKS_BY_KIND } from '@brackenfell/core/kinds/checks-by-kind';
import { OUTCOMES, type Outcome } from '@brackenfell/core/fitment/finding';
import { KIND_WORDS, PART_KINDS } from '@brackenfell/core/facts/part-kinds';
import { VERDICT_WORDS, type Verdict } from '@brackenfell/core/fitment/verdict';
import { TRAY_ORDER } from '@brackenfell/core/fitment/ranking';
import { Mark, MARK_WORDS, VERDICT_MARK } from '../controls/mark.tsx';
import { SOURCE_LETTERS } from '../engine/engine-card.tsx';

const FIRST_STEPS: readonly string[] = [
  'Type what is stamped on the worn plug, or what the customer says, into the ask line at the top (/). It tells how it read it.',
  'Take the engine, or answer the one question asked; n where nobody can tell. The engine is never guessed.',
  'The tray shows every part that could serve, best first. Move with j and k or the arrows; w tells why, s from where.',
  'Enter puts the picked one on the slip. On an Ask-first row it opens the question: two readings that agree settle it.',
  'Set-up (4) gauges the plugs on the slip one after another (Space), and tells gap, blades, torque, spark and interval with who says so.',
  'Hand-over (5) tells kit and order of work and prints the fitting card (p); what nobody has verified stands so on it.',
  'Old parts (6) reads what came out, cylinder by cylinder, and work that came back (y): what to check first, and what not to sell yet.',
  'Heard at the counter (Shift w) answers what customers say, by a check or a sum with this engine’s figures.',
  'Collect ($) sells what is on the slip. While anything is open it lists what, each with the key that answers it.',
  'Drill (, then d) asks cases of this shop’s catalogue and rules, against the clock, and says why: nothing in it touches a slip.',
  'Park (=, then p) sets the slip aside; what is not sent yet stands beside its number and arrives once when the server is back.',
];

const VERDICTS: Readonly<Record<Verdict, string>> = {
  sell: 'Every check that counts is met: hand it over.',
  'sell-with-advice': 'It fits, and the customer is told what differs.',
  'ask-first': 'One fact is missing that could still refuse it: ask or measure. Nobody can release it.',
  'needs-supervisor': 'The supervisor weighs it and releases it, with a reason.',
  refuse: 'It does harm or does not go in. It is never sold for this engine.',
};

const MARKS: Readonly<Record<Outcome, string>> = {
  match: 'as asked',
  acceptable: 'differs within what the trade accepts; told',
  caution: 'differs so far that the supervisor decides',
  refuse: 'must not be fitted',
  unknown: 'a fact is missing',
  'not-asked': 'does not arise here',
};

/** How to begin, and what verdicts, marks, letters and checks mean. All of it is said by what judges, not beside it. */
export function HelpPage() {
  return (
    <main className="desk-main col-span-2" aria-label="Getting started and glossary">
      <div className="min-h-0 flex-1 overflow-auto p-4" tabIndex={0} role="region" aria-label="Help">
        <h1 className="text-verdict font-semibold">Getting started</h1>
        <ol className="grid max-w-prose list-decimal gap-1 py-3 pl-6">
          {FIRST_STEPS.map((says) => (
            <li key={says}>{says}</li>
          ))}
        </ol>
        <h2 className="pt-3 text-head font-semibold">Verdicts</h2>
        <dl className="grid max-w-3xl grid-cols-[1.5rem_10rem_1fr] gap-y-1 py-2">
          {TRAY_ORDER.map((verdict) => (
            <div key={verdict} className="contents">
              <dd className="pt-0.5">
                <Mark kind={VERDICT_MARK[verdict]} rem={1} />
              </dd>
              <dt className="font-semibold">{VERDICT_WORDS[verdict]}</dt>
              <dd>{VERDICTS[verdict]}</dd>
            </div>
          ))}
        </dl>
        <h2 className="pt-3 text-head font-semibold">Marks and letters</h2>
        <dl className="grid max-w-3xl grid-cols-[1.5rem_10rem_1fr] gap-y-1 py-2">
          {OUTCOMES.map((outcome) => (
            <div key={outcome} className="contents">
              <dd className="pt-0.5">
                <Mark kind={outcome} rem={1} />
              </dd>
              <dt className="font-semibold">{MARK_WORDS[outcome]}</dt>
              <dd>{MARKS[outcome]}</dd>
            </div>
          ))}
          {Object.values(SOURCE_LETTERS).map(([letter, source]) => (
            <div key={source} className="contents">
              <dd className="num">{letter}</dd>
              <dt className="font-semibold">{source}</dt>
              <dd>where a figure comes from</dd>
            </div>
          ))}
        </dl>
        {PART_KINDS.map((kind) => (
          <section key={kind} aria-label={`Checks of ${KIND_WORDS[kind][1]}`}>
            <h2 className="pt-3 text-head font-semibold">Checks of {KIND_WORDS[kind][1]}</h2>
            <dl className="grid max-w-3xl grid-cols-[11.5rem_1fr] gap-y-1 py-2">
              {CHECKS_BY_KIND[kind].map(({ id, title, why }) => (
                <div key={id} className="contents">
                  <dt className="font-semibold">{title}</dt>
                  <dd>{why}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </main>
  );
}
