import type { Generated, GeneratedAlways } from 'kysely';

export interface JobTable {
  id: GeneratedAlways<string>;
  kind: 'audit' | 'import';
  /** Of an import: which. */
  import_id: string | null;
  state: Generated<'waiting' | 'running' | 'done' | 'cancelled' | 'failed'>;
  asked_by: string;
  asked_at: Generated<Date>;
  started_at: Date | null;
  ended_at: Date | null;
  /** How often a worker has taken it up. */
  tries: Generated<number>;
  /** When its worker last said it was alive; a running job whose worker fell silent is taken up by another. */
  beat_at: Date | null;
  cancel_asked: Generated<boolean>;
  progress: Generated<number>;
  doing: Generated<string>;
  outcome: string | null;
}
export interface AuditFindingTable {
  id: GeneratedAlways<string>;
  job_id: string;
  rule: string;
  /** What is wrong with what, the same in every run: a decision about it outlives the run. */
  subject: string;
  part_id: string;
  other_part_id: string | null;
  edge_ids: string[];
  trail: unknown;
  figures: unknown;
  engines: number;
  stock: number;
}
export interface AuditDecisionTable {
  id: GeneratedAlways<string>;
  subject: string;
  action: 'accept' | 'note' | 'cut' | 'choose';
  note: Generated<string>;
  edge_id: string | null;
  figure_ids: Generated<string[]>;
  staff_id: string;
  at: Generated<Date>;
  undone_at: Date | null;
  undone_by: string | null;
}
