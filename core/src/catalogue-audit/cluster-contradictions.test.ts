import { describe, expect, test } from '@jest/globals';
import type { ReferenceEdge } from '../interchange/trail.ts';
import { clusterContradictions } from './cluster-contradictions.ts';
import { CLUSTER_RULES, OTHER_RULES, ruleOf, type AuditedPlug } from './rules.ts';

const edge = (id: string, from: string, to: string): ReferenceEdge => ({ id, from, to, grade: 'equivalent' });
const REACH: Record<string, number | undefined> = { a: 19, b: 19, c: 26.5, oe: undefined, oe2: undefined };
const find = (edges: readonly ReferenceEdge[]) =>
  clusterContradictions(
    Object.keys(REACH),
    edges,
    (member) => REACH[member] !== undefined,
    (x, y) => (REACH[x] === undefined || REACH[y] === undefined ? undefined : REACH[x] !== REACH[y]),
  );

describe('contradictions within a cluster', () => {
  test('name the reference that joins what differs, and all lists that say it', () => {
    const found = find([edge('1', 'a', 'b'), edge('2', 'b', 'c'), edge('3', 'c', 'b')]);
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ a: 'b', b: 'c', edges: ['2', '3'] });
  });

  test('are seen across numbers that have no thread of their own, the odd one against the many', () => {
    const found = find([edge('1', 'oe', 'a'), edge('2', 'oe', 'b'), edge('3', 'oe', 'oe2'), edge('4', 'c', 'oe2')]);
    expect(found).toHaveLength(1);
    expect(found[0]!.a).toBe('c');
    expect(found[0]!.path.map(({ edge: step }) => step.id)).toEqual(['4', '3', '1']);
  });

  test('are one a pair, though two numbers of the engine maker join the same two plugs', () => {
    const two = [edge('1', 'oe', 'a'), edge('2', 'oe', 'c'), edge('3', 'oe2', 'a'), edge('4', 'oe2', 'c')];
    const found = find(two);
    expect(found).toHaveLength(1);
    expect([...found[0]!.edges].sort()).toEqual(['1', '2', '3', '4']);
    const withList = find([...two, edge('5', 'a', 'c')]);
    expect(withList.map(({ path }) => path.map(({ edge: step }) => step.id))).toEqual([['5']]);
  });

  test('are none where all agree or nothing is known', () => {
    expect(find([edge('1', 'a', 'b'), edge('2', 'a', 'oe')])).toEqual([]);
  });
});

describe('audit rules', () => {
  const plug: AuditedPlug = {
    threadDiameterMm: 14,
    threadPitchMm: 1.25,
    reachMm: 19,
    seat: 'gasket-fixed',
    hexMm: 16,
    resistor: 'value',
    heatIndexBar: 15.5,
    heatStepBar: 1.4,
  };
  const differs = (id: string, other: Partial<AuditedPlug>) =>
    CLUSTER_RULES.find((rule) => rule.id === id)!.differs(plug, { ...plug, ...other });

  test.each<[string, Partial<AuditedPlug>, boolean]>([
    ['thread-differs', { threadPitchMm: 1.5 }, true],
    ['thread-differs', { threadPitchMm: null }, false],
    ['reach-differs', { reachMm: 19.3 }, false],
    ['reach-differs', { reachMm: 19.4 }, true],
    ['seat-differs', { seat: 'gasket-loose' }, false],
    ['seat-differs', { seat: 'taper' }, true],
    ['hex-differs', { hexMm: 15.875 }, false],
    ['hex-differs', { hexMm: 20.8 }, true],
    ['resistor-differs', { resistor: 'present' }, false],
    ['resistor-differs', { resistor: 'none' }, true],
    ['heat-differs', { heatIndexBar: 17.1, heatStepBar: 1.8 }, false], // within the larger maker's step
    ['heat-differs', { heatIndexBar: 17.1, heatStepBar: 1.2 }, true],
  ])('%s with %j: %s', (id, other, outcome) => {
    expect(differs(id, other)).toBe(outcome);
  });

  test('all have a title and say what comes of it', () => {
    for (const id of [...CLUSTER_RULES.map((rule) => rule.id), ...Object.keys(OTHER_RULES)])
      expect(ruleOf(id)!.consequence.length).toBeGreaterThan(20);
    expect(ruleOf('of a release gone by')).toBeUndefined();
  });
});
