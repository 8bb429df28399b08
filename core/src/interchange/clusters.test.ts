import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clusterByMember, Clusters } from './clusters.ts';
import { nearestFirst } from './neighbourhood.ts';
import { followSupersession, supersessionRings } from './supersession.ts';

const edge = (from: string, to: string, grade = 'equivalent') => ({ from, to, grade });

describe('look-alike clusters', () => {
  test('are joined by “same” and “equivalent” alone, and named for their smallest member', () => {
    const edges = [
      edge('30', '4'),
      edge('4', '5', 'same'),
      edge('5', '6', 'supersedes'),
      edge('6', '7', 'alternative'),
    ];
    expect([...clusterByMember(['4', '5', '6', '7', '30'], edges)]).toEqual([
      ['4', '4'],
      ['5', '4'],
      ['6', '6'],
      ['7', '7'],
      ['30', '4'],
    ]);
  });

  test('do not depend on the order in which references were written down', () => {
    const pairs = fc.array(fc.tuple(fc.nat(20), fc.nat(20)), { maxLength: 40 });
    fc.assert(
      fc.property(pairs, fc.nat(), (all, seed) => {
        const build = (list: readonly (readonly [number, number])[]) => {
          const clusters = new Clusters(21);
          for (const [a, b] of list) clusters.join(a, b);
          return Array.from({ length: 21 }, (_, i) => clusters.of(i));
        };
        const turned = [...all.slice(seed % (all.length || 1)), ...all.slice(0, seed % (all.length || 1))];
        expect(build(turned)).toEqual(build(all));
      }),
    );
  });

  test('a part’s neighbourhood counts the fewest references to each', () => {
    const edges = [
      { id: '1', from: 'a', to: 'b', grade: 'same' },
      { id: '2', from: 'c', to: 'b', grade: 'same' },
    ] as const;
    expect([...nearestFirst('a', edges)]).toEqual([
      ['a', 0],
      ['b', 1],
      ['c', 2],
    ]);
  });
});

describe('a superseded number', () => {
  const renamed = (from: string, to: string, condition: string | null = null) => ({ from, to, condition });

  test('leads through a chain to the one that stands', () => {
    expect(followSupersession('a', [renamed('a', 'b'), renamed('b', 'c')])).toEqual({
      kind: 'replaced',
      by: 'c',
      chain: ['b', 'c'],
    });
    expect(followSupersession('c', [renamed('a', 'b')])).toEqual({ kind: 'current' });
  });

  test('that splits asks, and without a condition nobody can decide', () => {
    const split = [renamed('a', 'b', 'to 1988'), renamed('a', 'c', 'from 1989')];
    expect(followSupersession('a', split)).toMatchObject({ kind: 'split', at: 'a', decided: true });
    const byEngine = [
      { ...split[0]!, engineIds: ['x'] },
      { ...split[1]!, engineIds: ['y'] },
    ];
    expect(followSupersession('a', byEngine, 'y')).toMatchObject({ kind: 'replaced', by: split[1]!.to });
    expect(followSupersession('a', byEngine, 'z')).toMatchObject({ kind: 'split' });
    expect(followSupersession('a', [split[0]!, renamed('a', 'c')])).toMatchObject({ kind: 'split', decided: false });
  });

  test('in a ring leads nowhere, and each ring is found once', () => {
    const ring = [renamed('1', '2'), renamed('2', '3'), renamed('3', '1'), renamed('9', '1')];
    expect(followSupersession('9', ring)).toEqual({ kind: 'loop', ring: ['1', '2', '3'] });
    expect(supersessionRings(ring)).toEqual([['1', '2', '3']]);
    expect(supersessionRings(ring.slice(0, 2))).toEqual([]);
  });
});
