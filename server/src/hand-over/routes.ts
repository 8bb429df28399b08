import type { Express } from 'express';
import { getHandOver, getPaper, listPapers, printPaper, tickStep } from '@brackenfell/contract/hand-over';
import type { Context } from '../context/context.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble } from '../http/trouble.ts';
import { findLine } from '../slip/line-store.ts';
import { showSlip } from '../slip/show-slip.ts';
import { gatherHandOver } from './gather.ts';
import { tick, ticksOf, ticksOfLine, untick } from './tick-store.ts';
import { makePaper } from './print-paper.ts';
import { readPapers, readPdf, storePaper } from './paper-store.ts';

const NO_ENGINE = trouble('not-allowed-now', 'The slip has no engine yet: nothing can be told of the work.');

/** What a fitter leaves with, and the paper that is kept as it was printed. */
export function handOverRoutes(app: Express, context: Context): void {
  serve(app, context, getHandOver, async ({ params, query, db }) => {
    const slip = await showSlip(db, params.slipId);
    if (isTrouble(slip)) return slip;
    return (await gatherHandOver(context, db, slip, query.units)) ?? NO_ENGINE;
  });

  serve(app, context, tickStep, async ({ params: { slipId }, body: { lineId, stepId, done }, staff, trx }) => {
    const line = await findLine(trx, lineId);
    if (line?.slip_id !== slipId) return trouble('not-found', 'The slip has no such line.');
    await (done ? tick(trx, { lineId, stepId, staffId: staff.id }) : untick(trx, { lineId, stepId }));
    return { slipId, lineId, ticks: ticksOfLine(await ticksOf(trx, slipId).execute(), lineId) };
  });

  serve(app, context, listPapers, async ({ params, db }) => ({
    papers: (await readPapers(db, params.slipId)).map(({ id, at, ...paper }) => ({
      ...paper,
      paperId: id,
      at: at.toISOString(),
    })),
  }));

  serve(app, context, printPaper, async ({ params: { slipId }, body: { kind, size, units, origin }, staff, trx }) => {
    const slip = await showSlip(trx, slipId);
    if (isTrouble(slip)) return slip;
    const at = new Date();
    const pdf = await makePaper(context, trx, slip, { kind, size, units, origin, by: staff.name, at });
    if (!Buffer.isBuffer(pdf)) return pdf;
    const paperId = await storePaper(trx, { slipId, kind, size, pdf, staffId: staff.id });
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'paper',
      subjectId: paperId,
      action: 'print',
      after: { slipId, kind, size },
    });
    return { paperId, kind, size, by: staff.name, at: at.toISOString() };
  });

  serve(app, context, getPaper, async ({ params, db }) => {
    const paper = await readPdf(db, params.paperId);
    return paper ? new Uint8Array(paper.pdf) : trouble('not-found', 'Nothing was printed under that number.');
  });
}
