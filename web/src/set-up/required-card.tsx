import { Fragment } from 'react';
import type { Say } from '@brackenfell/core/fitment/say';
import { gaugeAdvice } from '@brackenfell/core/gap/gauge-advice';
import { sayFigures } from '@brackenfell/core/set-up/say-figures';
import { chosenSchool, HOUSE_RULES } from '@brackenfell/core/house-rules/house-rules';
import type { SlipLine } from '@brackenfell/contract/slip';
import { SOURCE_LETTERS } from '../engine/engine-card.tsx';
import { KeyButton } from '../controls/key-button.tsx';
import { Mark } from '../controls/mark.tsx';
import type { OpenSetUp } from './use-set-up.ts';

/** Rules that setting up goes by, in the order of the work. */
const RULES = ['preGapped', 'gapForDuty', 'threadCompound', 'tightening', 'interval'] as const;

const CAUTIONS = [
  'Engine cold, its current off, or as its maker’s procedure says.',
  'Secondary voltage can kill, most of all with a pacemaker.',
  'Blow the well out before the plug comes out; eyes covered.',
];

interface RequiredCardProps {
  readonly line: SlipLine;
  readonly setUp: OpenSetUp;
  readonly others: number;
  readonly say: Say;
}

/** What is asked of the plugs in hand, who says so, which house rules speak, and what is not touched. */
export function RequiredCard({ line, setUp, others, say }: RequiredCardProps) {
  const { setUp: told } = line;
  const limit = told[0]?.gap.limitMm;
  const [place] = setUp.places;
  return (
    <div className="grid content-start gap-2 p-3" tabIndex={0} role="group" aria-label="What is asked of them">
      <header>
        <h1 className="num text-verdict font-semibold">{line.printed}</h1>
        <p className="text-soft">
          {line.maker}, {line.quantity} for the {setUp.engine}
        </p>
        {others > 0 && (
          <p className="flex items-center gap-1 text-soft">
            <KeyButton press="[" does="Line of plugs before" /> <KeyButton press="]" does="Next line of plugs" />
            {others === 1 ? 'another line of plugs' : `${others} other lines of plugs`}
          </p>
        )}
      </header>
      {told.length === 0 && (
        <p className="text-soft">Nothing was told of its setting up: the line was judged before.</p>
      )}
      {told.map((figures) => (
        <dl key={figures.at.join()} className="spec">
          {told.length > 1 && (
            <div className="contents">
              <dt>At</dt>
              <dd className="num">{figures.at.join(', ')}</dd>
              <dd className="spec-source" />
            </div>
          )}
          {sayFigures(figures, say).map(({ what, says, source }) => (
            <Fragment key={what}>
              <dt>{what}</dt>
              <dd>
                {says.split(', ').map((part) => (
                  <span key={part} className="num block">
                    {part}
                  </span>
                ))}
                <span className="block text-soft">{source}</span>
              </dd>
              <dd className="spec-source">
                {what === 'Gap' && figures.gap.rank && SOURCE_LETTERS[figures.gap.rank][0]}
              </dd>
            </Fragment>
          ))}
          <dt>As sold</dt>
          <dd>
            {figures.gap.deliveredMm === null ? (
              'not known'
            ) : (
              <span className="num">
                {say.quantity('gap', figures.gap.deliveredMm)} ±{say.quantity('gap', figures.gap.toleranceMm)}
              </span>
            )}
            {figures.gap.isToleranceAssumed && <span className="block text-soft">tolerance assumed</span>}
          </dd>
          <dd className="spec-source" />
          <dt>Adjust</dt>
          <dd>
            {limit === null ? (
              'must not be set'
            ) : limit === 'unknown' || limit === undefined ? (
              'not known whether it may be set'
            ) : (
              <>
                <span className="num">{say.quantity('gap', limit)}</span> at most
              </>
            )}
          </dd>
          <dd className="spec-source" />
        </dl>
      ))}
      <section aria-label="With what" className="border-t border-line pt-1">
        <ul className="grid gap-1 text-xs">
          {gaugeAdvice(setUp.plug).map((advice) => (
            <li key={advice}>{advice}</li>
          ))}
        </ul>
      </section>
      {place && (
        <section aria-label="House rules used" className="border-t border-line pt-1">
          <h2 className="font-semibold">House rules used</h2>
          <ul className="text-xs">
            {RULES.map((rule) => (
              <li key={rule}>
                <span className="text-slate">{HOUSE_RULES[rule].title}:</span> {chosenSchool(place.rules, rule).says}
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-label="Where this is fitted" className="border-t border-line pt-1">
        <ul className="grid gap-1 text-xs">
          {CAUTIONS.map((caution) => (
            <li key={caution} className="grid grid-cols-[0.75rem_1fr] gap-1.5">
              <span className="pt-0.5">
                <Mark kind="caution" label="Caution" />
              </span>
              {caution}
            </li>
          ))}
        </ul>
        <p className="pt-1 text-xs text-soft">The engine maker’s manual and local rules stand above this.</p>
      </section>
    </div>
  );
}
