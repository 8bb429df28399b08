import { useState } from 'react';
import type { Slip } from '@brackenfell/contract/slip';
import type { TickedLine } from './lay-ticks.ts';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { useCounter } from '../counter/use-counter.ts';
import { isUnsentSlip } from '../counter/slip-outbox.ts';
import { sayIn } from '@brackenfell/core/fitment/say';
import { mayWrite } from '@brackenfell/core/slip/who-may';
import { useSession } from '../session/use-session.ts';
import { useSettings } from '../settings/settings.ts';
import { Fasteners, Lubricants, WhileApart } from './apart-panels.tsx';
import { HomePanel } from './home-panel.tsx';
import { KitPanel } from './kit-panel.tsx';
import { LendDialog } from './lend-dialog.tsx';
import { LoansPanel } from './loans-panel.tsx';
import { OptionsPanel } from './options-panel.tsx';
import { OTHER_PAPERS, PAPER_WORDS } from './paper-words.ts';
import { useKeys } from '../keys/keys.ts';
import { ThisVehicle } from './this-vehicle.tsx';
import { WorkList } from './work-list.tsx';
import { openPaper, useHandOver, usePapers } from './use-hand-over.ts';

/** What the fitter leaves with: kit, order of work, and the card that is kept as it was printed. */
export function HandOverStage() {
  const { slip, slipId, engineId, go } = useCounter();
  const { card, troubled: cardTroubled } = useHandOver(slip.data);
  const known = slipId !== undefined && !isUnsentSlip(slipId) ? slipId : undefined;
  const { papers, troubled, print } = usePapers(known);
  const say = sayIn(useSettings().units);
  const { data: me } = useSession();
  const [lent, setLent] = useState<string>();
  const mine = slip.data !== undefined && me ? mayWrite(slip.data, me) : false;
  const mayPrint = known !== undefined && card !== undefined && !print.isPending;
  useKeys(
    'Hand-over',
    [
      {
        press: 'p',
        does: 'Print the fitting card on A5',
        run: () => print.mutate({ kind: 'fitting-card', size: 'A5' }),
      },
      {
        press: 'Shift+P',
        printed: 'Shift p',
        does: 'Print the fitting card on A4',
        run: () => print.mutate({ kind: 'fitting-card', size: 'A4' }),
      },
    ],
    { active: mayPrint },
  );
  if (!card)
    return (
      <main className="desk-main col-span-2" aria-label="Hand-over stage">
        <div className="max-w-2xl p-6">
          <h1 className="pb-2 text-head font-semibold">Hand-over</h1>
          <p className="pb-3 text-soft">
            {cardTroubled ??
              slip.error?.message ??
              (slipId && !slip.data
                ? 'Fetching the slip …'
                : slip.data && slip.data.engineId !== null
                  ? 'Fetching what the fitter leaves with …'
                  : 'Handing over needs a slip with its engine: kit, order of work and card follow from it.')}
          </p>
          {!engineId && (
            <button type="button" className="button-act" onClick={() => go('/counter/engine')}>
              Choose the engine <Key>1</Key>
            </button>
          )}
        </div>
      </main>
    );
  return (
    <>
      <aside className="desk-card" aria-label="Kit for the job">
        <KitPanel
          card={card}
          engineId={slip.data!.engineId!}
          mine={mine}
          onLend={known === undefined ? undefined : setLent}
        />
      </aside>
      <main className="desk-main" aria-label="Hand-over stage">
        <header className="set-up-head">
          <Mark kind={card.notVerified.length === 0 ? 'match' : 'unknown'} rem={1.25} />
          <h1 className="text-head font-semibold">
            {card.notVerified.length === 0 ? 'Nothing is open' : `${card.notVerified.length} not verified`}
          </h1>
          <span className="min-w-0 flex-1 text-soft">
            {card.engine}
            {card.vehicle && `, ${card.vehicle}`}: what is not verified stands so on the card.
          </span>
          <button
            type="button"
            className="button-act"
            disabled={!mayPrint}
            onClick={() => print.mutate({ kind: 'fitting-card', size: 'A5' })}
          >
            Print the card <Key>p</Key>
          </button>
          <button
            type="button"
            className="button-plain"
            disabled={!mayPrint}
            onClick={() => print.mutate({ kind: 'fitting-card', size: 'A4' })}
          >
            on A4 <Key>Shift p</Key>
          </button>
        </header>
        <div className="set-up-panels" tabIndex={0} role="region" aria-label="Order of work, figures and papers">
          <div className="grid content-start">
            {card.fitted.length === 0 && (
              <p className="p-3 text-soft">Nothing on the slip is fitted here: put a part on it first.</p>
            )}
            {card.access.length > 0 && (
              <section aria-label="The way to it" className="set-up-panel">
                <h2 className="text-lead font-semibold">The way to it</h2>
                {card.access.map((says) => (
                  <p key={says}>{says}</p>
                ))}
              </section>
            )}
            {slipId &&
              card.fitted.map((line, i) =>
                line.steps.length === 0 ? null : (
                  <WorkList key={line.lineId} slipId={slipId} line={line} isFirst={i === 0} />
                ),
              )}
          </div>
          <div className="grid content-start">
            {card.doNotFit.map(({ printed, why }) => (
              <p key={printed} className="set-up-panel text-madder">
                <b>
                  Do not fit <span className="num">{printed}</span>:
                </b>{' '}
                {why}
              </p>
            ))}
            {card.fitted.map((line) => (
              <FittedLine key={line.lineId} line={line} />
            ))}
            <Fasteners fasteners={card.fasteners} />
            {card.fitted.map(({ lineId, lubricants }) => (
              <Lubricants key={lineId} lubricants={lubricants} />
            ))}
            <WhileApart bared={card.bared} />
            {slip.data && <ThisVehicle slip={slip.data} mine={mine} />}
            {known !== undefined && <LoansPanel slipId={known} />}
            {slipId && <OptionsPanel card={card} slipId={slipId} say={say} />}
            {slip.data && slip.data.goodsMinor > 0 && (
              <HomePanel
                slipId={slip.data.slipId}
                partsMinor={slip.data.goodsMinor}
                minutesFound={minutesFound(slip.data)}
                stays={card.stays}
              />
            )}
            {card.notVerified.length > 0 && (
              <section aria-label="Not verified" className="set-up-panel">
                <h2 className="text-lead font-semibold">Not verified</h2>
                <ul className="list-disc pl-5">
                  {card.notVerified.map((says) => (
                    <li key={says}>{says}</li>
                  ))}
                </ul>
              </section>
            )}
            <section aria-label="Printed" className="set-up-panel">
              <h2 className="text-lead font-semibold">Printed, kept as it was</h2>
              <div className="flex flex-wrap gap-2">
                {OTHER_PAPERS.map(({ kind, size }) => (
                  <button
                    key={kind}
                    type="button"
                    className="button-plain"
                    disabled={!mayPrint}
                    onClick={() => print.mutate({ kind, size })}
                  >
                    {PAPER_WORDS[kind]}
                  </button>
                ))}
              </div>
              {papers === undefined ? (
                <p className="text-soft">{troubled ?? 'Looking what was printed …'}</p>
              ) : papers.length === 0 ? (
                <p className="text-soft">Nothing yet. The printer is a stand-in: it opens the paper.</p>
              ) : null}
              <ul>
                {papers?.map(({ paperId, kind, size, by, at }) => (
                  <li key={paperId}>
                    <button type="button" className="button-quiet" onClick={() => openPaper(paperId)}>
                      {PAPER_WORDS[kind]}
                      {size === 'label' ? '' : `, ${size}`}
                    </button>{' '}
                    <span className="text-soft">
                      {by}, {printMoment(at)}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          </div>
        </div>
      </main>
      {known !== undefined && lent !== undefined && (
        <LendDialog slipId={known} tool={lent} onClose={() => setLent(undefined)} />
      )}
    </>
  );
}

/** What the plugs on the slip take at the pace that was found on this vehicle, in minutes. */
function minutesFound({ readings, lines }: Slip): number | undefined {
  const each = readings.find(({ fact, partId }) => fact === 'position.minutesEach' && partId === null)?.value;
  const plugs = lines.find(({ partKind }) => partKind === 'plug');
  return typeof each === 'number' && plugs ? each * plugs.positions.length : undefined;
}

function FittedLine({ line }: { readonly line: TickedLine }) {
  const { printed, maker, quantity, isOwn, figures, gaps } = line;
  return (
    <section aria-label={`Fitted: ${printed}`} className="set-up-panel">
      <h2 className="flex flex-wrap items-baseline gap-x-2">
        <b className="num text-lead font-semibold">
          {quantity} × {printed}
        </b>
        <span className="text-soft">
          {maker}
          {isOwn && ', the customer’s own: not ours, no warranty'}
        </span>
      </h2>
      <dl className="grid grid-cols-[4rem_1fr]">
        {figures.map(({ at, what, says, source }) => (
          <div key={`${at} ${what}`} className="contents">
            <dt className="text-slate">{what}</dt>
            <dd>
              <span className="num">{says}</span>
              <span className="text-soft">
                {at === 'all' ? '' : ` at ${at}`} · {source}
              </span>
            </dd>
          </div>
        ))}
        {gaps.length > 0 && (
          <>
            <dt className="text-slate">Found</dt>
            <dd>{gaps.map(({ place, says }) => `${place}: ${says}`).join('; ')}</dd>
          </>
        )}
      </dl>
    </section>
  );
}
