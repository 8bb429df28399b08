import { z } from 'zod';
import { REFERENCE_GRADES } from '@brackenfell/core/interchange/trail';
import { EDITORS, endpoint, EngineKey, EVERYONE, Id, line } from './endpoint.ts';
import { Source } from './engine.ts';
import { PlugShape } from './shapes.ts';

export const AUDIT_ACTIONS = ['accept', 'note', 'cut', 'choose'] as const;

export const AuditJob = z
  .object({
    jobId: Id,
    state: z.enum(['waiting', 'running', 'done', 'cancelled', 'failed']),
    progress: z.number().min(0).max(1),
    doing: z.string(),
    askedAt: z.iso.datetime(),
    endedAt: z.iso.datetime().nullable(),
    outcome: z.string().nullable(),
  })
  .meta({ id: 'AuditJob' });
export type AuditJob = z.infer<typeof AuditJob>;

export const AuditDecision = z
  .object({
    decisionId: Id,
    action: z.enum(AUDIT_ACTIONS),
    note: z.string(),
    by: z.string(),
    at: z.iso.datetime(),
  })
  .meta({ id: 'AuditDecision' });

export const AuditLine = z
  .object({
    findingId: Id,
    rule: z.string(),
    title: z.string(),
    /** The numbers it is about, as printed. */
    between: z.string(),
    /** What the two say of the fact they differ in; empty where that is not it. */
    says: z.string(),
    engines: z.number().int(),
    stock: z.number().int(),
    decision: AuditDecision.nullable(),
  })
  .meta({ id: 'AuditLine' });
export type AuditLine = z.infer<typeof AuditLine>;

export const getAudit = endpoint('getAudit', {
  summary: 'The latest audit of the catalogue: how far it is, and what it found, ranked by engines and stock touched.',
  roles: EVERYONE,
  response: z.object({
    job: AuditJob.nullable(),
    findings: z.array(AuditLine),
    total: z.number().int(),
    open: z.number().int(),
  }),
});
export type AuditList = z.infer<(typeof getAudit)['response']>;

export const startAudit = endpoint('startAudit', {
  summary: 'Asks for a new audit; one that is waiting or running is given back instead of a second.',
  roles: EDITORS,
  idempotent: true,
  body: z.object({}),
  response: AuditJob,
});

export const cancelAudit = endpoint('cancelAudit', {
  summary: 'Ends an audit at its next step; what it has found so far is kept.',
  roles: EDITORS,
  idempotent: true,
  params: z.object({ jobId: Id }),
  body: z.object({}),
  response: AuditJob,
});

/** A reference as evidence. */
export const EvidenceEdge = z
  .object({
    edgeId: Id,
    from: z.string(),
    to: z.string(),
    grade: z.enum(REFERENCE_GRADES),
    source: z.string(),
    notedOn: z.string(),
    isCut: z.boolean(),
  })
  .meta({ id: 'EvidenceEdge' });
export type EvidenceEdge = z.infer<typeof EvidenceEdge>;

export const AuditFinding = z
  .object({
    findingId: Id,
    rule: z.string(),
    title: z.string(),
    consequence: z.string(),
    engines: z.array(z.object({ engineId: EngineKey, title: z.string() })),
    stock: z.number().int(),
    /** What each side says: "reach 19.0 mm". */
    says: z.array(z.string()),
    parts: z.array(
      z.object({
        partId: Id,
        printed: z.string(),
        maker: z.string(),
        onHand: z.number().int().nullable(),
        bin: z.string().nullable(),
        shape: PlugShape.nullable(),
      }),
    ),
    /** The shortest chain of numbers that joins the parts, with the reference that leads on from each. */
    trail: z.array(z.object({ partId: Id, printed: z.string(), onward: EvidenceEdge.nullable() })),
    /** References whose cutting would part the two. */
    edges: z.array(EvidenceEdge),
    /** Where sources disagree: the figures to choose between. */
    figures: z.array(
      z.object({ figureId: Id, label: z.string(), value: z.string(), source: Source, readings: z.number().int() }),
    ),
    decisions: z.array(AuditDecision),
  })
  .meta({ id: 'AuditFinding' });
export type AuditFinding = z.infer<typeof AuditFinding>;

export const getFinding = endpoint('getFinding', {
  summary: 'One contradiction with its evidence: the shortest trail, both parts, the figures.',
  roles: EVERYONE,
  params: z.object({ findingId: Id }),
  response: AuditFinding,
});

export const decideFinding = endpoint('decideFinding', {
  summary:
    'Accepts a contradiction, notes something on it, cuts a reference or chooses a figure. Takes effect at once.',
  roles: EDITORS,
  idempotent: true,
  params: z.object({ findingId: Id }),
  body: z.object({
    action: z.enum(AUDIT_ACTIONS),
    note: line(300).default(''),
    edgeId: Id.optional(),
    figureId: Id.optional(),
  }),
  response: AuditFinding,
});

export const undoDecision = endpoint('undoDecision', {
  summary: 'Takes a decision back: the reference is joined again, the figures stand again.',
  roles: EDITORS,
  idempotent: true,
  params: z.object({ decisionId: Id }),
  body: z.object({}),
  response: z.object({ ok: z.literal(true) }),
});
