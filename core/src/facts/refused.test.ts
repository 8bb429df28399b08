import { describe, expect, test } from '@jest/globals';
import { RECORDED_FACT_IDS, type RecordedFactId } from './facts.ts';
import { isRecordable } from './fact-form.ts';

describe('no catalogue holds', () => {
  const NEVER: readonly (readonly [string, unknown])[] = [
    ['what is not there', undefined],
    ['nothing', null],
    ['an endless figure', Infinity],
    ['what is no number', NaN],
    ['a figure below nothing by far', -1000],
    ['text nobody put there', '<script>'.repeat(4)],
    ['an object of nothing', {}],
    ['a list of nothing', []],
    ['a range that ends before it begins', { low: 2, high: 1 }],
  ];
  test.each(NEVER)('%s, for any fact', (_, value) => {
    expect(RECORDED_FACT_IDS.filter((fact) => isRecordable(fact, value))).toEqual([]);
  });
});

/** A value at the end of what a fact takes, and one past it. */
const ENDS: readonly (readonly [fact: RecordedFactId, taken: unknown, refused: unknown])[] = [
  ['plug.reachMm', 200, 200.1],
  ['plug.reachMm', 0.1, 0],
  ['plug.groundCount', 4, 5],
  ['plug.groundCount', 1, 0],
  ['plug.hexPoints', 12, 8],
  ['plug.projectionMm', -2, -2.1],
  ['plug.projectionMm', 10, 10.1],
  ['plug.torque', { lowNm: 2, highNm: 150, condition: 'dry' }, { lowNm: 1.9, highNm: 150, condition: 'dry' }],
  ['plug.torque', { lowNm: 20, highNm: 20, condition: 'dry' }, { lowNm: 21, highNm: 20, condition: 'dry' }],
  ['plug.torque', { lowNm: 20, highNm: 30, condition: 'dry' }, { lowNm: 20, highNm: 30, condition: 'wet' }],
  [
    'plug.torque',
    { lowNm: 20, highNm: 30, condition: 'dry', dated: '2019-12' },
    { lowNm: 20, highNm: 30, condition: 'dry', dated: '2019-13' },
  ],
  [
    'plug.turn',
    { lowTurns: 0.5, highTurns: 2, from: 'fingers', gasket: 'new' },
    { lowTurns: 0.5, highTurns: 2.1, from: 'fingers', gasket: 'new' },
  ],
  ['position.compressionRatio', 25, 26],
  ['position.compressionRatio', 4, 3.9],
  ['position.gapMm', { low: 0.7, high: 0.7 }, { low: 0.71, high: 0.7 }],
  ['position.wellBoreMm', 'open', 'closed'],
  ['position.polarity', 'reverse', 'backward'],
  ['coil.pinsCount', 24, 25],
  ['coil.pinsCount', 1, 1.5],
  ['coil.ratedKv', 80, 81],
  ['coil.peakA', 30, 31],
  ['coil.bootAngleDeg', 0, -1],
  ['coil.bootAngleDeg', 360, 361],
  ['coil.primaryOhm', 100, 101],
  [
    'coil.magnetoKv',
    [
      { rpm: 300, kv: 8 },
      { rpm: 600, kv: 14 },
    ],
    [
      { rpm: 600, kv: 14 },
      { rpm: 600, kv: 15 },
    ],
  ],
  ['coilAsked.revisions', ['A'], ['A letter that is longer than a label']],
  ['cap.towersCount', 24, 25],
  ['cap.supply', { state: 'active' }, { state: 'lost' }],
  ['rotor.resistanceKohm', 0, -0.1],
];

test.each(ENDS)('%s takes %j and not %j', (fact, taken, refused) => {
  expect([isRecordable(fact, taken), isRecordable(fact, refused)]).toEqual([true, false]);
});
