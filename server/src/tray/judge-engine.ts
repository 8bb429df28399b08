import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { judgeOthers } from './judge-others.ts';
import type { TrayQuestion } from './question.ts';
import { judgePlugs, type JudgedEngine } from './judge-plugs.ts';

/**
 * Judges every part of a kind that could serve an engine. Plugs, of which there are very many, are screened in columns;
 * the others are judged one by one. Undefined when there is no such engine, it takes no such part or has no such position.
 */
export function judgeEngine(
  context: Context,
  { kind, ...question }: TrayQuestion,
  units: UnitDisplay,
  db: Database,
): Promise<JudgedEngine | undefined> {
  return kind === 'plug'
    ? judgePlugs(context, question, units, db)
    : judgeOthers(context, { ...question, kind }, units, db);
}
