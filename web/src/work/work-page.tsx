import { useParams } from 'react-router';
import { printDocket } from '../counter/print-docket.ts';
import { useSlip } from '../counter/use-slip.ts';
import { useOutboxFlow } from '../counter/outbox-flow.ts';
import { Mark } from '../controls/mark.tsx';
import { useHandOver } from '../hand-over/use-hand-over.ts';
import { WorkList } from '../hand-over/work-list.tsx';
import { AwayBanner } from '../controls/away-banner.tsx';

/** The work of one slip on a telephone or tablet at the bench, as its card's square opens it: figures, then the steps with their boxes. */
export function WorkPage() {
  const { slipId = '' } = useParams();
  useOutboxFlow();
  const slip = useSlip(slipId);
  const { card, troubled } = useHandOver(slip.data);
  const why = slip.error?.message ?? troubled;
  if (!card)
    return (
      <main className="work-page" aria-label="Work">
        <AwayBanner />
        <p className={why ? 'text-madder' : 'text-soft'} role={why ? 'alert' : undefined}>
          {why ??
            (slip.data?.engineId === null
              ? 'This slip has no engine yet: nothing can be told of the work.'
              : 'Fetching the work …')}
        </p>
      </main>
    );
  return (
    <main className="work-page" aria-label="Work">
      <AwayBanner />
      <header className="grid gap-0.5 pb-2">
        <h1 className="text-head font-semibold">{card.engine}</h1>
        <p className="text-soft">
          Slip <span className="num">{printDocket(card.docket)}</span>
          {[card.customer, card.vehicle].filter(Boolean).map((says) => `, ${says}`)}
        </p>
      </header>
      {card.doNotFit.map(({ printed, why: reason }) => (
        <p key={printed} className="pb-2 text-madder">
          <b>
            Do not fit <span className="num">{printed}</span>:
          </b>{' '}
          {reason}
        </p>
      ))}
      {card.fitted.length === 0 && <p className="text-soft">No plug on the slip is fitted here.</p>}
      {card.fitted.map((line) => (
        <section key={line.lineId} aria-label={line.printed} className="grid gap-1 border-t border-line py-2">
          <h2 className="num text-lead font-semibold">
            {line.quantity} × {line.printed}
          </h2>
          {line.isOwn && <p>The customer’s own: not ours, no warranty.</p>}
          <dl className="grid grid-cols-[5rem_1fr] gap-x-2">
            {line.figures.map(({ at, what, says }) => (
              <div key={`${what} ${at}`} className="contents">
                <dt className="text-slate">
                  {what}
                  {at === 'all' ? '' : ` at ${at}`}
                </dt>
                <dd className="num">{says}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
      {card.fitted.map((line, i) =>
        line.steps.length === 0 ? null : <WorkList key={line.lineId} slipId={slipId} line={line} isFirst={i === 0} />,
      )}
      {card.notVerified.length > 0 && (
        <section aria-label="Not verified" className="border-t border-line py-2">
          <h2 className="flex items-center gap-2 text-lead font-semibold">
            <Mark kind="unknown" /> Not verified
          </h2>
          <ul className="list-disc pl-5">
            {card.notVerified.map((says) => (
              <li key={says}>{says}</li>
            ))}
          </ul>
        </section>
      )}
    </main>
  );
}
