import { describe, expect, test } from '@jest/globals';
import type { Duty } from './duty.ts';
import { gapForDuty } from './gap-for-duty.ts';
import { sheetOf } from '../testing/sheet-of.ts';
import { SUPERCHARGED_FIVE as FIVE } from '../testing/supercharged-five.ts';

const SMALLER_PULLEY: Duty = { boostKpa: 110 };
const margin = (facts: object, duty: Duty) =>
  gapForDuty(sheetOf(facts), duty, { gapForDuty: 'margin', interval: 'engine-maker' });

describe('the gap asked of an engine on more boost', () => {
  test('ends where its own coil keeps 30% as set and 15% when its interval is run, and reaches no lower than half a millimetre', () => {
    expect(margin(FIVE, SMALLER_PULLEY)).toMatchObject({ kind: 'range', range: { low: 0.5, high: 0.55 } });
  });

  test('is the maker’s own with a stronger coil: nothing is closed that need not be', () => {
    const stronger = { ...FIVE, 'coil.inductanceMh': 2.8, 'coil.peakA': 7.5, 'coil.ratedKv': 38 };
    expect(margin(stronger, SMALLER_PULLEY)).toMatchObject({ kind: 'range', range: { low: 0.6, high: 0.7 } });
  });

  test('says so where no gap keeps its reserve, and leaves the narrowest', () => {
    expect(margin(FIVE, { boostKpa: 250 })).toMatchObject({ kind: 'none-holds', range: { low: 0.5, high: 0.5 } });
  });

  test('is the engine maker’s by the other school, and where nothing was changed', () => {
    const stock = gapForDuty(sheetOf(FIVE), SMALLER_PULLEY, { gapForDuty: 'stock', interval: 'engine-maker' });
    expect([stock, margin(FIVE, {}), margin(FIVE, { boostKpa: 55 })]).toEqual(Array(3).fill({ kind: 'as-made' }));
  });

  test.each(['coil.inductanceMh', 'coil.ratedKv', 'position.compressionRatio', 'position.intervalKm'] as const)(
    'is not estimated without %s, and never guessed',
    (fact) => {
      expect(margin({ ...FIVE, [fact]: undefined }, SMALLER_PULLEY)).toEqual({
        kind: 'not-estimated',
      });
    },
  );

  test('a lower boost than the maker’s own opens nothing', () => {
    expect(margin(FIVE, { boostKpa: 30 })).toEqual({ kind: 'as-made' });
  });
});

test('on gas the same gap asks a tenth more voltage: the range follows where the reserve is short', () => {
  const natural = {
    ...FIVE,
    'position.boostKpa': undefined,
    'position.aspiration': 'natural',
    'position.compressionRatio': 10.5,
    'position.gapMm': { low: 0.8, high: 1.3 },
    'coil.ratedKv': 30,
  };
  const onGas = margin(natural, { gasFuel: true });
  expect(onGas.kind).toBe('range');
  if (onGas.kind === 'range') expect(onGas.range.high).toBeLessThan(1.3);
  expect(margin({ ...natural, 'position.fuel': 'gas' }, { gasFuel: true })).toEqual({ kind: 'as-made' });
});
