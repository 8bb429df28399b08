import { describe, expect, test } from '@jest/globals';
import { capTowers, wasteSparkPairs, type EnginePlan } from '../engine-plan/engine-plan.ts';
import { readMisfireCode, sayWhere } from './misfire-code.ts';
import { DEFAULT_HOUSE_RULES } from '../house-rules/house-rules.ts';
import { conclude, planSwap } from './swap-test.ts';

const four: EnginePlan = { banks: [{ label: 'front to rear', cylinders: [1, 2, 3, 4] }], firingOrder: [1, 3, 4, 2] };
const vee: EnginePlan = {
  banks: [
    { label: 'rear bank', cylinders: [1, 3, 5] },
    { label: 'front bank', cylinders: [2, 4, 6] },
  ],
  firingOrder: [1, 2, 3, 4, 5, 6],
};

describe('a misfire code', () => {
  test('names its cylinder by the last two digits, and 00 means several', () => {
    expect(readMisfireCode('X0303', four)).toEqual({ kind: 'cylinder', cylinder: 3 });
    expect(readMisfireCode('cylinder 2', four)).toEqual({ kind: 'cylinder', cylinder: 2 });
    expect(readMisfireCode('X0300', four)).toEqual({ kind: 'several' });
    expect(readMisfireCode('X0306', four)).toEqual({ kind: 'no-such-cylinder', cylinder: 6 });
    expect(readMisfireCode('lamp on', four)).toEqual({ kind: 'unreadable' });
  });

  test('is found by the engine’s own numbering: cylinder 3 of the V6 stands second on the rear bank', () => {
    expect(sayWhere(vee, 3)).toBe('rear bank, second from the front');
    expect(sayWhere(four, 3)).toBe('third from the front');
  });
});

describe('the pairs of a waste-spark pack', () => {
  test('stand half the firing order apart', () => {
    expect(wasteSparkPairs(four.firingOrder)).toEqual([
      [1, 4],
      [3, 2],
    ]);
    expect(() => wasteSparkPairs([1, 2, 3])).toThrow(RangeError);
  });
});

describe('the towers of a cap', () => {
  test('follow the firing order in the rotor’s way round from the first', () => {
    const angles = (rotation: 'clockwise' | 'anticlockwise') =>
      capTowers({ ...four, rotation }, 30).map(({ cylinder, angleDeg }) => [cylinder, angleDeg]);
    expect(angles('clockwise')).toEqual([
      [1, 30],
      [3, 120],
      [4, 210],
      [2, 300],
    ]);
    expect(angles('anticlockwise').map(([, angle]) => angle)).toEqual([30, 300, 210, 120]);
  });
});

describe('a swap test', () => {
  test('moves the coil first, to the nearest cylinder of the same bank', () => {
    expect(planSwap(vee, 3, 'coil-each')).toEqual([
      { move: 'coil', from: 3, to: 1 },
      { move: 'plug', from: 3, to: 1 },
    ]);
  });
  test('never with a cylinder that has a code too, nor with the waste-spark partner', () => {
    expect(planSwap(vee, 3, 'coil-each', [1])[0]!.to).toBe(5);
    // 2 fires with 3, 1 with 4.
    expect(planSwap(four, 3, 'pack').map(({ move, to }) => [move, to])).toEqual([
      ['lead', 4],
      ['plug', 4],
    ]);
  });
  test('is not possible where there is no other cylinder', () => {
    expect(planSwap({ banks: [{ label: 'x', cylinders: [1] }], firingOrder: [1] }, 1, 'single-lead')).toEqual([]);
  });

  const steps = planSwap(four, 3, 'coil-each');
  test('that the code follows with the coil sells one coil and no plugs yet', () => {
    const { blamed, settled, sell, notYet } = conclude(steps, ['followed'], DEFAULT_HOUSE_RULES);
    expect([blamed, settled, sell[0], notYet]).toEqual([
      'coil',
      true,
      'one coil, of the revision that stays in the engine',
      ['plugs', 'leads'],
    ]);
  });
  test('that followed with the plug blames the plug, not the coil before it', () => {
    expect(conclude(steps, ['stayed', 'followed'], DEFAULT_HOUSE_RULES).blamed).toBe('plug');
  });
  test('sells nothing while a swap is open, when one told nothing, or when all stayed', () => {
    expect(conclude(steps, ['stayed'], DEFAULT_HOUSE_RULES)).toMatchObject({ settled: false, sell: [] });
    expect(conclude(steps, ['cannot-tell', 'stayed'], DEFAULT_HOUSE_RULES)).toMatchObject({ settled: false, sell: [] });
    const stayed = conclude(steps, ['stayed', 'stayed'], DEFAULT_HOUSE_RULES);
    expect(stayed).toMatchObject({ settled: true, blamed: null, sell: [], notYet: ['coils', 'plugs'] });
    expect(stayed.says).toMatch(/injector/);
  });
});

test('how many are sold for one that failed is the shop’s rule', () => {
  const steps = [{ move: 'lead', from: 2, to: 3 } as const];
  const sold = (oneOrAllLeads: 'all' | 'bank' | 'failed-one') =>
    conclude(steps, ['followed'], { ...DEFAULT_HOUSE_RULES, oneOrAllLeads }).sell[0];
  expect([sold('all'), sold('bank')]).toEqual(['a set of leads', 'the leads of that bank']);
  expect(sold('failed-one')).toMatch(/^one lead, .*aged set/);
});

test('where each cylinder has a coil and a lead, the lead is swapped after coil and plug', () => {
  const plan = { banks: [{ cylinders: [1, 2, 3, 4] }], firingOrder: [1, 3, 4, 2] } as unknown as Parameters<
    typeof planSwap
  >[0];
  expect(planSwap(plan, 2, 'coil-with-lead').map(({ move }) => move)).toEqual(['coil', 'plug', 'lead']);
});

test('a code of another fault is no misfire code, whatever digits it ends in', () => {
  const plan = { banks: [{ cylinders: [1, 2, 3, 4] }], firingOrder: [1, 3, 4, 2] } as unknown as Parameters<
    typeof readMisfireCode
  >[1];
  expect(readMisfireCode('P0302', plan)).toEqual({ kind: 'cylinder', cylinder: 2 });
  expect(readMisfireCode('p 0302', plan)).toEqual({ kind: 'cylinder', cylinder: 2 });
  expect(readMisfireCode('P0402', plan)).toEqual({ kind: 'other-fault' });
  expect(readMisfireCode('U0101', plan)).toEqual({ kind: 'other-fault' });
});
