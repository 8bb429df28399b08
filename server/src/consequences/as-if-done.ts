import { FactSheets } from '../catalogue/fact-sheets.ts';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import type { Then } from './consequences.ts';

/**
 * Works in a transaction in which a change is made, and takes it back: nothing of it lasts. What engines ask is read anew there;
 * parts are as they are committed. Other writers of the catalogue wait meanwhile.
 */
export async function asIfDone<T>(
  context: Context,
  change: (trx: Writing) => Promise<unknown>,
  work: (then: Then) => Promise<T>,
): Promise<T> {
  const trx = await context.db.startTransaction().execute();
  try {
    await change(trx);
    return await work({ context: { ...context, sheets: new FactSheets(context.aside, context.sheets) }, db: trx });
  } finally {
    await trx.rollback().execute();
  }
}
