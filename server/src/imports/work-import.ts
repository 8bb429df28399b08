import { counted } from '@brackenfell/core/words/counted';
import { askForAuditAfter } from '../audit/store.ts';
import type { Database } from '../db/database.ts';
import { settleCatalogue } from '../db/settle-tables.ts';
import { lockAllClusters } from '../interchange/cluster-store.ts';
import { WrongLine } from '../open-format/open-lines.ts';
import { wholeFile } from '../open-format/whole-file.ts';
import { readIn, sortAll, stillDoes, type Step } from './sort-list.ts';
import { dropFile, findImport, LEFT_AT, madeFacts, moveTo, readFileOf, type ImportFound } from './store.ts';
import { InTheWay, takeBackList } from './take-back-store.ts';
import { UnreadableList } from './unreadable-list.ts';
import { readWhole, writeWhole } from './whole-catalogue.ts';
import { writeList } from './write-store.ts';
import { today } from '../context/today.ts';

/** Brings an import on from the state it is in, whoever left it there; gives what it came to. */
export async function workImport(db: Database, importId: string, step: Step): Promise<string> {
  const list = (await findImport(db, importId))!;
  switch (list.state) {
    case 'reading':
      return read(db, list, step);
    case 'sorting':
      return sortAll(db, list, step);
    case 'writing':
      return list.whole ? writeWhole(db, list, step) : write(db, list, step);
    case 'taking-back':
      return takeBack(db, list, step);
    default:
      return 'Nothing was left to do.';
  }
}

const SAID = [UnreadableList, InTheWay, WrongLine];
/** What ended an import lies in its file, or in what is held by now: whoever sent it is told so, and nothing failed here. */
export const isSaid = (error: unknown): error is Error => SAID.some((said) => error instanceof said);

/** Where an import did not come to its end: what was to be written is not, and it can be gone on with from what is sorted. */
export async function leaveImport(
  db: Database,
  importId: string,
  why: 'cancelled' | 'failed',
  error: unknown,
): Promise<string> {
  const { state, outcome: before } = (await findImport(db, importId))!;
  const left = LEFT_AT[state];
  // Its work was done, and only the telling of it failed.
  if (!left) return before ?? '';
  const outcome = isSaid(error) ? error.message : why === 'cancelled' ? left.stopped : left.failed;
  // What could not be read is sent anew.
  if (state === 'reading') await dropFile(db, importId);
  await moveTo(db, importId, left.state, { outcome });
  return outcome;
}

/** What a file is, it says itself. */
async function read(db: Database, list: ImportFound, step: Step): Promise<string> {
  const bytes = await readFileOf(db, list.id);
  const whole = await wholeFile(bytes);
  return whole ? readWhole(db, list, whole, step) : readIn(db, list, bytes, step);
}

/**
 * All that is new and changed, with the state that says so, in one transaction: killed at any point it is the old or the new.
 * First it is laid beside what is held by now: where that would do anything else than what was looked at, it is shown instead.
 */
async function write(db: Database, list: ImportFound, step: Step): Promise<string> {
  const of = (list.counts?.new ?? 0) + (list.counts?.changed ?? 0);
  const asTheyGrow = settledAsTheyGrow(db);
  const written = await db.transaction().execute(async (trx) => {
    await lockAllClusters(trx);
    // Sorted by an earlier release, a number that stands twice does not know of it.
    if (
      list.sorted_as === null ||
      !(await stillDoes(trx, list, (done) =>
        step((0.2 * done) / Math.max(1, of), `${counted(done, 'row')} looked at again`),
      ))
    )
      return undefined;
    const rows = await writeList(trx, list, today(), async (so, facts) => {
      await asTheyGrow(facts);
      await step(0.2 + (0.8 * so) / Math.max(1, of), `${counted(so, 'row')} written`);
    });
    const outcome = `${counted(rows, 'row')} written.`;
    await moveTo(trx, list.id, 'written', { outcome });
    if (await madeFacts(trx, list.id)) await askForAuditAfter(trx, list.staff_id);
    return outcome;
  });
  if (written !== undefined) return written;
  await sortAll(db, list, step, MOVED_ON);
  return MOVED_ON;
}

const FIRST_SETTLED = 2000;

/**
 * Has the database look at the catalogue's tables each time that four times as many parts and figures have been written: what the
 * counter asks meanwhile was planned while they were few, and would read all of them.
 */
function settledAsTheyGrow(db: Database): (facts: number) => Promise<void> {
  let next = FIRST_SETTLED;
  return async (facts) => {
    if (facts < next) return;
    next = facts * 4;
    await settleCatalogue(db);
  };
}

const MOVED_ON = 'Nothing was written: what is held has changed since it was sorted. Look at it as it would be now.';

async function takeBack(db: Database, list: ImportFound, step: Step): Promise<string> {
  await step(0.1, 'taking it back');
  return db.transaction().execute(async (trx) => {
    await takeBackList(trx, list.id);
    const outcome = 'Taken back: what it had made is gone, and what it had changed is as before.';
    await moveTo(trx, list.id, 'taken-back', { outcome });
    return outcome;
  });
}
