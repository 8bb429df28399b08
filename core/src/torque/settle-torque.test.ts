import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { settleOneMaker, settleTorque } from './settle-torque.ts';
import type { TorqueStatement } from '../facts/torque-statements.ts';

const dry = (lowNm: number, highNm = lowNm, more: Partial<TorqueStatement> = {}): TorqueStatement => ({
  lowNm,
  highNm,
  condition: 'dry',
  ...more,
});
const settled = (...given: Parameters<typeof settleTorque>) => {
  const answer = settleTorque(...given);
  return answer && [answer.lowNm, answer.highNm, answer.aimNm, answer.from, answer.conflict];
};

describe('two figures of one maker', () => {
  test('are settled by the newer sheet where both are dated', () => {
    const sheets = [dry(30, 34, { dated: '2012-05' }), dry(20, 24, { dated: '2019-01' })];
    expect(settleOneMaker(sheets)).toMatchObject({ lowNm: 20, highNm: 24, settledBy: 'newer' });
    expect(settleOneMaker([...sheets].reverse())).toMatchObject({ lowNm: 20, settledBy: 'newer' });
  });
  test('and the newest of three, whatever order they lie in', () => {
    const [first, second, third] = [
      dry(30, 34, { dated: '2012-05' }),
      dry(26, 28, { dated: '2016-02' }),
      dry(20, 24, { dated: '2019-01' }),
    ];
    for (const sheets of [
      [first, second, third],
      [third, first, second],
      [second, third, first],
    ])
      expect(settleOneMaker(sheets)).toMatchObject({ lowNm: 20, highNm: 24, settledBy: 'newer' });
  });
  test('else by what they have in common', () => {
    const sheets = [dry(20, 28), dry(25, 32, { dated: '2019-01' })];
    expect(settleOneMaker(sheets)).toMatchObject({ lowNm: 25, highNm: 28, settledBy: 'overlap' });
  });
  test('else by the lower, never by an average', () => {
    expect(settleOneMaker([dry(30, 34), dry(20, 24)])).toMatchObject({ lowNm: 20, highNm: 24, settledBy: 'lower' });
    // Of two with one middle the narrower: its top is the lower.
    const bare = dry(40, 41);
    expect(settleOneMaker([dry(20, 30), dry(22, 28), bare])).toMatchObject({
      lowNm: 22,
      highNm: 28,
      settledBy: 'lower',
    });
    expect(settleOneMaker([dry(22, 28), dry(20, 30), bare])).toMatchObject({
      lowNm: 22,
      highNm: 28,
      settledBy: 'lower',
    });
    expect(settleOneMaker([dry(30), dry(20)])).toMatchObject({ lowNm: 20, nominalNm: 20, settledBy: 'lower' });
  });
  test('of one month are not settled by their date', () => {
    const sheets = [dry(30, 34, { dated: '2019-01' }), dry(20, 24, { dated: '2019-01' })];
    expect(settleOneMaker(sheets)!.settledBy).toBe('lower');
  });
});

describe('the torque of a plug here', () => {
  test('is what engine maker and plug maker have in common, aimed at the engine maker’s nominal where it lies there', () => {
    expect(settled([dry(20, 30, { nominalNm: 25 })], [dry(22, 28)], undefined)).toEqual([22, 28, 25, 'both', false]);
    expect(settled([dry(20, 30, { nominalNm: 21 })], [dry(22, 28, { nominalNm: 26 })], undefined)![2]).toBe(26);
    expect(settled([dry(20, 30)], [dry(22, 28)], undefined)![2]).toBe(25);
    // At either end of what they have in common it still lies there.
    expect(settled([dry(20, 30, { nominalNm: 22 })], [dry(22, 28)], undefined)![2]).toBe(22);
    expect(settled([dry(20, 30, { nominalNm: 28 })], [dry(22, 28)], undefined)![2]).toBe(28);
    const { ofEngine, ofPlug } = settleTorque([dry(20, 30)], [dry(22, 28)], undefined)!;
    expect([ofEngine, ofPlug]).toMatchObject([
      { lowNm: 20, highNm: 30 },
      { lowNm: 22, highNm: 28 },
    ]);
    expect(settleTorque([dry(20, 30)], [], undefined)).not.toHaveProperty('ofPlug');
  });
  test('without anything in common is the half of the engine maker’s range nearer the plug maker’s, and says so', () => {
    expect(settled([dry(20, 30)], [dry(10, 15)], undefined)).toEqual([20, 25, 22.5, 'both', true]);
    expect(settled([dry(20, 30)], [dry(40, 45)], undefined)).toEqual([25, 30, 27.5, 'both', true]);
  });
  test('takes a bare nominal at a tenth either way for comparing only', () => {
    // 25 and 27 meet at a tenth either way: no conflict, and still the engine maker's own figure.
    expect(settled([dry(25)], [dry(27)], undefined)).toEqual([25, 25, 25, 'both', false]);
    expect(settled([dry(25)], [dry(31)], undefined)).toEqual([25, 25, 25, 'both', true]);
    expect(settled([dry(20, 25)], [dry(27)], undefined)!.slice(0, 2)).toEqual([24.3, 25]);
  });
  test('of one maker alone is that maker’s', () => {
    expect(settled([dry(20, 30)], [], { lowNm: 1, highNm: 2 })).toEqual([20, 30, 25, 'engine-maker', false]);
    expect(settled([], [dry(22, 28)], undefined)![3]).toBe('plug-maker');
  });
  test('is the general table’s where neither speaks, aimed a quarter of the way up', () => {
    expect(settled([], [], { lowNm: 20, highNm: 30 })).toEqual([20, 30, 22.5, 'general-table', false]);
    expect(settled([], [], undefined)).toBeUndefined();
  });
});

describe('whatever two makers print', () => {
  const statement = fc
    .tuple(fc.integer({ min: 8, max: 40 }), fc.integer({ min: 0, max: 12 }))
    .map(([low, width]) => dry(low, low + width));
  const sheetsOf = fc.array(statement, { minLength: 1, maxLength: 3 });

  test('the answer never leaves the engine maker’s own range, and its aim lies in it', () => {
    fc.assert(
      fc.property(sheetsOf, sheetsOf, (engine, plug) => {
        const answer = settleTorque(engine, plug, undefined)!;
        const own = settleOneMaker(engine)!;
        expect(answer.lowNm).toBeGreaterThanOrEqual(own.lowNm - 1e-9);
        expect(answer.highNm).toBeLessThanOrEqual(own.highNm + 1e-9);
        expect(answer.aimNm).toBeGreaterThanOrEqual(answer.lowNm - 1e-9);
        expect(answer.aimNm).toBeLessThanOrEqual(answer.highNm + 1e-9);
      }),
    );
  });

  test('no order of a maker’s sheets changes what they come to', () => {
    fc.assert(
      fc.property(sheetsOf, (all) => {
        const [one, other] = [settleOneMaker(all)!, settleOneMaker([...all].reverse())!];
        expect([one.lowNm, one.highNm]).toEqual([other.lowNm, other.highNm]);
      }),
    );
  });

  test('where their ranges meet nothing outside the plug maker’s is answered', () => {
    fc.assert(
      fc.property(statement, statement, (engine, plug) => {
        fc.pre(engine.lowNm < engine.highNm && engine.lowNm <= plug.highNm && plug.lowNm <= engine.highNm);
        const { lowNm, highNm, conflict } = settleTorque([engine], [plug], undefined)!;
        expect(conflict).toBe(false);
        expect(lowNm >= plug.lowNm && highNm <= plug.highNm).toBe(true);
      }),
    );
  });
});
