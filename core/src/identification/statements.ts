import type { EngineCandidate, FittedTo } from './candidates.ts';
import { questionOf, sayMonth } from './questions.ts';

/** What somebody said, or a plate told, about which engine it is. */
export type Statement =
  | { readonly kind: 'make'; readonly value: string }
  | { readonly kind: 'model'; readonly value: string }
  /** A year, or a month as YYYY-MM. */
  | { readonly kind: 'built'; readonly value: string }
  | { readonly kind: 'code'; readonly value: string }
  | { readonly kind: 'words'; readonly value: string }
  /** What fits nothing in the catalogue: kept as it was said, and rules nothing out. */
  | { readonly kind: 'remark'; readonly value: string }
  /** `question=answer`; the answer `?` means that nobody could tell. */
  | { readonly kind: 'answer'; readonly value: string }
  /** A part in hand: the id; the engines it points to come from references and listings. */
  | { readonly kind: 'part'; readonly value: string };

export const STATEMENT_KINDS = ['make', 'model', 'built', 'code', 'words', 'remark', 'answer', 'part'] as const;

/** Engines a part in hand points to, by part id. */
export type EnginesOfParts = ReadonlyMap<string, ReadonlySet<string>>;

export const splitAnswer = (value: string): readonly [question: string, answer: string] => {
  const at = value.lastIndexOf('=');
  return [value.slice(0, at), value.slice(at + 1)];
};

const plain = (text: string): string => text.toLowerCase().replaceAll(/[^\p{L}\p{N}.]/gu, '');

const builtThen = (vehicle: FittedTo, candidate: EngineCandidate, built: string): boolean => {
  const year = Number(built.slice(0, 4));
  if (year < vehicle.from || (vehicle.to !== null && year > vehicle.to)) return false;
  const first = built.length === 4 ? `${built}-01` : built;
  const last = built.length === 4 ? `${built}-12` : built;
  return (candidate.builtFrom ?? '') <= last && (candidate.builtTo ?? '9999-12') >= first;
};

/** One word is any model with that word; more words are that model and no other (`Haulm 2.0` is not `Haulm 2.0 Gas`). */
const isModel = (model: string, said: string): boolean =>
  /\s/.test(said.trim())
    ? plain(model) === plain(said)
    : model.split(/\s+/).some((word) => plain(word) === plain(said));

/** Whether a vehicle of the candidate answers to a statement about the vehicle. */
function vehicleFits(statement: Statement, vehicle: FittedTo, candidate: EngineCandidate): boolean {
  if (statement.kind === 'make') return plain(vehicle.make) === plain(statement.value);
  if (statement.kind === 'model') return isModel(vehicle.model, statement.value);
  return builtThen(vehicle, candidate, statement.value);
}

const isOfVehicle = ({ kind }: Statement): boolean => kind === 'make' || kind === 'model' || kind === 'built';

function engineFits(statement: Statement, candidate: EngineCandidate, parts: EnginesOfParts): boolean {
  switch (statement.kind) {
    case 'code':
      return plain(candidate.code) === plain(statement.value);
    case 'part':
      return parts.get(statement.value)?.has(candidate.engineId) ?? false;
    case 'answer': {
      const [id, answer] = splitAnswer(statement.value);
      const possible = questionOf(id)?.answersOf(candidate) ?? [];
      return answer === '?' || possible.length === 0 || possible.includes(answer);
    }
    default:
      return true;
  }
}

/**
 * Candidates that answer to all statements; what is said of the vehicle must be true of one and the same vehicle. Free words
 * narrow where they find something among what is left, and rule nothing out where they do not.
 */
export function remaining(
  candidates: readonly EngineCandidate[],
  statements: readonly Statement[],
  parts: EnginesOfParts,
): EngineCandidate[] {
  const ofVehicle = statements.filter(isOfVehicle);
  const ofEngine = statements.filter((statement) => !isOfVehicle(statement));
  const answering = candidates.flatMap((candidate) => {
    if (!ofEngine.every((statement) => engineFits(statement, candidate, parts))) return [];
    if (ofVehicle.length === 0) return [candidate];
    const vehicles = candidate.vehicles.filter((vehicle) =>
      ofVehicle.every((statement) => vehicleFits(statement, vehicle, candidate)),
    );
    return vehicles.length === 0 ? [] : [{ ...candidate, vehicles }];
  });
  return statements
    .filter(({ kind }) => kind === 'words')
    .flatMap(({ value }) => value.toLowerCase().split(/\s+/))
    .reduce((left, word) => {
      const described = left.filter((candidate) => describes(candidate.words, word));
      return described.length > 0 ? described : left;
    }, answering);
}

/**
 * Statements that cannot all be true: the fewest whose removal would leave an engine, one at a time or two together.
 * Empty when something remains anyway, or when even two removed do not help.
 */
export function contradictory(
  candidates: readonly EngineCandidate[],
  statements: readonly Statement[],
  parts: EnginesOfParts,
): number[] {
  if (remaining(candidates, statements, parts).length > 0) return [];
  const leaves = (without: readonly number[]) =>
    remaining(
      candidates,
      statements.filter((_, i) => !without.includes(i)),
      parts,
    ).length > 0;
  const single = statements.flatMap((_, i) => (leaves([i]) ? [i] : []));
  if (single.length > 0) return single;
  for (let i = 0; i < statements.length; i += 1)
    for (let j = i + 1; j < statements.length; j += 1) if (leaves([i, j])) return [i, j];
  return [];
}

/** A statement as it is told back. */
export function sayStatement({ kind, value }: Statement): string {
  switch (kind) {
    case 'make':
      return `“It’s a ${value}”`;
    case 'model':
      return `The ${value}`;
    case 'built':
      return value.length === 4 ? `Built in ${value}` : `Built in ${sayMonth(value)}`;
    case 'code':
      return `Engine code ${value}`;
    case 'words':
      return `“${value}”`;
    case 'remark':
      return `“${value}”, noted`;
    case 'part':
      return 'The part in hand';
    case 'answer': {
      const [id, answer] = splitAnswer(value);
      const question = questionOf(id);
      if (!question) return value;
      return answer === '?' ? `${question.asks} Cannot tell` : question.say(answer);
    }
  }
}

/** Words that carry a sentence and describe no engine. */
const FILLERS = new Set(
  'a an and the one it its is are was of on in for with my this that has have from very old new some'.split(' '),
);

/** Whether a description has a word that begins so: `tur` is of a turbo, `one` is not of anything that ends in it. */
export const describes = (description: string, word: string): boolean => ` ${description}`.includes(` ${word}`);

/** What a catalogue's engines are known by, for reading a typed sentence. Lower case. */
export interface KnownWords {
  readonly makes: ReadonlyMap<string, string>;
  readonly models: ReadonlyMap<string, string>;
  readonly codes: ReadonlyMap<string, string>;
  /** Whether any engine's description has a word. */
  isDescribed(word: string): boolean;
}

/** The first words a customer uses: fuels, turbos and the like, by the answer they give. */
const SAID: Readonly<Record<string, string>> = {
  petrol: 'fuel=petrol',
  gas: 'fuel=gas',
  turbo: 'boosted=true',
  supercharged: 'boosted=true',
  'air-cooled': 'cooling=air',
};

/**
 * Reads a typed sentence into statements: makes, models, codes, a year or a month, litres, a few plain words. What is left
 * and stands in some engine's description is looked for there; what stands in none is kept as a remark, which rules nothing
 * out. Nothing typed is dropped.
 */
export function readStatements(sentence: string, known: KnownWords): Statement[] {
  const words = sentence
    .toLowerCase()
    .split(/[\s,;]+/)
    .filter(Boolean);
  const statements: Statement[] = [];
  const rest: string[] = [];
  for (const word of words) {
    const make = known.makes.get(word);
    const model = known.models.get(word);
    const code = known.codes.get(word);
    const litres = /^(\d{1,2}[.,]\d)l?$/.exec(word)?.[1];
    if (make) statements.push({ kind: 'make', value: make });
    else if (code) statements.push({ kind: 'code', value: code });
    else if (model) statements.push({ kind: 'model', value: model });
    else if (/^(19|20)\d\d(-(0[1-9]|1[0-2]))?$/.test(word)) statements.push({ kind: 'built', value: word });
    else if (litres)
      statements.push({ kind: 'answer', value: `litres=${Number(litres.replace(',', '.')).toFixed(1)}` });
    else if (SAID[word]) statements.push({ kind: 'answer', value: SAID[word] });
    else rest.push(word);
  }
  const isSaid = (word: string) => !FILLERS.has(word) && known.isDescribed(word);
  const described = rest.filter(isSaid);
  const remarks = rest.filter((word) => !isSaid(word));
  return [
    ...statements,
    ...(described.length > 0 ? [{ kind: 'words', value: described.join(' ') } as const] : []),
    ...(remarks.length > 0 ? [{ kind: 'remark', value: remarks.join(' ') } as const] : []),
  ];
}
