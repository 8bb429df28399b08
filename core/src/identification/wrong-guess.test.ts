import { describe, expect, test } from '@jest/globals';
import { harmOf, type HoleOf } from './wrong-guess.ts';

const sc20: HoleOf = { threadDiameterMm: 14, threadPitchMm: 1.25, reachMm: 19, seat: 'gasket', gapMm: 1.05 };
const really = (more: Partial<HoleOf>) => harmOf(sc20, { ...sc20, ...more });

describe('what a wrong guess costs', () => {
  test.each<[string, Partial<HoleOf>, RegExp]>([
    [
      'another thread',
      { threadDiameterMm: 12, reachMm: 26.5 },
      /does not start in an M12 hole; forced, it costs the thread/,
    ],
    ['a shorter head', { reachMm: 12.7 }, /bares its threads in the chamber and may meet the piston/],
    ['a longer head', { reachMm: 26.5 }, /shrouds the spark and carbons the thread/],
    ['another seat', { seat: 'taper' }, /leaks and overheats where a taper seat is asked/],
    ['another gap', { gapMm: 0.8 }, /0\.25 mm off and has to be set again/],
  ])('when it really has %s', (_, more, says) => {
    expect(really(more)).toMatch(says);
  });

  test('is nothing within the match band, and an unknown fact claims no harm', () => {
    expect(really({ reachMm: 19.2, gapMm: 1 })).toBe('');
    expect(really({ threadDiameterMm: null, threadPitchMm: null, reachMm: null, seat: null, gapMm: null })).toBe('');
  });
});
