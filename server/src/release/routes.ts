import type { Express } from 'express';
import { listWaiting, releaseLine, releaseLineByPin } from '@brackenfell/contract/release';
import type { Slip } from '@brackenfell/contract/slip';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { isFinal, SLIP_STATE_WORDS } from '@brackenfell/core/slip/slip-states';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { checkSecret } from '../session/check-secret.ts';
import { findStaff } from '../staff/store.ts';
import { showSlip } from '../slip/show-slip.ts';
import { changeSlipRow } from '../slip/store.ts';
import { readLines } from '../slip/line-store.ts';
import { readWaiting, storeRelease } from './store.ts';

interface Release {
  readonly slipId: string;
  readonly lineId: string;
  readonly version: number;
  readonly reason: string;
  readonly supervisorId: string;
  readonly askedBy: string;
}

/** Releases the judgement a line has now; what is judged later waits again. */
async function release(trx: Writing, { slipId, lineId, version, reason, ...by }: Release): Promise<Slip | Trouble> {
  const slip = await changeSlipRow(trx, {
    slipId,
    version,
    staffId: by.supervisorId,
    action: 'release line',
    unless: ({ state, docket }) =>
      isFinal(state)
        ? trouble('not-allowed-now', `Slip ${docket} is ${SLIP_STATE_WORDS[state]} and final.`)
        : undefined,
  });
  if (isTrouble(slip)) return slip;
  const line = (await readLines(trx, slipId)).find(({ id }) => id === lineId);
  if (!line) return trouble('not-found', 'The slip has no such line.');
  if (line.verdict !== 'needs-supervisor' || line.kind !== 'sale') {
    const stands = line.verdict === null ? 'not judged' : `“${VERDICT_WORDS[line.verdict]}”`;
    return trouble(
      'not-allowed-now',
      `The line is ${stands}. Only what needs the supervisor is released: a question is answered, a refusal stands.`,
    );
  }
  if (line.released_by !== null) return trouble('not-allowed-now', `${line.released_by} has released it already.`);
  await storeRelease(trx, { judgementId: line.judgement_id!, reason, ...by });
  await recordChange(trx, {
    staffId: by.supervisorId,
    subject: 'slip line',
    subjectId: lineId,
    action: 'release',
    after: { reason },
  });
  return showSlip(trx, slipId);
}

export function releaseRoutes(app: Express, context: Context): void {
  serve(app, context, releaseLine, ({ params, body, staff, trx }) =>
    release(trx, { ...params, ...body, supervisorId: staff.id, askedBy: staff.id }),
  );

  serve(app, context, releaseLineByPin, async ({ params, body: { staffId, pin, ...body }, staff, req, trx }) => {
    const found = await findStaff(trx, { id: staffId });
    const isSupervisor = found?.role === 'supervisor';
    // Counted outside the transaction: a wrong try stays written down though everything else is undone.
    const wrong = await checkSecret(context.aside, req, {
      staffId: isSupervisor ? found.id : undefined,
      typed: pin,
      what: 'pin',
      wrong: 'Check who it is and the PIN: only a supervisor can release it.',
    });
    if (wrong || !found) return wrong ?? trouble('not-found', 'There is no such person.');
    return release(trx, { ...params, ...body, supervisorId: found.id, askedBy: staff.id });
  });

  serve(app, context, listWaiting, async ({ db }) => ({
    lines: (await readWaiting(db)).map((row) => ({
      slipId: row.slip_id,
      docket: row.docket,
      version: row.version,
      lineId: row.line_id,
      customer: row.customer,
      engine: row.engine,
      printed: row.printed,
      maker: row.maker,
      quantity: row.quantity,
      reason: row.reason,
      holder: row.holder,
      says: row.findings
        .filter(({ outcome }) => outcome === 'caution' || outcome === 'acceptable')
        .map(({ told }) => told.says),
      since: row.at.toISOString(),
    })),
  }));
}
