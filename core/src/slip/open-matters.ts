import { counted, listed } from '../words/counted.ts';
import type { HeldBy } from '../old-parts/held.ts';
import type { Verdict } from '../fitment/verdict.ts';
import { upperFirst } from '../words/case.ts';

/** What a line of a slip has to do with its being collected. */
export interface LineStanding {
  readonly lineId: string;
  readonly partId: string;
  readonly printed: string;
  readonly kind: 'sale' | 'customers-own';
  readonly quantity: number;
  /** No engine asks for it: there is nothing to judge. */
  readonly isSundry: boolean;
  /** Why a reading of old parts, or a comeback, holds parts of its kind; null where none does. */
  readonly heldByReading: { readonly says: string; readonly by: HeldBy } | null;
  /** Null where it was not judged: no engine on the slip, or the engine takes no such part. */
  readonly verdict: Verdict | null;
  readonly isReleased: boolean;
  /** Questions that block, as they were told. */
  readonly questions: readonly { readonly facts: readonly string[]; readonly says: string }[];
  /** The batch its pieces are from, where somebody said. */
  readonly batch: { readonly code: string; readonly isHeld: boolean; readonly onHand: number } | null;
  /** Pieces whose gap cannot be brought into the range, by their numbers. */
  readonly piecesToReturn: readonly number[];
  /** Pieces of the part that lie in a batch held in quarantine. */
  readonly heldOnShelf: number;
  /** Pieces of it that are kept for other slips that are ready. */
  readonly keptForOthers: number;
  /** All pieces of the part in the shop, held ones included. */
  readonly onHand: number;
}

export const OPEN_MATTERS = [
  'nothing-sold',
  'plugs-first',
  'compression-first',
  'comeback-first',
  'not-judged',
  'refused',
  'question',
  'waits-for-supervisor',
  'batch-held',
  'batch-not-named',
  'piece-to-return',
  'not-on-shelf',
] as const;
export type OpenMatterKind = (typeof OPEN_MATTERS)[number];

/** One thing that keeps a slip from being collected, and what is done about it. */
export interface OpenMatter {
  readonly kind: OpenMatterKind;
  /** The line it is about; null where it is about the slip. */
  readonly lineId: string | null;
  readonly says: string;
  /** Facts that settle a question. */
  readonly facts: readonly string[];
}

const batchName = (code: string): string => (code === '' ? 'its delivery' : `batch ${code}`);

/** What may be sold of a part: what is in the shop less what is held, and less what is kept for others. */
export const freeOf = ({
  onHand,
  heldOnShelf,
  keptForOthers,
}: Pick<LineStanding, 'onHand' | 'heldOnShelf' | 'keptForOthers'>): number =>
  Math.max(0, onHand - heldOnShelf - keptForOthers);

/** What is open on one line, gravest first. A customer's own part is told, never sold: nothing of it is open. */
function matterOf(line: LineStanding, wanted: number, wantedOfBatch: number): OpenMatter[] {
  if (line.kind === 'customers-own') return [];
  const matter = (kind: OpenMatterKind, says: string, facts: readonly string[] = []): OpenMatter => ({
    kind,
    lineId: line.lineId,
    says,
    facts,
  });
  const found: OpenMatter[] = [];
  if (line.batch?.isHeld)
    found.push(
      matter('batch-held', `${upperFirst(batchName(line.batch.code))} is held in quarantine: hand none of it over.`),
    );
  if (line.batch === null && line.heldOnShelf > 0)
    found.push(matter('batch-not-named', 'A batch of it is held in quarantine: say which batch these are from.'));
  if (line.heldByReading !== null) found.push(matter(`${line.heldByReading.by}-first`, line.heldByReading.says));
  switch (line.verdict) {
    case null:
      if (!line.isSundry) found.push(matter('not-judged', 'Which engine is it for? The part was not judged.'));
      break;
    case 'refuse':
      found.push(matter('refused', 'Refused for the engine now on the slip: take it off.'));
      break;
    case 'needs-supervisor':
      if (!line.isReleased) found.push(matter('waits-for-supervisor', 'Waits for the supervisor.'));
      break;
    case 'ask-first':
      if (line.questions.length === 0) found.push(matter('question', 'Ask before selling: see why.'));
      for (const { says, facts } of line.questions) found.push(matter('question', says, facts));
      break;
    default:
  }
  if (line.piecesToReturn.length > 0)
    found.push(
      matter(
        'piece-to-return',
        `The gap of ${counted(line.piecesToReturn.length, 'plug')} (number ${listed(line.piecesToReturn.map(String))}) cannot be brought into the range: put another in its place.`,
      ),
    );
  const ofBatch = line.batch === null ? Infinity : Math.max(0, line.batch.onHand);
  const there = line.batch === null || line.keptForOthers > 0 ? Math.min(ofBatch, freeOf(line)) : ofBatch;
  const asked = line.batch === null ? wanted : wantedOfBatch;
  if (asked > there) {
    const kept =
      line.keptForOthers > 0 && line.batch === null ? `, ${line.keptForOthers} kept for slips that are ready` : '';
    const where = line.batch === null ? `free on the shelf${kept}` : `left of ${batchName(line.batch.code)}`;
    found.push(
      matter('not-on-shelf', `${asked} asked, ${counted(there, 'is', 'are')} ${where}: sell fewer, or order the rest.`),
    );
  }
  return found;
}

/**
 * Everything that keeps a slip from being collected: the one home of that rule. The route refuses by it, the screen lists it,
 * and the database holds the same line against whatever an application sends. Pieces are counted over all lines of a part.
 */
export function openMatters(lines: readonly LineStanding[]): readonly OpenMatter[] {
  const sold = lines.filter(({ kind }) => kind === 'sale');
  if (sold.length === 0)
    return [
      { kind: 'nothing-sold', lineId: null, says: 'Nothing on it is sold: put a part down, or end it.', facts: [] },
    ];
  const sum = (same: (line: LineStanding) => boolean) =>
    sold.filter(same).reduce((total, { quantity }) => total + quantity, 0);
  return lines.flatMap((line) =>
    matterOf(
      line,
      sum(({ partId }) => partId === line.partId),
      sum(({ partId, batch }) => partId === line.partId && batch !== null && batch.code === line.batch?.code),
    ),
  );
}
