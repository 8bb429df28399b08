import type { Express } from 'express';
import { ruleOf } from '@brackenfell/core/catalogue-audit/rules';
import {
  cancelAudit,
  decideFinding,
  getAudit,
  getFinding,
  startAudit,
  undoDecision,
  type AuditJob,
  type AuditLine,
} from '@brackenfell/contract/audit';
import type { Context } from '../context/context.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { decide, takeBack } from './decide.ts';
import { showFinding } from './show-finding.ts';
import {
  askForAudit,
  askToCancel,
  countFindings,
  latestJob,
  listFindings,
  readFinding,
  readJob,
  type JobRow,
} from './store.ts';

const jobView = (job: JobRow): AuditJob => ({
  jobId: job.id,
  state: job.state,
  progress: job.progress,
  doing: job.doing,
  askedAt: job.asked_at.toISOString(),
  endedAt: job.ended_at?.toISOString() ?? null,
  outcome: job.outcome,
});

const GONE = 'The audit was run again meanwhile; open the list anew.';
export function auditRoutes(app: Express, context: Context): void {
  serve(app, context, getAudit, async ({ db }) => {
    const [job, rows, count] = [await latestJob(db), await listFindings(db), await countFindings(db)];
    return {
      job: job ? jobView(job) : null,
      findings: rows.map(({ id, rule, engines, stock, names, says, decision }): AuditLine => ({
        findingId: id,
        rule,
        title: ruleOf(rule)?.title ?? rule,
        between: names.slice(0, 4).join(' ~ '),
        says: says.length === 2 && names.length === 2 ? says.join(', ') : '',
        engines,
        stock,
        decision: decision && {
          decisionId: decision.id,
          action: decision.action,
          note: decision.note,
          by: decision.by,
          at: new Date(decision.at).toISOString(),
        },
      })),
      ...count,
    };
  });

  serve(app, context, startAudit, async ({ staff, trx }) => jobView(await askForAudit(trx, staff.id)));

  serve(app, context, cancelAudit, async ({ params, trx }) => {
    await askToCancel(trx, params.jobId);
    const job = await readJob(trx, params.jobId);
    return job ? jobView(job) : trouble('not-found', 'There is no such audit.');
  });

  serve(app, context, getFinding, async ({ params, db }) => {
    const row = await readFinding(db, params.findingId);
    return row ? showFinding(db, row) : trouble('not-found', GONE);
  });

  serve(app, context, decideFinding, async ({ params, body, staff, trx }) => {
    const row = await readFinding(trx, params.findingId);
    if (!row) return trouble('not-found', GONE);
    const refused = await decide(trx, row, body, staff.id);
    if (refused) return refused;
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'contradiction',
      subjectId: row.subject,
      action: body.action,
      after: body,
    });
    return showFinding(trx, row);
  });

  serve(app, context, undoDecision, async ({ params, staff, trx }) => {
    const undone = await takeBack(trx, params.decisionId, staff.id);
    if (!undone) return trouble('changed-meanwhile', 'It was taken back already.');
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'contradiction',
      subjectId: undone.subject,
      action: `took back: ${undone.action}`,
    });
    return { ok: true as const };
  });
}
