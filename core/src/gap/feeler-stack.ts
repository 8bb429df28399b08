import type { Span } from '../facts/fact-shapes.ts';

/** Blades laid together, thickest first, with their sum. Thickness in mm. */
export interface FeelerStack {
  readonly bladesMm: readonly number[];
  readonly sumMm: number;
  /** Sum less target; 0 for a pair, which has no target. */
  readonly errorMm: number;
}

/** What the blades owned make of a single gap. */
export type FeelerAnswer =
  | { readonly kind: 'hit'; readonly stack: FeelerStack }
  /** Nothing owned comes close enough: the nearest on either side. */
  | { readonly kind: 'near'; readonly below: FeelerStack | null; readonly above: FeelerStack | null };

/** More blades than this spring apart and read thick. Gap and wear: Feelers. */
const MOST_BLADES = 3;
const HIT_MM = 0.01;
/** How far past an end of a range its go and its no-go may lie. */
const PAIR_MM = 0.02;
const EPSILON = 1e-9;

const round = (mm: number): number => Number(mm.toFixed(6));

/** Every stack of one to three blades, each blade once. */
function stacksOf(bladesMm: readonly number[]): readonly (readonly number[])[] {
  const sorted = [...bladesMm].sort((a, b) => b - a);
  const stacks: number[][] = [];
  const grow = (stack: number[], from: number) => {
    if (stack.length > 0) stacks.push(stack);
    if (stack.length === MOST_BLADES) return;
    for (let i = from; i < sorted.length; i += 1) grow([...stack, sorted[i]!], i + 1);
  };
  grow([], 0);
  return stacks;
}

const sumOf = (stack: readonly number[]): number => round(stack.reduce((sum, mm) => sum + mm, 0));

/** Fewest blades first, then least error, then thicker blades. */
function better(a: FeelerStack, b: FeelerStack): FeelerStack {
  const by =
    a.bladesMm.length - b.bladesMm.length ||
    round(Math.abs(a.errorMm) - Math.abs(b.errorMm)) ||
    b.bladesMm[0]! - a.bladesMm[0]!;
  return by <= 0 ? a : b;
}

const best = (stacks: readonly FeelerStack[]): FeelerStack | undefined =>
  stacks.length === 0 ? undefined : stacks.reduce(better);

const stacksAgainst = (bladesMm: readonly number[], targetMm: number): readonly FeelerStack[] =>
  stacksOf(bladesMm).map((stack) => {
    const sumMm = sumOf(stack);
    return { bladesMm: stack, sumMm, errorMm: round(sumMm - targetMm) };
  });

/** The fewest blades owned that make a gap within 0.01 mm, or the nearest on either side. Gap and wear: Feelers. */
export function feelerStack(bladesMm: readonly number[], targetMm: number): FeelerAnswer {
  const stacks = stacksAgainst(bladesMm, targetMm);
  const hit = best(stacks.filter(({ errorMm }) => Math.abs(errorMm) <= HIT_MM + EPSILON));
  if (hit) return { kind: 'hit', stack: hit };
  const nearest = (side: readonly FeelerStack[]): FeelerStack | null => {
    const least = Math.min(...side.map(({ errorMm }) => Math.abs(errorMm)));
    return best(side.filter(({ errorMm }) => Math.abs(errorMm) <= least + EPSILON)) ?? null;
  };
  return {
    kind: 'near',
    below: nearest(stacks.filter(({ errorMm }) => errorMm < 0)),
    above: nearest(stacks.filter(({ errorMm }) => errorMm > 0)),
  };
}

/**
 * Two stacks that tell a gap inside its range from one outside: the go enters, the no-go does not. Each null where nothing
 * owned lies within 0.02 mm past its end. Gap and wear: Feelers.
 */
export function goNoGo(
  bladesMm: readonly number[],
  { low, high }: Span,
): { readonly go: FeelerStack | null; readonly noGo: FeelerStack | null } {
  const go = stacksAgainst(bladesMm, low).filter(({ errorMm }) => errorMm >= -EPSILON && errorMm <= PAIR_MM + EPSILON);
  const noGo = stacksAgainst(bladesMm, high).filter(({ errorMm }) => errorMm > EPSILON && errorMm <= PAIR_MM + EPSILON);
  return { go: best(go) ?? null, noGo: best(noGo) ?? null };
}
