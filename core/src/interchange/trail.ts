/** Grades of a reference, strongest first. References: Grades. */
export const REFERENCE_GRADES = ['same', 'supersedes', 'equivalent', 'alternative', 'observed'] as const;
export type ReferenceGrade = (typeof REFERENCE_GRADES)[number];

/** One directed statement that links two numbers. For `supersedes`, `from` is the old number and `to` its successor. */
export interface ReferenceEdge {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly grade: ReferenceGrade;
}

export interface TrailStep {
  readonly edgeId: string;
  readonly grade: ReferenceGrade;
  /** The number this step arrives at. */
  readonly to: string;
}

/** A chain of references from a number the engine maker names to a candidate; its grade is its weakest step. */
export interface Trail {
  readonly from: string;
  readonly grade: ReferenceGrade;
  readonly steps: readonly TrailStep[];
}

export const MOST_HOPS = 3;

const rank = (grade: ReferenceGrade): number => REFERENCE_GRADES.indexOf(grade);
/** Statements that say less than "fits the same": they point somewhere, but nothing rests on them. */
export const isWeak = (grade: ReferenceGrade): boolean => grade === 'alternative' || grade === 'observed';
/** Supersession is a maker's renaming, so walking it costs no hop. References: Trails. */
const hopCost = (grade: ReferenceGrade): number => (grade === 'supersedes' ? 0 : 1);

interface Reached {
  readonly root: string;
  readonly at: string;
  readonly hops: number;
  readonly steps: readonly TrailStep[];
}

type Neighbours = ReadonlyMap<string, readonly TrailStep[]>;

/** Both ways for every grade but supersession, which only leads forward. */
function neighboursOf(edges: readonly ReferenceEdge[]): Neighbours {
  const map = new Map<string, TrailStep[]>();
  const add = (from: string, step: TrailStep) => {
    const steps = map.get(from);
    if (steps) steps.push(step);
    else map.set(from, [step]);
  };
  for (const { id, from, to, grade } of edges) {
    add(from, { edgeId: id, grade, to });
    if (grade !== 'supersedes') add(to, { edgeId: id, grade, to: from });
  }
  return map;
}

const weakest = (steps: readonly TrailStep[]): ReferenceGrade =>
  steps.reduce<ReferenceGrade>((worst, step) => (rank(step.grade) > rank(worst) ? step.grade : worst), 'same');

/** Shortest walks from the roots over steps no weaker than `floor`, in hops, within the hop limit. */
function walk(roots: readonly string[], neighbours: Neighbours, floor: ReferenceGrade): Map<string, Reached> {
  const settled = new Map<string, Reached>();
  let level: Reached[] = roots.map((root) => ({ root, at: root, hops: 0, steps: [] }));
  while (level.length > 0) {
    const next: Reached[] = [];
    // The level grows while it is walked: a supersession costs no hop, so its end belongs to the same level.
    for (const here of level) {
      if (settled.has(here.at)) continue;
      settled.set(here.at, here);
      for (const step of neighbours.get(here.at) ?? []) {
        if (rank(step.grade) > rank(floor) || settled.has(step.to)) continue;
        const hops = here.hops + hopCost(step.grade);
        if (hops > MOST_HOPS) continue;
        const onward = { root: here.root, at: step.to, hops, steps: [...here.steps, step] };
        if (hops === here.hops) level.push(onward);
        else next.push(onward);
      }
    }
    level = next;
  }
  return settled;
}

/**
 * The best trail from any root number to every number within reach: strongest grade first, then fewest hops.
 * At most three hops, and at most one `alternative` or `observed`, as the last. References: Trails.
 */
export function trailsFrom(roots: readonly string[], edges: readonly ReferenceEdge[]): Map<string, Trail> {
  const neighbours = neighboursOf(edges);
  const trails = new Map<string, Trail>();
  const keep = ({ root, at, steps }: Reached) => {
    if (steps.length === 0 || trails.has(at)) return;
    trails.set(at, { from: root, grade: weakest(steps), steps });
  };
  let trusted = new Map<string, Reached>();
  for (const floor of ['same', 'supersedes', 'equivalent'] as const) {
    trusted = walk(roots, neighbours, floor);
    for (const reached of trusted.values()) keep(reached);
  }
  for (const grade of ['alternative', 'observed'] as const) {
    const ends = [...trusted.values()]
      .filter((reached) => reached.hops < MOST_HOPS)
      .flatMap((reached) =>
        (neighbours.get(reached.at) ?? [])
          .filter((step) => step.grade === grade)
          .map((step) => ({
            root: reached.root,
            at: step.to,
            hops: reached.hops + 1,
            steps: [...reached.steps, step],
          })),
      )
      .sort((a, b) => a.hops - b.hops);
    for (const end of ends) if (!roots.includes(end.at)) keep(end);
  }
  return trails;
}

/** Whether a trail rests on a link that is only an alternative or an observation, and so earns advice at most. */
export const restsOnWeakLink = (trail: Trail): boolean => isWeak(trail.grade);
