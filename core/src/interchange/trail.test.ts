import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { MOST_HOPS, REFERENCE_GRADES, trailsFrom, type ReferenceEdge, type ReferenceGrade } from './trail.ts';

const edges = (...rows: [string, ReferenceGrade, string][]): ReferenceEdge[] =>
  rows.map(([from, grade, to], i) => ({ id: String(i), from, grade, to }));
const trail = (rows: ReferenceEdge[], to: string, roots = ['OE']) => trailsFrom(roots, rows).get(to);

describe('the trail from the engine maker’s number', () => {
  test('has the grade of its weakest step', () => {
    expect(trail(edges(['OE', 'same', 'A'], ['A', 'equivalent', 'B']), 'B')).toMatchObject({
      from: 'OE',
      grade: 'equivalent',
      steps: [{ to: 'A' }, { to: 'B' }],
    });
  });

  test('prefers the strongest grade to the fewest hops', () => {
    const rows = edges(['OE', 'alternative', 'B'], ['OE', 'same', 'A'], ['A', 'equivalent', 'B']);
    expect(trail(rows, 'B')?.grade).toBe('equivalent');
  });

  test('takes the shortest among equals', () => {
    const rows = edges(['OE', 'equivalent', 'A'], ['A', 'equivalent', 'B'], ['OE', 'equivalent', 'B']);
    expect(trail(rows, 'B')?.steps).toHaveLength(1);
  });

  test('walks same, equivalent, alternative and observed both ways, supersession forward only', () => {
    for (const grade of REFERENCE_GRADES) {
      expect([grade, trail(edges(['A', grade, 'OE']), 'A') !== undefined]).toEqual([grade, grade !== 'supersedes']);
      expect(trail(edges(['OE', grade, 'A']), 'A')?.grade).toBe(grade);
    }
  });

  test('is at most three hops, supersession not counted', () => {
    const chain = edges(
      ['OE', 'equivalent', 'A'],
      ['A', 'equivalent', 'B'],
      ['B', 'equivalent', 'C'],
      ['C', 'equivalent', 'D'],
    );
    expect(trail(chain, 'C')?.steps).toHaveLength(3);
    expect(trail(chain, 'D')).toBeUndefined();
    const renamed = edges(
      ['OE', 'supersedes', 'OE2'],
      ['OE2', 'same', 'A'],
      ['A', 'equivalent', 'B'],
      ['B', 'equivalent', 'C'],
    );
    expect(trail(renamed, 'C')?.steps).toHaveLength(4);
  });

  test('has at most one weak step, as its last', () => {
    expect(trail(edges(['OE', 'alternative', 'A'], ['A', 'equivalent', 'B']), 'B')).toBeUndefined();
    expect(trail(edges(['OE', 'alternative', 'A'], ['A', 'observed', 'B']), 'B')).toBeUndefined();
    expect(trail(edges(['OE', 'equivalent', 'A'], ['A', 'observed', 'B']), 'B')?.grade).toBe('observed');
    const full = edges(['OE', 'same', 'A'], ['A', 'same', 'B'], ['B', 'same', 'C'], ['C', 'alternative', 'D']);
    expect(trail(full, 'D')).toBeUndefined();
  });

  test('does not lead back to where it began, and a loop ends', () => {
    const loop = edges(['OE', 'supersedes', 'A'], ['A', 'supersedes', 'OE']);
    expect([...trailsFrom(['OE'], loop).keys()]).toEqual(['A']);
  });

  test('on any graph obeys its limits', () => {
    const node = fc.constantFrom('OE', 'A', 'B', 'C', 'D', 'E', 'F');
    const edge = fc.tuple(node, fc.constantFrom(...REFERENCE_GRADES), node);
    fc.assert(
      fc.property(fc.array(edge, { maxLength: 20 }), (rows) => {
        for (const [to, { steps }] of trailsFrom(['OE'], edges(...rows))) {
          const weak = steps.map((s) => s.grade === 'alternative' || s.grade === 'observed');
          expect(steps.filter((s) => s.grade !== 'supersedes').length).toBeLessThanOrEqual(MOST_HOPS);
          expect(weak.slice(0, -1)).not.toContain(true);
          expect(steps.at(-1)?.to).toBe(to);
        }
      }),
    );
  });
});
