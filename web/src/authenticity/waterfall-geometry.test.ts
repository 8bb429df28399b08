import { describe, expect, test } from '@jest/globals';
import { judgePiece } from '@brackenfell/core/authenticity/judge-piece';
import { printFactor, sayMove, waterfall } from './waterfall-geometry.ts';

const item = (id: string, ratio: number) => ({
  id,
  title: id,
  group: id,
  aspect: 'physical' as const,
  logRatio: Math.log(ratio),
});

describe('the evidence drawn as a waterfall', () => {
  const drawn = waterfall(
    judgePiece(0.15, [item('crown', 9), item('weld', 1), item('gasket', 0.5)]),
    { channel: 0.12, prior: 0.15 },
    300,
  );

  test('each bar begins where the one before ended, and the last ends at what is believed now', () => {
    expect(drawn.bars[0]!.fromPx).toBe(drawn.startPx);
    for (const [i, bar] of drawn.bars.entries()) if (i > 0) expect(bar.fromPx).toBeCloseTo(drawn.bars[i - 1]!.toPx, 0);
    expect(drawn.bars.at(-1)!.toPx).toBeCloseTo(drawn.nowPx, 0);
  });

  test('moves right toward a fake, left toward genuine, and not at all for what could not be seen', () => {
    expect(drawn.bars.map(({ towards, factor }) => [towards, factor])).toEqual([
      ['fake', '×1.3'],
      ['fake', '×9.0'],
      ['neither', '–'],
      ['genuine', '÷2.0'],
    ]);
  });

  test('equal factors are equally wide wherever they stand, and the axis puts even odds between 20 and 80', () => {
    const twice = waterfall(judgePiece(0.05, [item('a', 2), item('b', 2)]), { channel: 0.05, prior: 0.05 }, 300).bars;
    expect(twice[1]!.toPx - twice[1]!.fromPx).toBeCloseTo(twice[2]!.toPx - twice[2]!.fromPx, 0);
    const at = (label: string) => drawn.ticks.find((tick) => tick.label === label)!.px;
    expect(at('50') - at('20')).toBeCloseTo(at('80') - at('50'), 0);
    expect(drawn.suspectFrom).toBe(at('50'));
    expect(drawn.consistentTo).toBe(at('5'));
  });

  test('a factor is told with the digits it supports', () => {
    expect([20, 9.2, 1, 0.25].map((ratio) => printFactor(Math.log(ratio)))).toEqual(['×20', '×9.2', '–', '÷4.0']);
  });
});

test('how far an observation moved the chance is said in a word: 2.5 times clearly, 8 times strongly', () => {
  const said = [1, 1.5, 2.5, 7.9, 8, 20].map((factor) => sayMove(Math.log(factor)));
  expect(said).toEqual(['–', 'slightly', 'clearly', 'clearly', 'strongly', 'strongly']);
  expect(sayMove(-Math.log(8))).toBe('strongly');
});
