import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIn } from '../fitment/say.ts';
import { intervalOf, KM_PER_HOUR, PRICED_OVER, sayServed } from './running-hours.ts';

const metric = sayIn('metric');

describe('an engine that stands', () => {
  test('counts its interval in hours, fifty kilometres to one where a plug’s life is held against it', () => {
    expect(intervalOf(undefined, 100)).toEqual({ km: 5000, countsIn: 'hours' });
    expect(intervalOf(60_000, undefined)).toEqual({ km: 60_000, countsIn: 'distance' });
    expect(intervalOf(undefined, undefined)).toEqual({ km: undefined, countsIn: 'distance' });
  });

  test('that is said both ways is taken by its hours: a machine has no kilometres', () => {
    expect(intervalOf(60_000, 100).countsIn).toBe('hours');
  });

  test('is told in hours, rounded down to ten, never up', () => {
    expect(sayServed(20_000, 'hours', metric)).toBe('400 h');
    expect(sayServed(20_499, 'hours', metric)).toBe('400 h');
    expect(sayServed(100_000, 'hours', metric)).toBe('2,000 h');
    expect(sayServed(350, 'hours', metric)).toBe('7 h');
    fc.assert(
      fc.property(fc.integer({ min: 500, max: 2_000_000 }), (km) => {
        const told = Number(sayServed(km, 'hours', metric).replaceAll(/[^\d]/g, ''));
        expect(told * KM_PER_HOUR).toBeLessThanOrEqual(km);
      }),
    );
  });

  test('has its cost spread over a thousand hours, as a vehicle’s over ten thousand kilometres', () => {
    expect(PRICED_OVER.hours.km).toBe(1000 * KM_PER_HOUR);
    expect(PRICED_OVER.distance.km).toBe(10_000);
  });
});
