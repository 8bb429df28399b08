import { decodeNumber, type NumberGrammar } from '@brackenfell/core/part-numbers/grammar';
import { PART_KINDS } from '@brackenfell/core/facts/part-kinds';
import { differences, sayDifference } from '@brackenfell/core/record/differences';
import type { Consequences } from '@brackenfell/contract/consequences';
import type { OpenLineOf } from '@brackenfell/contract/open-catalogue';
import type { RecordLine, RecordPreview } from '@brackenfell/contract/record';
import { readHeatScales, readPartSheets } from '../catalogue/fact-store.ts';
import { asIfDone } from '../consequences/as-if-done.ts';
import { consequencesOf, NOTHING_TURNS, turned, type Then } from '../consequences/consequences.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import { readNumbersOf, readRatedOn } from './store.ts';
import { putRecord } from './record-store.ts';

/** So many parts of each kind are looked at of an engine, so many plugs of a scale, so many numbers of a maker. */
const MOST = { candidates: 60, rated: 40, numbers: 500 } as const;

/** What two records of one thing differ in, in words. */
export const sayDifferences = (before: RecordLine | undefined, after: RecordLine | undefined): string[] =>
  before && after
    ? differences(before, after).map((one) => sayDifference(one))
    : [before ? 'taken out whole' : 'added whole'];

/** What a record would change, were it put in the place of what stands. It is put there and judged by, and nothing of it lasts. */
export async function previewOf(
  context: Context,
  db: Database,
  before: RecordLine | undefined,
  line: RecordLine,
): Promise<RecordPreview> {
  const says = sayDifferences(before, line);
  if (line.line === 'numbering')
    return { says, verdicts: NOTHING_TURNS, reads: await numbersRead(db, before as typeof line | undefined, line) };
  if (!before || says.length === 0) return { says, verdicts: NOTHING_TURNS, reads: null };
  const verdicts = await asIfDone(
    context,
    (trx) => putRecord(trx, line),
    (then) => (line.line === 'engine' ? ofEngine(context, db, line, then) : ofScale(context, db, line.maker, then)),
  );
  return { says, verdicts, reads: null };
}

/** Every part that its tray shows now or then, judged both ways. */
async function ofEngine(
  context: Context,
  db: Database,
  { id, code, maker }: OpenLineOf<'engine'>,
  then: Then,
): Promise<Consequences> {
  const index = await context.indexes.at(db);
  const engine = { id, code, maker: index.makers.get(maker) ?? maker };
  const changes: Consequences['changes'] = [];
  let judged = 0;
  let isWhole = true;
  for (const kind of PART_KINDS) {
    const question = { engineId: id, kind };
    const shown = { ...question, most: MOST.candidates };
    const [now, afterwards] = [
      await judgeEngine(context, shown, 'metric', db),
      await judgeEngine(then.context, shown, 'metric', then.db),
    ];
    const only = [...new Set([now, afterwards].flatMap((one) => one?.candidates.map(({ part }) => part.id) ?? []))];
    if (only.length === 0) continue;
    const [was, is] = [
      await judgeEngine(context, { ...question, only }, 'metric', db),
      await judgeEngine(then.context, { ...question, only }, 'metric', then.db),
    ];
    const before = new Map(was?.candidates.map((one) => [one.part.id, one]));
    for (const candidate of is?.candidates ?? []) {
      const old = before.get(candidate.part.id);
      if (!old) continue;
      judged += 1;
      changes.push(...turned(engine, candidate.part, old, candidate));
    }
    isWhole &&= [now, afterwards].every((one) => (one?.candidates.length ?? 0) < MOST.candidates);
  }
  return { changes, judged, isWhole, contradicts: null };
}

/** Plugs that are rated on the scale, those on the shelf first. */
async function ofScale(context: Context, db: Database, maker: string, then: Then): Promise<Consequences> {
  const ids = await readRatedOn(db, maker, MOST.rated + 1);
  const looked = ids.slice(0, MOST.rated);
  const sheets = await readPartSheets(db, await readHeatScales(then.db), looked);
  const found = await consequencesOf(context, db, sheets, then);
  return { ...found, isWhole: found.isWhole && ids.length <= MOST.rated };
}

async function numbersRead(
  db: Database,
  before: OpenLineOf<'numbering'> | undefined,
  after: OpenLineOf<'numbering'>,
): Promise<RecordPreview['reads']> {
  const numbers = await readNumbersOf(db, after.grammar.maker, MOST.numbers);
  const isRead = (grammar: OpenLineOf<'numbering'>['grammar'] | undefined) =>
    numbers.filter((number) => {
      const read = grammar && decodeNumber(number, grammar as NumberGrammar);
      return read?.kind === 'decoded' && read.fields.every(({ known }) => known);
    }).length;
  return { of: numbers.length, before: isRead(before?.grammar), after: isRead(after.grammar) };
}
