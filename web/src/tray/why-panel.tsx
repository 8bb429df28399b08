import { counted, listed, wordFor } from '@brackenfell/core/words/counted';
import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import type { FactUsed } from '@brackenfell/contract/tray';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { FindingSentence, GRAVITY } from '../controls/finding-sentence.tsx';
import { Key } from '../controls/key.tsx';
import { Mark, VERDICT_MARK } from '../controls/mark.tsx';

interface WhyPanelProps {
  readonly row: OpenRow;
  readonly sources: readonly FactUsed[];
  readonly betterPrinted: string | undefined;
  readonly mixedFill: OpenTray['mixedFill'];
  readonly rules: OpenTray['rules'];
  readonly showAll: boolean;
  readonly showSources: boolean;
  readonly onAll: () => void;
  readonly onSources: () => void;
  /** Opens the question where it stands; none where nothing is asked. */
  readonly onAnswer: (() => void) | undefined;
}

/** Why the picked row has its verdict: the checks that differ first, one sentence each, then what to do. */
export function WhyPanel({
  row,
  sources,
  betterPrinted,
  mixedFill,
  rules,
  showAll,
  showSources,
  onAll,
  onSources,
  onAnswer,
}: WhyPanelProps) {
  const ordered = GRAVITY.flatMap((outcome) => row.findings.filter((f) => f.outcome === outcome));
  // A match that asks something of the fitter (a nut to tighten) is seen with what differs.
  const differing = ordered.filter(
    (f) => f.outcome !== 'not-asked' && (f.outcome !== 'match' || f.caseId === 'nut-for-solid'),
  );
  const shown = showAll ? ordered : differing;
  const matches = row.findings.filter((f) => f.outcome === 'match').length;
  const idle = row.findings.filter((f) => f.outcome === 'not-asked').length;
  const trail = row.evidence.trail;
  const paperSaysEqual =
    row.verdict === 'refuse' && trail && (trail.grade === 'same' || trail.grade === 'equivalent') ? trail : undefined;
  return (
    <section aria-label={`Why ${row.printed}`} tabIndex={0} className={`why verdict-${row.verdict}`} data-why>
      <h2 className="flex items-center gap-2">
        <Mark kind={VERDICT_MARK[row.verdict]} rem={1.375} />
        <b className="text-verdict font-semibold text-[var(--ink)]">{VERDICT_WORDS[row.verdict]}</b>
        <span className="num ml-auto text-right">{row.printed}</span>
      </h2>
      <p className="pb-1">
        {summary(row, betterPrinted)}{' '}
        {onAnswer && (
          <button type="button" className="button-plain" onClick={onAnswer}>
            Answer it <Key>Enter</Key>
          </button>
        )}
      </p>
      {row.held > 0 && (
        <p className="pb-1 text-heather">
          {row.held} more {wordFor(row.held, 'is', 'are')} held in quarantine and not counted.
        </p>
      )}
      {shown.map((finding) => (
        <FindingSentence
          key={finding.check}
          finding={finding}
          sources={showSources ? finding.sources.map((place) => sources[place]!) : []}
        />
      ))}
      {row.evidence.named &&
        mixedFill.map(({ number, makers }) => (
          <article key={number} className="why-item">
            <h3>
              <Mark kind="caution" label="Caution" />
              <b>One number, {makers.length} makers</b>
            </h3>
            <p>
              <span className="num">{number}</span> is filled by {listed(makers)}: a set ordered under it can arrive
              mixed. Hand over boxes of one maker.
            </p>
          </article>
        ))}
      {showSources && rules.length > 0 && (
        <article className="why-item">
          <h3>
            <b>House rules used</b>
          </h3>
          <ul>
            {rules.map(({ rule, choice }) => (
              <li key={rule}>
                {rule}: <span className="text-slate">{choice.toLowerCase()}</span>
              </li>
            ))}
          </ul>
        </article>
      )}
      {paperSaysEqual && (
        <article className="why-item">
          <h3>
            <b>Paper says equal</b>
          </h3>
          <p>
            {paperSaysEqual.steps.at(-1)!.source} calls it {paperSaysEqual.steps.at(-1)!.grade}. The dimensions win.
          </p>
        </article>
      )}
      <p className="flex flex-wrap items-center gap-x-3 border-t border-hair pt-1.5 text-soft">
        {!showAll && (
          <span>
            {counted(matches, 'check matches', 'checks match')}
            {idle > 0 ? `, ${idle} not asked` : ''}
          </span>
        )}
        <button type="button" className="button-quiet" aria-pressed={showAll} onClick={onAll}>
          {showAll ? 'only what differs' : `all ${row.findings.length}`} <Key>w</Key>
        </button>
        <button type="button" className="button-quiet" aria-pressed={showSources} onClick={onSources}>
          sources <Key>s</Key>
        </button>
      </p>
    </section>
  );
}

function summary(row: OpenRow, better: string | undefined): React.ReactNode {
  const instead = better ? (
    <>
      {' '}
      Sell <b className="num font-semibold">{better}</b> instead.
    </>
  ) : (
    <> Nothing in this tray can be sold in its place as it stands.</>
  );
  switch (row.verdict) {
    case 'refuse':
      return (
        <>
          <b className="font-semibold">Do not supply it.</b>
          {instead}
        </>
      );
    case 'ask-first':
      return (
        <>
          <b className="font-semibold">Ask before selling.</b> On the slip it carries its question and cannot be
          released until that is answered.
        </>
      );
    case 'needs-supervisor':
      return (
        <>
          <b className="font-semibold">Waits for the supervisor</b> once on the slip.
        </>
      );
    case 'sell-with-advice':
      return (
        <>
          <b className="font-semibold">Can be sold</b>, and the customer is told what follows.
        </>
      );
    case 'sell':
      return (
        <>
          <b className="font-semibold">Can be sold.</b> {row.reason}.
        </>
      );
  }
}
