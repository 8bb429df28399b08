import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { heatOffsetSteps, type Duty } from './duty.ts';
import { classRuleOn } from './duty-facts.ts';
import { printDuty, readDuty, sayDuty } from './duty-text.ts';

const power = (powerRatio: number): Duty => ({ powerRatio });

describe('heat for a duty', () => {
  test.each([
    [1, 0],
    [1.16, 0.5],
    [1.33, 1],
    [1.66, 2],
    [2.5, 2],
  ])('the power school: output × %d asks %d colder, never more than two', (ratio, steps) => {
    expect(heatOffsetSteps('step-with-power', power(ratio), 'petrol')).toBe(steps);
    expect(heatOffsetSteps('stay-stock', power(ratio), 'petrol')).toBe(0);
  });

  test('sustained load adds half a step, inside the two', () => {
    expect(heatOffsetSteps('step-with-power', { sustainedLoad: true }, 'petrol')).toBe(0.5);
    expect(heatOffsetSteps('step-with-power', { ...power(1.66), sustainedLoad: true }, 'petrol')).toBe(2);
  });

  test('a gas conversion adds one in both schools, besides; an engine made for gas asks its own', () => {
    expect(heatOffsetSteps('stay-stock', { gasFuel: true }, 'petrol')).toBe(1);
    expect(heatOffsetSteps('step-with-power', { ...power(1.66), gasFuel: true }, 'petrol')).toBe(3);
    expect(heatOffsetSteps('stay-stock', { gasFuel: true }, 'gas')).toBe(0);
  });

  test('the larger of power and absolute intake pressure counts', () => {
    // 33.4 kPa over a naturally aspirated engine is a third more pressure.
    expect(heatOffsetSteps('step-with-power', { boostKpa: 33.44 }, 'petrol')).toBe(1);
    expect(heatOffsetSteps('step-with-power', { boostKpa: 150, factoryBoostKpa: 90 }, 'petrol')).toBe(1);
  });
});

describe('a sanctioned class', () => {
  const lists = [
    { className: 'Tarn 2', from: '2024-01-01', to: '2025-12-31', permitted: ['A'] },
    { className: 'Tarn 2', from: '2026-01-01', to: null, permitted: ['B'] },
  ];
  test('is read by the list in force on the day', () => {
    expect(classRuleOn(lists, 'Tarn 2', '2025-12-31')).toMatchObject({ kind: 'list', permitted: ['A'] });
    expect(classRuleOn(lists, 'Tarn 2', '2026-01-01')).toMatchObject({ kind: 'list', permitted: ['B'] });
    expect(classRuleOn(lists, 'Tarn 2', '2023-06-01')).toEqual({ kind: 'no-list-in-force', className: 'Tarn 2' });
    expect(classRuleOn(lists, undefined, '2026-01-01')).toEqual({ kind: 'no-class' });
  });
});

describe('a duty in an address', () => {
  test('is read back as it was said', () => {
    const duties = fc.record(
      {
        sustainedLoad: fc.constant(true),
        shortColdRuns: fc.constant(true),
        gasFuel: fc.constant(true),
        powerRatio: fc.integer({ min: 5, max: 50 }).map((n) => n / 10),
        boostKpa: fc.integer({ min: -50, max: 400 }),
        factoryBoostKpa: fc.integer({ min: 0, max: 200 }),
        className: fc.constantFrom('Tarn 1', 'Tarn 2'),
        classDate: fc.constant('2026-03-01'),
      },
      { requiredKeys: [] },
    );
    fc.assert(fc.property(duties, (duty) => expect(readDuty(printDuty(duty))).toEqual(duty)));
    expect([printDuty({}), readDuty(''), sayDuty({})]).toEqual(['', {}, 'Standard']);
  });
  test.each(['boost:much', 'power:9', 'load:yes', 'class:', 'on:yesterday', 'speed:3'])('%s is none', (text) => {
    expect(readDuty(text)).toBeUndefined();
  });
});
