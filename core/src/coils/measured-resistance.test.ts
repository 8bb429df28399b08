import { describe, expect, test } from '@jest/globals';
import { at20C, judgeReading } from './measured-resistance.ts';

describe('a coil’s winding, measured', () => {
  const cold = { readOhm: 0.7, shortedOhm: 0.2, coilTempC: 20, meterErrorOhm: 0.01 };

  test('is counted without the meter’s leads', () => {
    expect(at20C(cold)).toBeCloseTo(0.5, 6);
  });

  test('reads higher hot: 0.5 Ω of copper is 0.6179 Ω at 80 °C and is brought back', () => {
    expect(at20C({ ...cold, readOhm: 0.2 + 0.5 * (1 + 0.00393 * 60), coilTempC: 80 })).toBeCloseTo(0.5, 6);
    expect(judgeReading({ ...cold, readOhm: 0.8179, coilTempC: 80 }, { low: 0.45, high: 0.55 }).verdict).toBe('inside');
    expect(judgeReading({ ...cold, readOhm: 0.8179, coilTempC: 20 }, { low: 0.45, high: 0.55 }).verdict).toBe(
      'too-high',
    );
  });

  test('cannot be told by a meter that errs by 0.1 Ω on 0.5 Ω', () => {
    const rough = { ...cold, meterErrorOhm: 0.1 };
    expect(judgeReading(rough, { low: 0.45, high: 0.55 }).verdict).toBe('cannot-tell');
    expect(judgeReading({ ...rough, readOhm: 9 }, { low: 0.45, high: 0.55 }).verdict).toBe('cannot-tell');
  });

  test('can be told as long as the error is no more than half the tolerance', () => {
    const stated = { low: 0.45, high: 0.55 };
    expect(judgeReading({ ...cold, meterErrorOhm: 0.025 }, stated).verdict).toBe('inside');
    expect(judgeReading({ ...cold, meterErrorOhm: 0.026 }, stated).verdict).toBe('cannot-tell');
    expect(judgeReading({ ...cold, readOhm: 0.6 }, stated).verdict).toBe('too-low');
  });
});
