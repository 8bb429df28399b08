import { describe, expect, test } from '@jest/globals';
import type { FactId } from '../facts/facts.ts';
import { DEFAULT_HOUSE_RULES } from '../house-rules/house-rules.ts';
import { settleRules } from '../house-rules/settle-rules.ts';
import { sheetOf } from '../testing/sheet-of.ts';
import { otherWork } from './other-work.ts';
import { STEP_ID } from './steps.ts';

const SETTLED = settleRules({ defaults: DEFAULT_HOUSE_RULES, conditional: [] }, [], {});
const work = (
  kind: Parameters<typeof otherWork>[0],
  place: Partial<Record<FactId, unknown>> = {},
  procedures: readonly string[] = [],
) => {
  const sheet = sheetOf({ 'coil.topology': 'on-plug', 'position.hasBattery': true, ...place });
  return otherWork(kind, sheet, SETTLED, procedures, [{ label: '1', sheet }]);
};
const says = (...given: Parameters<typeof work>) => work(...given).map((step) => step.says);

describe('the order of work for what is no plug', () => {
  test.each(['coil', 'lead-set', 'cap', 'rotor'] as const)(
    'a %s: cautions first, the new held beside the old, closed off',
    (kind) => {
      const steps = work(kind);
      expect(steps.slice(0, 3).every(({ caution }) => caution)).toBe(true);
      expect(steps.findIndex(({ id }) => id === 'old')).toBeLessThan(steps.findIndex(({ id }) => id === 'same'));
      expect(steps.at(-1)!.says).toMatch(/manual/);
      for (const { id } of steps) expect(id).toMatch(STEP_ID);
      expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
    },
  );

  test('the engine maker’s own procedure comes before anything; gas stays with its fitter; no battery, no battery step', () => {
    expect(says('coil', {}, ['Lock the set against remote start.'])[0]).toMatch(/Lock the set/);
    expect(says('coil', { 'position.fuel': 'gas' }).join(' ')).toMatch(/licensed gas fitter/);
    expect(says('coil', { 'position.hasBattery': false }).join(' ')).not.toMatch(/Battery negative/);
  });

  test('what was found on this vehicle stands in it: the intake with its rags, hot metal as a caution', () => {
    const found = says('coil', { 'position.comesOff': 'intake', 'position.nearHot': true }).join(' ');
    expect(found).toMatch(/every open port plugged at once, rags counted in/);
    expect(found).toMatch(/Hot metal stands beside the boots/);
    expect(says('coil').join(' ')).not.toMatch(/Hot metal|port plugged/);
  });
});
