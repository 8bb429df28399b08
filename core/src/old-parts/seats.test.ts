import { expect, test } from '@jest/globals';
import { answerReading } from './read-plugs.ts';
import { seatsOf, strangeSeat } from './seats.ts';

const FOUR = { banks: [{ label: 'Row', cylinders: [1, 2, 3, 4] }], firingOrder: [1, 3, 4, 2] };
const at = (place: string) => [1, 2, 3, 4].map((cylinder) => ({ cylinder, place }));
const TWIN = seatsOf([...at('intake'), ...at('exhaust'), ...at('intake')], FOUR);

test('a cylinder with two plugs has two seats, by cylinder; builds of one place share one, and a single plug needs no place', () => {
  expect(TWIN.slice(0, 3)).toEqual([
    { cylinder: 1, place: 'intake' },
    { cylinder: 1, place: 'exhaust' },
    { cylinder: 2, place: 'intake' },
  ]);
  expect(TWIN).toHaveLength(8);
  expect(seatsOf(at('deep'), FOUR)).toEqual([1, 2, 3, 4].map((cylinder) => ({ cylinder })));
});

test('an engine with two plugs in one cylinder alone names places there alone', () => {
  expect(seatsOf([...at('intake'), { cylinder: 1, place: 'exhaust' }], FOUR)).toEqual([
    { cylinder: 1, place: 'intake' },
    { cylinder: 1, place: 'exhaust' },
    { cylinder: 2 },
    { cylinder: 3 },
    { cylinder: 4 },
  ]);
});

test('a plug of a side that the engine does not have is named', () => {
  expect(strangeSeat([{ cylinder: 2, place: 'exhaust' }], TWIN)).toBeUndefined();
  expect(strangeSeat([{ cylinder: 2 }], TWIN)).toBe('2');
  expect(strangeSeat([{ cylinder: 2, place: 'top' }], TWIN)).toBe('2 top');
  expect(strangeSeat([{ cylinder: 5, place: 'intake' }], TWIN)).toBe('5 intake');
});

test('what shows on one side of every cylinder is said of that side, and counts each cylinder once', () => {
  const engine = { plan: FOUR, isWasteSpark: false, hasChargeCooler: false, gapLimitMm: undefined };
  const read = (sooty: string) =>
    answerReading(
      {
        cylinders: TWIN.map((seat) => ({
          ...seat,
          signs: [seat.place === sooty || sooty === 'both' ? 'soot' : 'tan'],
        })),
        context: ['short-runs'],
        results: {},
      },
      engine,
    ).ranked.find(({ cause }) => cause === 'short-runs')!;
  expect(read('exhaust')).toMatchObject({ cylinders: [1, 2, 3, 4], onlyAt: 'exhaust', patterns: ['all'] });
  expect(read('both')).toMatchObject({ cylinders: [1, 2, 3, 4], onlyAt: undefined, points: read('exhaust').points });
});
