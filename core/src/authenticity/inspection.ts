import { boxSpread } from '../gap/box-spread.ts';
import type { EvidenceItem } from './evidence.ts';
import { judgeBatch, judgePiece, judgeTogether, type Band, type PieceJudgement } from './judge-piece.ts';
import { compareReading, MEASURED, type Agreement, type DecodedSpan } from './measured.ts';
import { itemOf, nextChecks, type NextCheck } from './next-check.ts';
import {
  NUMBER_PLACES,
  numberAgainstPart,
  type NumberBearer,
  type NumberPlace,
  type NumberRow,
  type PartNames,
} from './number-against-part.ts';
import type { PaperItem } from './paper.ts';
import { priorOf, type Channel, type SettledRecord } from './prior.ts';
import { setIntegrity, type SetFinding } from './set-integrity.ts';
import { answerOfReading, MEASURED_IDS, TELL_ANSWERS, type MeasuredId, type Tell, type TellAnswer } from './tell.ts';

/**
 * One line of an inspection's journal; the latest of a subject and piece stands. `piece` counts from 1, 0 is the box or the
 * whole set. `answer`: a TellAnswer, what was read of a number, or empty for a reading, whose `value` is in the quantity's
 * unit. An answer of `withdrawn` takes back what stood.
 */
export interface JournalEntry {
  readonly what: 'tell' | 'measure' | 'number';
  readonly subject: string;
  readonly piece: number;
  readonly answer: string;
  readonly value: number | null;
}

/** Everything an inspection is judged from. Plain data: the same at the counter and on the server. */
export interface InspectionMatter {
  readonly channel: Channel;
  readonly record: SettledRecord;
  readonly paper: readonly PaperItem[];
  readonly tells: readonly Tell[];
  /** Pieces in hand. */
  readonly pieces: number;
  readonly batchSize: number;
  /** Pieces asked for; null where nobody said. */
  readonly askedFor: number | null;
  readonly part: PartNames;
  /** The catalogue's figures of what can be measured. */
  readonly catalogue: Readonly<Partial<Record<MeasuredId, number | undefined>>>;
  /** Parts that bear the numbers read, by number as read. */
  readonly bearers: Readonly<Record<string, readonly NumberBearer[]>>;
  /** What the number says of such quantities, where its maker's scheme tells. */
  readonly decoded: Readonly<Partial<Record<MeasuredId, DecodedSpan>>>;
  /** Where the number, read by its maker's scheme, contradicts the catalogue. */
  readonly decodedAgainst: readonly string[];
  readonly journal: readonly JournalEntry[];
}

export interface ReadingRow {
  readonly id: MeasuredId;
  readonly value: number;
  readonly expected: number | null;
  /** What the number says, where the catalogue is silent. */
  readonly decoded: DecodedSpan | null;
  readonly agreement: Agreement;
}

export interface JudgedPiece {
  readonly piece: number;
  readonly label: string;
  readonly answers: Readonly<Record<string, TellAnswer>>;
  readonly readings: readonly ReadingRow[];
  readonly judgement: PieceJudgement;
  readonly next: readonly NextCheck[];
  /** What blocks the sale of this piece whatever the chance. */
  readonly blocks: readonly string[];
}

export interface JudgedInspection {
  readonly prior: number;
  /** The channel's share, before the seller's own record. */
  readonly channelPrior: number;
  readonly pieces: readonly JudgedPiece[];
  /** The piece that speaks loudest: of those looked at, the likeliest fake. */
  readonly worst: JudgedPiece;
  /** Of the pieces in hand. */
  readonly band: Band;
  /** Of the whole batch, of which they may be too few. */
  readonly batchBand: Band;
  readonly numbers: readonly (NumberRow & { readonly piece: number })[];
  readonly set: readonly SetFinding[];
  readonly blocks: readonly string[];
  readonly gapSpread: {
    readonly low: number;
    readonly high: number;
    readonly allowed: number;
    readonly all: boolean;
    /** One reading set aside: in a box of four or more a single plug may have been knocked. */
    readonly setAside: number | null;
  } | null;
}

/** Parts that bear a number as read; undefined while nobody could look it up. */
const bearersOf = ({ bearers }: InspectionMatter, printed: string): readonly NumberBearer[] | undefined =>
  Object.hasOwn(bearers, printed) ? bearers[printed] : undefined;

export const pieceLabel = (piece: number): string => String.fromCharCode(64 + piece);

/** What stands of a subject and piece; undefined where nothing was noted, or it was taken back. */
export const latestEntry = <E extends JournalEntry>(
  journal: readonly E[],
  { what, subject, piece }: Pick<JournalEntry, 'what' | 'subject' | 'piece'>,
): E | undefined => {
  const last = journal.findLast((entry) => entry.what === what && entry.subject === subject && entry.piece === piece);
  return last?.answer === 'withdrawn' ? undefined : last;
};

type Standing = ReadonlyMap<string, JournalEntry>;
const keyOf = (what: string, subject: string, piece: number): string => `${what} ${subject} ${piece}`;

function standing(journal: readonly JournalEntry[]): Standing {
  const latest = new Map<string, JournalEntry>();
  for (const entry of journal) {
    const key = keyOf(entry.what, entry.subject, entry.piece);
    if (entry.answer === 'withdrawn') latest.delete(key);
    else latest.set(key, entry);
  }
  return latest;
}

const isAnswer = (text: string): text is TellAnswer => (TELL_ANSWERS as readonly string[]).includes(text);

/** The spread of the gaps read so far against twice the maker's tolerance. */
function spreadOf(matter: InspectionMatter, latest: Standing): JudgedInspection['gapSpread'] {
  const tolerance = matter.tells.find(({ measure }) => measure?.quantity === 'gapMm')?.measure?.tolerance;
  const gaps = range(matter.pieces).flatMap((piece) => latest.get(keyOf('measure', 'gapMm', piece))?.value ?? []);
  if (tolerance === undefined) return null;
  const allowed = 2 * tolerance;
  const spread = boxSpread(gaps, allowed);
  return spread ? { ...spread, allowed, all: gaps.length === matter.pieces } : null;
}

const range = (count: number): number[] => Array.from({ length: count }, (_, i) => i + 1);

function answerOf(
  tell: Tell,
  piece: number,
  matter: InspectionMatter,
  latest: Standing,
  spread: JudgedInspection['gapSpread'],
): TellAnswer | undefined {
  if (!tell.measure) {
    const said = latest.get(keyOf('tell', tell.id, piece))?.answer;
    return said !== undefined && isAnswer(said) ? said : undefined;
  }
  const { quantity, nominal, tolerance } = tell.measure;
  const reading = latest.get(keyOf('measure', quantity, piece))?.value;
  if (reading === undefined || reading === null)
    return latest.get(keyOf('tell', tell.id, piece))?.answer === 'cannot-see' ? 'cannot-see' : undefined;
  const expected = nominal === 'catalogue' ? matter.catalogue[quantity] : nominal;
  if (expected === undefined) return 'cannot-see';
  // Gaps that scatter wider than the maker sets them speak for every piece of the set.
  if (quantity === 'gapMm' && spread?.all && spread.high - spread.low > spread.allowed + 1e-9) return 'differs';
  return answerOfReading(reading, expected, tolerance);
}

function readingsOf(piece: number, matter: InspectionMatter, latest: Standing): ReadingRow[] {
  return MEASURED_IDS.flatMap((id) => {
    const value = latest.get(keyOf('measure', id, piece))?.value;
    if (value === undefined || value === null) return [];
    const expected = matter.catalogue[id];
    const decoded = matter.decoded[id];
    const agreement = compareReading(id, value, expected, decoded);
    return [
      { id, value, expected: expected ?? null, decoded: expected === undefined ? (decoded ?? null) : null, agreement },
    ];
  });
}

function sayBlocked({ id, value, expected, decoded }: ReadingRow): string {
  const { label, unit, decimals } = MEASURED[id];
  const said =
    expected === null
      ? `the number itself says ${decoded!.low} to ${decoded!.high}`
      : `the catalogue says ${expected.toFixed(decimals)}`;
  return `${label} ${value.toFixed(decimals)} ${unit}, ${said}`;
}

/** Judges an inspection from its journal: numbers, set, each piece, then the batch. Proof: Bands. */
export function judgeInspection(matter: InspectionMatter): JudgedInspection {
  const latest = standing(matter.journal);
  const prior = priorOf(matter.channel, matter.record);
  const spread = spreadOf(matter, latest);
  const numbers = [...latest.values()]
    .filter(({ what, subject }) => what === 'number' && (NUMBER_PLACES as readonly string[]).includes(subject))
    .map(({ subject, piece, answer }) => ({
      piece,
      ...numberAgainstPart(subject as NumberPlace, answer, matter.part, bearersOf(matter, answer)),
    }));
  const numberBlocks = numbers
    .filter(({ outcome }) => outcome === 'contradicts')
    .map(({ place, piece, printed, says }) => ({
      piece,
      says: `${NUMBER_PLACE_WORDS[place]} ${printed}${piece > 0 ? ` on piece ${pieceLabel(piece)}` : ''}: ${says}`,
    }));
  const pieces = range(matter.pieces).map((piece): JudgedPiece => {
    const answers: Record<string, TellAnswer> = {};
    for (const tell of matter.tells) {
      const answer = answerOf(tell, piece, matter, latest, spread);
      if (answer !== undefined) answers[tell.id] = answer;
    }
    const items: EvidenceItem[] = [
      ...matter.paper,
      ...matter.tells.flatMap((tell) => (answers[tell.id] ? [itemOf(tell, answers[tell.id]!)] : [])),
    ];
    const readings = readingsOf(piece, matter, latest);
    return {
      piece,
      label: pieceLabel(piece),
      answers,
      readings,
      judgement: judgePiece(prior, items),
      next: nextChecks(
        prior,
        items,
        matter.tells.filter(({ id }) => answers[id] === undefined),
      ),
      blocks: [
        ...numberBlocks.filter((block) => block.piece === 0 || block.piece === piece).map(({ says }) => says),
        ...readings.filter(({ agreement }) => agreement === 'contradicts').map(sayBlocked),
      ],
    };
  });
  const looked = pieces.filter(({ judgement }) => judgement.band !== 'not-inspected');
  const bands = pieces.map(({ judgement }) => judgement.band);
  const set = setIntegrity(setPieces(matter, latest), matter.askedFor ?? undefined);
  return {
    prior,
    channelPrior: priorOf(matter.channel, { settled: 0, notGenuine: 0 }),
    pieces,
    worst: (looked.length > 0 ? looked : pieces).reduce((a, b) =>
      b.judgement.logOdds > a.judgement.logOdds + 1e-9 ? b : a,
    ),
    band: judgeTogether(bands),
    batchBand: judgeBatch(bands, matter.batchSize),
    numbers,
    set,
    blocks: [
      ...new Set([
        ...pieces.flatMap(({ blocks }) => blocks),
        ...set.filter(({ blocks }) => blocks).map(({ says }) => says),
      ]),
    ],
    gapSpread: spread,
  };
}

export const NUMBER_PLACE_WORDS: Readonly<Record<NumberPlace, string>> = {
  box: 'Box',
  stamping: 'Stamping',
  barcode: 'Barcode',
};

/** Each piece with the number, maker and revision its stamping tells and the batch code on it. */
function setPieces(matter: InspectionMatter, latest: Standing) {
  return range(matter.pieces).map((piece) => {
    const printed = latest.get(keyOf('number', 'stamping', piece))?.answer;
    const [bearer] = printed === undefined ? [] : (bearersOf(matter, printed) ?? []);
    const own =
      printed !== undefined &&
      numberAgainstPart('stamping', printed, matter.part, bearersOf(matter, printed)).outcome !== 'contradicts';
    return {
      label: pieceLabel(piece),
      number: printed === undefined ? undefined : own ? matter.part.names[0] : (bearer?.printed ?? printed),
      maker: bearer?.maker,
      revision: bearer?.revision ?? undefined,
      batch: latest.get(keyOf('number', 'batch', piece))?.answer,
    };
  });
}
