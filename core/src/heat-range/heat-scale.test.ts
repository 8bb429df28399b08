import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { indexAt, placeOnScale, stepsFromRatings, type HeatScale } from './heat-scale.ts';

const scale = (codes: readonly string[], bars: readonly number[]): HeatScale => ({
  maker: 'Example',
  ratings: codes.map((code, i) => ({ code, indexBar: bars[i]! })),
});
const colderUpward = scale(['57', '59', '61', '63', '65'], [11.8, 13, 14.2, 15.5, 16.9]);
const hotterUpward = scale(['60', '55', '50', '45', '40'], [11.6, 12.8, 14, 15.4, 16.8]);

describe('heat in steps of the required maker’s own scale', () => {
  test('one rating colder is one step, whichever way the numbers run', () => {
    expect(stepsFromRatings(colderUpward, [15.5], 16.9).stepsColder).toBe(1);
    expect(stepsFromRatings(hotterUpward, [14], 15.4).stepsColder).toBe(1);
    expect(stepsFromRatings(hotterUpward, [14], 12.8).stepsColder).toBe(-1);
  });

  test('between ratings it is interpolated on the candidate’s side', () => {
    expect(stepsFromRatings(colderUpward, [15.5], 16.2).stepsColder).toBeCloseTo(0.5);
    expect(stepsFromRatings(colderUpward, [15.5], 14.85).stepsColder).toBeCloseTo(-0.5);
  });

  test('a place on the scale gives back its index, past either end too', () => {
    fc.assert(
      fc.property(fc.double({ min: 9, max: 20, noNaN: true }), (bar) => {
        expect(indexAt(colderUpward, placeOnScale(colderUpward, bar).steps)).toBeCloseTo(bar, 6);
      }),
    );
  });

  test('past the scale’s end the last step is repeated, and said so', () => {
    expect(stepsFromRatings(colderUpward, [16.9], 18.3)).toEqual({ stepsColder: 1, beyondEnd: true });
    expect(stepsFromRatings(colderUpward, [11.8], 10.6)).toEqual({ stepsColder: -1, beyondEnd: true });
  });

  test('inside a set of ratings there is no difference; outside it counts from the nearest', () => {
    expect(stepsFromRatings(colderUpward, [14.2, 15.5], 15).stepsColder).toBe(0);
    expect(stepsFromRatings(colderUpward, [14.2, 15.5], 16.9).stepsColder).toBe(1);
    expect(stepsFromRatings(colderUpward, [14.2, 15.5], 13).stepsColder).toBe(-1);
  });

  test('a rule’s offset moves every rating colder', () => {
    expect(stepsFromRatings(colderUpward, [15.5], 15.5, 1).stepsColder).toBe(-1);
  });

  test('a colder index never stands hotter on a scale', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 25, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (bar, more) => {
          expect(placeOnScale(colderUpward, bar + more).steps).toBeGreaterThanOrEqual(
            placeOnScale(colderUpward, bar).steps,
          );
        },
      ),
    );
  });

  test('a scale of one rating is refused', () => {
    expect(() => placeOnScale(scale(['1'], [12]), 12)).toThrow(RangeError);
  });
});
