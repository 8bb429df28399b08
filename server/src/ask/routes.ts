import type { Express } from 'express';
import { readDimensions } from '@brackenfell/core/dimensions/read-dimensions';
import { followSupersession } from '@brackenfell/core/interchange/supersession';
import { askedNumber, rankNames, type AskedNumber, type Ranked } from '@brackenfell/core/part-numbers/match-name';
import { LONGEST_PART_NUMBER } from '@brackenfell/core/part-numbers/normal-form';
import { mayBePlate } from '@brackenfell/core/garage/plate';
import { systemOf } from '@brackenfell/core/quantities/format-quantity';
import { readMeasure } from '@brackenfell/core/quantities/read-measure';
import { ask, type PartAnswer } from '@brackenfell/contract/ask';
import type { CatalogueIndex } from '../catalogue/catalogue-index.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { digitsOf, SHORTEST_PHONE } from '../db/search.ts';
import { readTogether } from '../db/together.ts';
import { vehiclesFound } from '../garage-book/store.ts';
import { serve } from '../http/serve.ts';
import { readRenamings } from '../interchange/store.ts';
import { findAlike, findNames, type FoundName } from './name-store.ts';
import { partAnswer, suggestion, tellSuccession, yearsOf } from './present.ts';
import { readQuestion, remarkOn } from './read-question.ts';
import { findBatches, slipsFound, readDetails, readKinds } from './store.ts';
import { readNamedParts } from '../catalogue/part-store.ts';

const MOST_PARTS = 12;
const MOST_ANSWERS = 8;
/** Candidates whose fit is looked at when an engine is on the slip, before the first dozen are shown. */
const MOST_WEIGHED = 60;

const isDocket = (question: string): boolean => /^\d{1,9}$/.test(question);
/** A telephone number, however it is spaced. */
const isPhone = (question: string): boolean =>
  /^[+(\d][\d\s/().-]*$/.test(question) && digitsOf(question).length >= SHORTEST_PHONE;
/** Customers and vehicles are asked for by words: a question of codes alone needs no look at the slips. */
const hasWord = (question: string): boolean => /(^|\s)\p{L}{3,}(\s|$)/u.test(question);

/** Suggestions while somebody types: the names, and what kind of part each is. */
async function suggestParts(
  db: Database,
  asked: AskedNumber,
  makers: readonly string[],
  names: ReadonlyMap<string, string>,
): Promise<PartAnswer[]> {
  const { sure: found } = await findNames(db, asked, makers, true);
  const shares = new Map<string, Set<string>>();
  for (const { normal, partId } of found) shares.set(normal, (shares.get(normal) ?? new Set()).add(partId));
  const ranked = rankNames(asked, found).slice(0, MOST_PARTS);
  const kinds = await readKinds(
    db,
    ranked.map(({ name }) => name.partId),
  );
  return ranked.map(({ name, match }) => {
    const maker = names.get(name.makerId) ?? name.makerId;
    return suggestion(asked, name, match, maker, kinds.get(name.partId)!, shares.get(name.normal)!.size);
  });
}

/** With fewer sure readings than this, none of them exact nor a number that begins so, names that are merely alike follow. */
const FEW = 3;

/** Names ranked; where few answer, and nothing else does, those that are merely alike after them. */
async function rankedNames(
  db: Database,
  asked: AskedNumber,
  makers: readonly string[],
  isAnswered: boolean,
): Promise<Ranked<FoundName>[]> {
  const found = await findNames(db, asked, makers, false);
  const ranked = rankNames(asked, found.sure);
  const isSaid = ranked.some(({ match }) => match.stage === 'exact' || match.stage === 'prefix');
  if (isAnswered || ranked.length >= FEW || isSaid) return ranked;
  const alike = found.alike ?? (await findAlike(db, asked, makers));
  const once = new Map([...alike].reverse().map((name) => [name.partId, name]));
  for (const { name } of ranked) once.delete(name.partId);
  const looser = [...once.values()]
    .reverse()
    .map((name) => ({ name, match: { stage: 'looser', distance: 1 } as const }));
  return [...ranked, ...looser];
}

const isLoose = ({ match }: Ranked<FoundName>): boolean => match.stage === 'looser';
const isNear = ({ match }: Ranked<FoundName>): boolean => match.stage === 'one-edit' || match.stage === 'prefix';

async function findParts(
  db: Database,
  asked: AskedNumber,
  makers: readonly string[],
  { engineId, isAnswered }: { readonly engineId: string | undefined; readonly isAnswered: boolean },
): Promise<PartAnswer[]> {
  const ranked = (await rankedNames(db, asked, makers, isAnswered)).slice(0, engineId ? MOST_WEIGHED : MOST_PARTS);
  const details = await readDetails(
    db,
    ranked.map(({ name }) => name.partId),
    ranked.map(({ name }) => name.normal),
    engineId,
  );
  // With the engine known, near readings that suit it stand before those that cannot; sure readings stay where they are.
  const suits = (hit: Ranked<FoundName>) => details.get(hit.name.partId)?.suits_engine === true;
  const near = ranked.filter(isNear);
  const shown = [
    ...ranked.filter((hit) => !isNear(hit) && !isLoose(hit)),
    ...near.filter(suits),
    ...near.filter((hit) => !suits(hit)),
    ...ranked.filter(isLoose),
  ].slice(0, MOST_PARTS);
  const old = shown.map(({ name }) => name.partId).filter((id) => details.get(id)?.is_superseded);
  const renamings = old.length === 0 ? [] : await readRenamings(db, old);
  const named = await readNamedParts(db, [...new Set(renamings.flatMap(({ from, to }) => [from, to]))]);
  const byId = new Map(named.map((part) => [part.id, part]));
  return shown.flatMap(({ name, match }) => {
    const detail = details.get(name.partId);
    if (!detail) return [];
    const followed = detail.is_superseded
      ? followSupersession(name.partId, renamings, engineId)
      : { kind: 'current' as const };
    return [partAnswer(asked, name, match, detail, tellSuccession(followed, byId))];
  });
}

function findByWords(index: CatalogueIndex, question: string) {
  const words = question
    .toLowerCase()
    .split(/[\s,;]+/)
    .filter(Boolean)
    .slice(0, 8);
  const years = words.filter((word) => /^(19|20)\d\d$/.test(word)).map(Number);
  const names = words.filter((word) => !/^(19|20)\d\d$/.test(word));
  const vehicles = index.vehicleWords.find(names, MOST_ANSWERS, ({ from, to }) =>
    years.every((year) => year >= from && (to === null || year <= to)),
  );
  return {
    engines: index.engineWords.find(words, MOST_ANSWERS).map(({ id, maker, code, summary }) => ({
      engineId: id,
      title: `${maker} ${code}`,
      summary,
    })),
    vehicles: vehicles.map((v) => ({
      vehicleId: v.id,
      engineId: v.engineId,
      title: `${v.make} ${v.model}`,
      engine: index.engines.get(v.engineId)?.code ?? '',
      years: yearsOf(v.from, v.to),
    })),
  };
}

export function askRoutes(app: Express, context: Context): void {
  serve(app, context, ask, async ({ query, db, staff }) => {
    const index = await context.indexes.recent(db);
    const { number, makers } = readQuestion(query.q, index.makers);
    const asked = askedNumber(number, index.significantSigns);
    const isNumber = asked.normal.length <= LONGEST_PART_NUMBER && asked.normal !== '';
    const isQuick = query.quick === 'yes';
    const byWords = findByWords(index, query.q);
    // Words that name an engine or a vehicle are not also looked for among numbers that are merely alike.
    const isAnswered = hasWord(query.q) && byWords.engines.length + byWords.vehicles.length > 0;
    const numbers = () =>
      isQuick
        ? suggestParts(db, asked, makers, index.makers)
        : findParts(db, asked, makers, { engineId: query.engine, isAnswered });
    const isOfCustomers = hasWord(query.q) || isPhone(query.q) || mayBePlate(query.q);
    const [parts, { slips, garage }, batches] = await Promise.all([
      isNumber ? numbers() : [],
      isQuick || !(isDocket(query.q) || isOfCustomers)
        ? { slips: [], garage: [] }
        : readTogether(db, {
            slips: slipsFound(db, query.q, MOST_ANSWERS),
            // The garage book is the counter's, not the catalogue editor's.
            garage: vehiclesFound(db, query.q, staff.role === 'editor' || !isOfCustomers ? 0 : MOST_ANSWERS),
          }),
      !isQuick && isNumber ? findBatches(db, asked.normal, MOST_ANSWERS) : [],
    ]);
    const measured = readDimensions(query.q);
    const measure = readMeasure(query.q, systemOf(query.units));
    return {
      parts,
      ...byWords,
      garage: garage.map((v) => ({
        vehicleId: v.id,
        called: v.called,
        plate: v.plate,
        customer: v.customer ?? '',
      })),
      slips: slips.map((s) => ({
        slipId: s.id,
        docket: s.docket,
        title: [s.customer || 'No name', s.vehicle, s.state].filter(Boolean).join(', '),
      })),
      batches: batches.map(({ id, ...batch }) => ({ batchId: id, ...batch })),
      measures: [...(measure?.readings ?? [])],
      measured: measured ? { ...measured.asked, how: measured.how } : null,
      onlyOf: makers.map((id) => index.makers.get(id)!),
      remark: measure?.question ?? remarkOn(query.q),
    };
  });
}
