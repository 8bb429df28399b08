import { describe, expect, test } from '@jest/globals';
import type { EnginePlan } from '@brackenfell/contract/engine-plan';
import { layOutPlan, leadPath } from '../leads/lead-plan-geometry.ts';
import { planPlaces } from './plan-geometry.ts';

const FOUR: EnginePlan = { banks: [{ label: '', cylinders: [1, 2, 3, 4] }], firingOrder: [1, 3, 4, 2] };
const FLAT: EnginePlan = {
  banks: [
    { label: 'left', cylinders: [2, 4] },
    { label: 'right', cylinders: [1, 3] },
  ],
  firingOrder: [1, 3, 2, 4],
};

describe('cylinders drawn as they stand', () => {
  test('in one row run from the front at the left to the rear', () => {
    const { cylinders, widthPx } = planPlaces(FOUR);
    const xs = [1, 2, 3, 4].map((cylinder) => cylinders.get(cylinder)![0]);
    expect([...xs].sort((a, b) => a - b)).toEqual(xs);
    expect(new Set([1, 2, 3, 4].map((cylinder) => cylinders.get(cylinder)![1])).size).toBe(1);
    expect(Math.max(...xs)).toBeLessThan(widthPx);
  });

  test('of a flat engine stand in two rows, the right one a little aft', () => {
    const { cylinders, heightPx, radiusPx } = planPlaces(FLAT);
    expect(cylinders.get(1)![1]).toBeGreaterThan(cylinders.get(2)![1] + 2 * radiusPx);
    expect(cylinders.get(1)![0]).toBeGreaterThan(cylinders.get(2)![0]);
    expect(cylinders.get(1)![1] + radiusPx).toBeLessThan(heightPx);
  });

  test.each([
    ['a row of four', FOUR],
    ['a flat four', FLAT],
  ])('with their leads, %s keeps every cylinder inside and clear of its neighbours', (_, plan) => {
    const size = { widthPx: 420, heightPx: 200 };
    const { cylinders, source, radiusPx } = layOutPlan(plan, size);
    const places = [...cylinders.values()];
    for (const [x, y] of places) {
      expect(x - radiusPx).toBeGreaterThan(source[0]);
      expect(x + radiusPx).toBeLessThanOrEqual(size.widthPx);
      expect(y - radiusPx > 0 && y + radiusPx < size.heightPx).toBe(true);
    }
    for (const [i, a] of places.entries())
      for (const b of places.slice(i + 1)) expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThan(2 * radiusPx);
  });

  test('a lead begins at its tower and ends at its plug', () => {
    expect(leadPath([10, 20], [110, 60], 8)).toMatch(/^M10 20C.* 110 60$/);
  });
});
