import type { z } from 'zod';
import type { HeatScale } from '../heat-range/heat-scale.ts';
import type { DisplayKind } from '../quantities/format-quantity.ts';
import type { FactAnswer } from './fact-answers.ts';

/** Heat scales by the key of their maker. */
export type HeatScales = ReadonlyMap<string, HeatScale>;

interface Told {
  readonly label: string;
  /** The question or measurement that obtains it, addressed to whoever stands at the counter. */
  readonly question: string;
  /** How a plain number of it is printed. */
  readonly printedAs?: DisplayKind;
}

/** A fact that a catalogue records. */
export interface Recorded<S extends z.ZodType> extends Told {
  /** What a value looks like in files, on the wire and in the database. */
  readonly recorded: S;
  /** How it is answered where its question stands; left out for what is looked up or asked of the maker. */
  readonly answer?: FactAnswer;
}

/** One whose recorded value has to be read before core can judge by it. */
export interface Rated<S extends z.ZodType, K> extends Recorded<S> {
  /** Undefined where it is on no scale that is known. */
  readonly know: (recorded: z.infer<S>, scales: HeatScales) => K | undefined;
}

/** A fact of today and this job, settled by the shop, the customer or the slip: no catalogue records it. */
export interface Settled<K> extends Told {
  /** Never there: it carries the type. */
  readonly settles?: K;
}

/** A fact as it is declared, once: its types, storage, forms and help are read from here. */
export interface AnyFact extends Told {
  readonly recorded?: z.ZodType;
  readonly answer?: FactAnswer;
  readonly know?: (recorded: never, scales: HeatScales) => unknown;
}

export const fact = <S extends z.ZodType>(declared: Recorded<S>): Recorded<S> => declared;
export const rated = <S extends z.ZodType, K>(declared: Rated<S, K>): Rated<S, K> => declared;
export const settled = <K>(declared: Omit<Told, 'printedAs'>): Settled<K> => declared;

/** What a recorded value of a fact looks like. */
export type RecordedOf<F> = F extends Recorded<infer S> ? z.infer<S> : never;
/** What core judges by. */
export type KnownOf<F> =
  F extends Rated<z.ZodType, infer K>
    ? K
    : F extends Recorded<infer S>
      ? z.infer<S>
      : F extends Settled<infer K>
        ? K
        : never;
