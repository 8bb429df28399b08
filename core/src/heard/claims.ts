import type { Say } from '../fitment/say.ts';
import type { Span } from '../facts/fact-shapes.ts';
import { chosenSchool, type HouseRules } from '../house-rules/house-rules.ts';
import { breakdownKv, electrodeFactor } from '../spark-demand/demand.ts';
import { printPrice } from '../words/money.ts';

/** How a claim is answered: by a check of the catalogue or shop, by a sum with this engine's figures, or not at all. */
export const CLAIM_BASES = ['check', 'sum', 'unknown'] as const;
export type ClaimBasis = (typeof CLAIM_BASES)[number];
export const BASIS_WORDS: Readonly<Record<ClaimBasis, string>> = {
  check: 'By a check',
  sum: 'By a sum',
  unknown: 'We do not know',
};

/** What is known of the engine on the slip; everything undefined without one. */
export interface ClaimFigures {
  readonly gapMm: Span | undefined;
  readonly rules: HouseRules;
  /** Plugs that could be sold, what a set costs before tax and how long it lasts. */
  readonly options: readonly { readonly printed: string; readonly setMinor: number; readonly lastsKm: number }[];
}

interface Claim {
  readonly says: string;
  /** Other words a customer has for it. */
  readonly words: string;
  readonly basis: ClaimBasis;
  readonly answer: (figures: ClaimFigures, say: Say) => string | undefined;
}

/** Charge at the spark of an ordinary engine at full load, against outside air. */
const USUAL_DENSITY = 7;
const WIDER_MM = 0.2;
const NEW = { lifeUsed: 0 } as const;
const percent = (share: number): string => `${Math.round(share * 100)}%`;

/**
 * What customers bring, each with its answer: a check, a sum, or that we do not know; never what is only told. A sum is
 * undefined while its figures are not known. Old parts: Heard at the counter.
 */
export const CLAIMS = {
  'precious-strains-coils': {
    says: 'Precious tips strain the coil',
    words: 'iridium platinum fine wire coil dies',
    basis: 'sum',
    answer: () => {
      const less = 1 - electrodeFactor({ tip: 'fine-wire', ...NEW }) / electrodeFactor({ tip: 'nickel', ...NEW });
      return `The other way round: at the same gap a new fine wire asks ${percent(less)} less voltage than new nickel. What strains a coil is the gap as it grows.`;
    },
  },
  'dearest-is-best': {
    says: 'The dearest is the best',
    words: 'expensive price quality cheap',
    basis: 'sum',
    answer: ({ options }, say) => {
      const priced = options.filter(({ lastsKm }) => lastsKm > 0);
      const dearest = [...priced].sort((a, b) => b.setMinor - a.setMinor)[0];
      const perKm = ({ setMinor, lastsKm }: (typeof priced)[number]) => setMinor / lastsKm;
      const cheapest = [...priced].sort((a, b) => perKm(a) - perKm(b))[0];
      if (!dearest || !cheapest || priced.length < 2) return undefined;
      const per = (option: (typeof priced)[number]) => printPrice(Math.round(perKm(option) * 10_000));
      return dearest === cheapest
        ? `Here it is: ${dearest.printed} costs ${per(dearest)} for ${say.quantity('distance', 10_000)}, and no other less.`
        : `Not here: ${dearest.printed} costs ${per(dearest)} for ${say.quantity('distance', 10_000)}, ${cheapest.printed} ${per(cheapest)}. Whether it fits is another matter: see its checks.`;
    },
  },
  'grease-everything': {
    says: 'Grease everything',
    words: 'copper paste silicone boots threads anti-seize',
    basis: 'check',
    answer: ({ rules }) =>
      `By place: ${chosenSchool(rules, 'grease').says.toLowerCase()}; thread compound: ${chosenSchool(rules, 'threadCompound').says.toLowerCase()}; nothing that conducts near a boot. The hand-over lists every place, and the maker’s instruction stands above.`,
  },
  'wide-gap-for-power': {
    says: 'A wider gap gives more power',
    words: 'open gap bigger spark horsepower',
    basis: 'sum',
    answer: ({ gapMm }, say) => {
      if (!gapMm) return undefined;
      const more = breakdownKv(gapMm.high + WIDER_MM, USUAL_DENSITY) / breakdownKv(gapMm.high, USUAL_DENSITY) - 1;
      return `This engine asks ${say.span('gap', gapMm)}. ${say.quantity('gap', WIDER_MM)} wider asks about ${percent(more)} more voltage of its coil, by our estimate; power it does not ask for, and a misfire costs it.`;
    },
  },
  'all-coils-when-one-fails': {
    says: 'When one coil fails, change them all',
    words: 'set of coils one broken',
    basis: 'check',
    answer: ({ rules }) => {
      const { says, argument } = chosenSchool(rules, 'oneOrAllCoils');
      return `The shop’s rule: ${says.toLowerCase()}. ${argument} A swap test says which one first; revisions that may not be mixed are not mixed.`;
    },
  },
  'cleaner-brings-them-back': {
    says: 'A cleaner brings them back',
    words: 'additive wire brush sandblast clean old plugs',
    basis: 'unknown',
    answer: () =>
      'We do not know that it does: nothing we hold measures it. What we can measure is the gap, and no cleaner closes it; no wire brush on a fine or precious tip.',
  },
} as const satisfies Readonly<Record<string, Claim>>;

export type ClaimId = keyof typeof CLAIMS;
export const CLAIM_IDS = Object.keys(CLAIMS) as readonly ClaimId[];

/** The answer of a claim with what is known here; a sum without its figures says which engine it needs. */
export const answerClaim = (id: ClaimId, figures: ClaimFigures, say: Say): string =>
  CLAIMS[id].answer(figures, say) ??
  'A sum with the figures of an engine: choose the engine, or one whose figures are known.';

/** Whether a claim answers to words: each of them stands in it, or in other words for it. */
export const claimAnswersTo = (says: string, words: string, question: string): boolean =>
  question
    .toLowerCase()
    .split(/\s+/)
    .every((word) => `${says} ${words}`.toLowerCase().includes(word));
