import { factsOfKind, formOf, isRecordedFact } from '@brackenfell/core/facts/fact-form';
import { FACTS, knowFact, type RecordedFactId } from '@brackenfell/core/facts/facts';
import type { HeatScales } from '@brackenfell/core/facts/fact';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import { sayIn } from '@brackenfell/core/fitment/say';
import { printPrice } from '@brackenfell/core/words/money';
import type { Mending } from '@brackenfell/contract/mending';
import { formOfFact } from '@brackenfell/contract/record';
import { readNames } from '../catalogue/name-store.ts';
import { readPartRows } from '../catalogue/part-store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { printFact } from '../part/print-fact.ts';
import { canUndo } from './make-change.ts';
import { readListingsOf } from './listing-store.ts';
import { sayNameOrListing } from './names-and-listings.ts';
import { readEdges, readFigures, readHistory, readPrice, type MendingEntry, type Price } from './store.ts';

const METRIC = sayIn('metric');

const printRecorded = (fact: RecordedFactId, value: unknown, scales: HeatScales): string => {
  const known = knowFact(fact, value, scales);
  // A rating on a scale nobody has given is told by its code.
  if (known === undefined) return (value as { code: string }).code;
  return printFact(fact, known, METRIC);
};

const sayOfEdge = (edge: Awaited<ReturnType<typeof readEdges>>[number] | undefined): string =>
  edge === undefined ? 'a reference' : `${edge.grade} ${edge.direction} ${edge.printed} (${edge.source})`;

const sayOfPrice = (price: Price | null): string =>
  price === null ? 'no price' : `${printPrice(price.eachMinor)}, pack of ${price.packOf}`;

/** A part that is mended: what an engine may ask for. */
export async function partToMend(db: Database, partId: string) {
  const [part] = await readPartRows(db, [partId]);
  if (!part) return trouble('not-found', 'No part of this catalogue has that number.');
  const { kind, ...rest } = part;
  return isPartKind(kind)
    ? { ...rest, kind }
    : trouble('not-allowed-now', 'A number that is only spoken of has no figures.');
}

/** All that is recorded of a part, and what was changed of it. */
export async function showMending(context: Context, db: Database, partId: string): Promise<Mending | Trouble> {
  const part = await partToMend(db, partId);
  if (isTrouble(part)) return part;
  const [{ scales }, figures, price, entries, edges, names, listings] = await Promise.all([
    context.sheets.at(db),
    readFigures(db, partId),
    readPrice(db, partId),
    readHistory(db, partId),
    readEdges(db, partId),
    readNames(db, partId),
    readListingsOf(db, partId),
  ]);
  const sayOfFigure = (id: string): string => {
    const figure = figures.find((one) => one.id === id);
    if (!figure || !isRecordedFact(figure.attribute)) return 'a figure';
    const { attribute: fact, value, source_name: source } = figure;
    return `${FACTS[fact].label} ${printRecorded(fact, value, scales)} (${source})`;
  };
  const say = (entry: MendingEntry): string => {
    const { subject, subject_id: id, action } = entry;
    if (subject === 'price')
      return `price ${sayOfPrice(entry.after as Price)}; before ${sayOfPrice(entry.before as Price | null)}`;
    const what =
      subject === 'figure'
        ? sayOfFigure(id)
        : subject === 'reference'
          ? sayOfEdge(edges.find((edge) => edge.id === id))
          : sayNameOrListing(entry);
    return `${what}: ${action}`;
  };
  return {
    partId,
    printed: part.printed,
    maker: part.maker,
    kind: part.kind,
    facts: factsOfKind(part.kind).map((fact) => {
      const form = formOf(fact);
      return {
        fact,
        label: FACTS[fact].label,
        question: FACTS[fact].question,
        form:
          form === undefined
            ? { kind: 'parts' as const, of: formOfFact(fact) }
            : form.kind === 'heat'
              ? { kind: 'heat' as const, scales: [...scales].map(([maker, { maker: name }]) => ({ maker, name })) }
              : form.kind === 'choose'
                ? { kind: 'choose' as const, options: [...form.options] }
                : form,
        figures: figures
          .filter((figure) => figure.attribute === fact && figure.withdrawn_at === null)
          .map((figure) => ({
            figureId: figure.id,
            value: printRecorded(fact, figure.value, scales),
            rank: figure.source_rank,
            source: figure.source_name,
            rules: figure.rules === true,
          })),
      };
    }),
    references: edges
      .filter(({ is_cut }) => !is_cut)
      .map((edge) => ({
        edgeId: edge.id,
        direction: edge.direction,
        grade: edge.grade,
        printed: edge.printed,
        maker: edge.maker,
        source: edge.source,
        notedOn: edge.noted_on,
        inForceFrom: edge.in_force_from,
      })),
    names: names.map(({ id, kind, printed }) => ({ nameId: id, as: kind, printed })),
    listings: listings.map((one) => ({
      listingId: one.id,
      engineId: one.engine_id,
      engine: `${one.engineMaker} ${one.code}`,
      place: one.place,
      source: one.source,
      statedOn: one.stated_on,
      builtFrom: one.built_from,
      builtTo: one.built_to,
    })),
    price,
    history: entries.map((entry) => ({
      entryId: entry.id,
      at: entry.at.toISOString(),
      by: entry.by,
      says: say(entry),
      canUndo: canUndo(entry, price),
    })),
  };
}
