import { counted } from '@brackenfell/core/words/counted';
import { askForAuditAfter } from '../audit/store.ts';
import type { Database } from '../db/database.ts';
import { settleCatalogue } from '../db/settle-tables.ts';
import { isCatalogueEmpty, loadLines } from '../open-format/load-store.ts';
import { checkedLines } from '../open-format/open-lines.ts';
import { wholeFile, type WholeFile } from '../open-format/whole-file.ts';
import type { Step } from './sort-list.ts';
import { dropFile, moveTo, readFileOf, type ImportFound } from './store.ts';
import { UnreadableList } from './unreadable-list.ts';

const TELL_EVERY = 500;
const NOT_EMPTY =
  'This is a whole catalogue, and there is one here already: a whole one is loaded into an empty catalogue alone. Nothing of it was written.';

/** Holds every line of a whole catalogue to the format, and counts what it would bring. Nothing is written; the file is kept. */
export async function readWhole(db: Database, list: ImportFound, file: WholeFile, step: Step): Promise<string> {
  if (!(await isCatalogueEmpty(db))) throw new UnreadableList(NOT_EMPTY);
  const whole: Record<string, number> = {};
  let read = 0;
  for await (const { line } of checkedLines(file.lines())) {
    whole[line] = (whole[line] ?? 0) + 1;
    read += 1;
    // How many there are is known when all are read.
    if (read % TELL_EVERY === 0) await step(0, `${counted(read, 'line')} read`);
  }
  await moveTo(db, list.id, 'sorted', {
    form: file.form,
    row_count: read,
    whole: JSON.stringify(whole),
    counts: JSON.stringify({ invalid: 0, doubtful: 0, new: read, changed: 0, same: 0 }),
    outcome: null,
  });
  return `${counted(read, 'line')} read`;
}

/** All of a whole catalogue, with the state that says so, in one transaction: killed at any point the catalogue is empty or whole. */
export async function writeWhole(db: Database, list: ImportFound, step: Step): Promise<string> {
  const file = (await wholeFile(await readFileOf(db, list.id)))!;
  const outcome = await db.transaction().execute(async (trx) => {
    const loaded = await loadLines(trx, file.lines(), (so) =>
      step((0.9 * so) / list.row_count, `${counted(so, 'line')} loaded`),
    );
    const says = `${counted(loaded, 'line')} loaded. What the audit finds in it stands under Audit.`;
    await dropFile(trx, list.id);
    await moveTo(trx, list.id, 'written', { outcome: says });
    await askForAuditAfter(trx, list.staff_id);
    return says;
  });
  await settleCatalogue(db);
  return outcome;
}
