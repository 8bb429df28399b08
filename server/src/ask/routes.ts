import type { Express } from 'express';
import { readDimensions } from '@brackenfell/core/dimensions/read-dimensions';
import { followSupersession } from '@brackenfell/core/interchange/supersession';
import { askedNumber, rankNames, type AskedNumber, type Ranked } from '@brackenfell/core/part-numbers/match-name';
import { isWorthAlike } from '@brackenfell/core/part-numbers/merely-alike';
import { LONGEST_PART_NUMBER } from '@brackenfell/core/part-numbers/normal-form';
import { mayBePlate } from '@brackenfell/core/garage/plate';
import { systemOf } from '@brackenfell/core/quantities/format-quantity';
import { readMeasure } from '@brackenfell/core/quantities/read-measure';
import { ask, askAlike, type PartAnswer } from '@brackenfell/contract/ask';
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
  const found = await findNames(db, asked, makers, true);
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

const isNear = ({ match }: Ranked<FoundName>): boolean => match.stage === 'one-edit' || match.stage === 'prefix';

/** The readings of a question, each with what is known of its part. */
async function present(
  db: Database,
  asked: AskedNumber,
  ranked: readonly Ranked<FoundName>[],
  engineId: string | undefined,
): Promise<PartAnswer[]> {
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
    ...ranked.filter((hit) => !isNear(hit)),
    ...near.filter(suits),
    ...near.filter((hit) => !suits(hit)),
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

/** The numbers that a question could be, and whether those that are merely alike are worth asking for. */
async function findParts(
  db: Database,
  asked: AskedNumber,
  makers: readonly string[],
  engineId: string | undefined,
): Promise<{ parts: PartAnswer[]; hasAlike: boolean }> {
  const ranked = rankNames(asked, await findNames(db, asked, makers, false));
  const parts = await present(db, asked, ranked.slice(0, engineId ? MOST_WEIGHED : MOST_PARTS), engineId);
  return { parts, hasAlike: isWorthAlike(asked, ranked) };
}

async function alikeParts(
  db: Database,
  asked: AskedNumber,
  makers: readonly string[],
  engineId: string | undefined,
): Promise<PartAnswer[]> {
  const alike = await findAlike(db, asked, makers);
  // Each part once, by its most alike name.
  const once = alike.filter(({ partId }, i) => alike.findIndex((name) => name.partId === partId) === i);
  const match = { stage: 'looser', distance: 1 } as const;
  return present(
    db,
    asked,
    once.map((name) => ({ name, match })),
    engineId,
  );
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

/** A question as a number of some maker, if it can be one. */
function readNumber(index: CatalogueIndex, question: string) {
  const { number, makers } = readQuestion(question, index.makers);
  const asked = askedNumber(number, index.significantSigns);
  return { asked, makers, isNumber: asked.normal.length <= LONGEST_PART_NUMBER && asked.normal !== '' };
}

const NO_NUMBER = { parts: [], hasAlike: false };

export function askRoutes(app: Express, context: Context): void {
  serve(app, context, askAlike, async ({ query, db }) => {
    const { asked, makers, isNumber } = readNumber(await context.indexes.recent(db), query.q);
    return { parts: isNumber && isWorthAlike(asked, []) ? await alikeParts(db, asked, makers, query.engine) : [] };
  });
  serve(app, context, ask, async ({ query, db, staff }) => {
    const index = await context.indexes.recent(db);
    const { asked, makers, isNumber } = readNumber(index, query.q);
    const isQuick = query.quick === 'yes';
    const byWords = findByWords(index, query.q);
    // Words that name an engine or a vehicle are not also looked for among numbers that are merely alike.
    const isAnswered = hasWord(query.q) && byWords.engines.length + byWords.vehicles.length > 0;
    const numbers = async () =>
      isQuick
        ? { parts: await suggestParts(db, asked, makers, index.makers), hasAlike: false }
        : findParts(db, asked, makers, query.engine);
    const isOfCustomers = hasWord(query.q) || isPhone(query.q) || mayBePlate(query.q);
    const [{ parts, hasAlike }, { slips, garage }, batches] = await Promise.all([
      isNumber ? numbers() : NO_NUMBER,
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
      hasAlike: hasAlike && !isAnswered,
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
