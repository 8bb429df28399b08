import { printClock } from '@brackenfell/core/words/moments';
import { sayIn } from '@brackenfell/core/fitment/say';
import { sayFigures } from '@brackenfell/core/set-up/say-figures';
import { useSettings } from '../settings/settings.ts';
import { Fragment } from 'react';
import type { SetUpFigures } from '@brackenfell/core/set-up/told-figures';
import type { SlipLine } from '@brackenfell/contract/slip';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { Mark, VERDICT_MARK } from '../controls/mark.tsx';
import { BAND_WORDS } from '@brackenfell/core/authenticity/judge-piece';
import { printChance } from '@brackenfell/core/authenticity/say-conclusion';
import { BAND_INK } from '../controls/band-mark.ts';
import { printPrice } from '@brackenfell/core/words/money';

/** Waits for the supervisor, and nobody has spoken yet. */
export const mayBeReleased = (line: SlipLine): boolean =>
  line.kind === 'sale' && line.verdict === 'needs-supervisor' && line.released === null;

/** What was told before, where something else was told after it: the same words again are nothing new. */
const toldOtherwise = (line: SlipLine): SlipLine['toldBefore'] =>
  line.toldBefore.filter(({ verdict, reason }, i, all) => {
    const after = all[i - 1] ?? line;
    return verdict !== after.verdict || reason !== after.reason;
  });

interface LineViewProps {
  readonly line: SlipLine;
  /** How many such engines the job is for. */
  readonly engines: number;
  readonly picked: boolean;
  /** By somebody at another till, and not seen to yet. */
  readonly isChanged: boolean;
  readonly onTold: () => void;
  /** What may be done with it here; none on a slip that is not in this person's hands. */
  readonly acts: LineActs | undefined;
}

interface LineActs {
  readonly more: () => void;
  readonly fewer: () => void;
  readonly remove: () => void;
  readonly batch: () => void;
  /** Left out of what has no proof to it. */
  readonly proof: (() => void) | undefined;
  readonly release: (() => void) | undefined;
}

/** One line of the docket: what, for where, its verdict and reason, what was told before, who released it. */
export function LineView({ line, engines, picked, isChanged, acts, onTold }: LineViewProps) {
  const own = line.kind === 'customers-own';
  const isSundry = line.partKind === 'sundry';
  // No green mark beside a suspect or held part.
  const isStopped = line.held !== null || line.proof?.band === 'suspect';
  // "all 4" is said only of a line that serves them all.
  const takes = line.positions.length * engines;
  const at =
    line.positions.length > 1
      ? line.quantity >= takes
        ? `all ${line.positions.length}`
        : `${line.quantity} of the ${takes} it takes`
      : line.positions.length === 1
        ? `cylinder ${line.positions[0]!}`
        : '';
  return (
    <li
      className={`grid grid-cols-[1.125rem_1.75rem_1fr_auto] border-b border-hair px-3 py-1.5 ${picked ? 'bg-bracken-wash' : ''} ${isChanged ? 'line-changed' : ''}`}
      aria-current={picked || undefined}
    >
      <span className="pt-0.5">
        <Mark
          kind={
            isStopped
              ? 'refuse'
              : isSundry
                ? 'match-small'
                : line.verdict === null
                  ? 'unknown'
                  : VERDICT_MARK[line.verdict]
          }
          label={
            isStopped
              ? 'Not to be handed over'
              : isSundry
                ? 'Asked for by no engine'
                : line.verdict === null
                  ? 'Not judged'
                  : VERDICT_WORDS[line.verdict]
          }
          rem={0.875}
        />
      </span>
      <span className="num font-medium">{line.quantity}</span>
      <span>
        <b className={`num block font-semibold ${own ? 'text-soft' : ''}`}>{line.printed}</b>
        <span className="text-soft">
          {own
            ? line.verdict === 'refuse'
              ? 'Customer’s own. '
              : 'Customer’s own, not ours: no warranty. '
            : `${line.maker}${at ? `, ${at}` : ''}. `}
          {line.verdict !== null && !own && <span className="text-peat">{VERDICT_WORDS[line.verdict]}. </span>}
          {line.reason}
          {line.packOf > 1 && line.kind === 'sale' && `. In packs of ${line.packOf}.`}
        </span>
        {line.batch && (
          <span className="block text-soft">
            Batch <span className="num">{line.batch.code === '' ? 'without a code' : line.batch.code}</span>,{' '}
            {line.batch.seller}
          </span>
        )}
        {line.proof?.band && (
          <span className={`block ${BAND_INK[line.proof.band]}`}>
            Proof: {BAND_WORDS[line.proof.band].toLowerCase()}
            {line.proof.chance === null ? '' : `, ${printChance(line.proof.chance)}`}
          </span>
        )}
        {line.held && <span className="block font-semibold text-madder">{line.held}</span>}
        {line.released && (
          <span className="block text-lichen">
            Released by {line.released.by}: {line.released.reason}
          </span>
        )}
        {toldOtherwise(line).map((before) => (
          <span key={before.at} className="block border-l-2 border-heather pl-1.5 text-soft">
            Told {printClock(before.at)}: {VERDICT_WORDS[before.verdict]}. {before.reason}. Changed by{' '}
            {before.changedBy}.
          </span>
        ))}
        {line.review && (
          <span className="block border-l-2 border-heather pl-1.5">
            Review: sold as {VERDICT_WORDS[line.review.before]}; by the rule {line.review.rule} it would be{' '}
            {VERDICT_WORDS[line.review.after]}.
          </span>
        )}
      </span>
      <span className={own ? 'text-soft' : 'num font-medium'}>
        {own ? 'not sold' : printPrice(line.unitPriceMinor === null ? null : line.unitPriceMinor * line.quantity)}
      </span>
      {line.setUp.map((figures) => (
        <SetUpLines key={figures.at.join()} figures={figures} isOne={line.setUp.length === 1} />
      ))}
      {!acts && line.judgedAt !== null && (
        <span className="col-span-2 col-start-3">
          <button
            type="button"
            className="button-quiet"
            aria-label={`What was told of ${line.printed}`}
            onClick={onTold}
          >
            what was told
          </button>
        </span>
      )}
      {acts && (
        <span className="col-span-2 col-start-3 flex flex-wrap gap-x-1">
          {acts.release && (
            <button type="button" className="button-plain" onClick={acts.release}>
              Supervisor’s release
            </button>
          )}
          {!own &&
            (
              [
                ['−', 'One fewer', acts.fewer],
                ['+', 'One more', acts.more],
                ['batch', 'Batch of', acts.batch],
                ['proof', 'Proof of', acts.proof],
              ] as const
            ).map(
              ([shows, says, act]) =>
                act && (
                  <button
                    key={says}
                    type="button"
                    className="button-quiet"
                    aria-label={`${says} ${line.printed}`}
                    onClick={act}
                  >
                    {shows}
                  </button>
                ),
            )}
          <button type="button" className="button-quiet" aria-label={`Take off ${line.printed}`} onClick={acts.remove}>
            take off
          </button>
        </span>
      )}
    </li>
  );
}

/** What is to be set at these places, and who says so. */
function SetUpLines({ figures, isOne }: { readonly figures: SetUpFigures; readonly isOne: boolean }) {
  const said = sayFigures(figures, sayIn(useSettings().units));
  return (
    <dl className="col-span-3 col-start-2 grid grid-cols-[3rem_1fr] pt-0.5 text-xs" aria-label="Set-up">
      {!isOne && (
        <>
          <dt className="text-slate">At</dt>
          <dd className="num">{figures.at.join(', ')}</dd>
        </>
      )}
      {said.map(({ what, says }) => (
        <Fragment key={what}>
          <dt className="text-slate">{what}</dt>
          <dd className="num">{says}</dd>
        </Fragment>
      ))}
      <dt className="text-slate">By</dt>
      <dd className="text-soft">{[...new Set(said.map(({ source }) => source))].join('; ')}</dd>
    </dl>
  );
}
