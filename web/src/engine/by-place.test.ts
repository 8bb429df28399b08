import { expect, test } from '@jest/globals';
import type { RequirementLine } from '@brackenfell/contract/engine';
import { sayPlaces, splitByPlace } from './by-place.ts';

const line = (label: string, value: string, at: string[] = []): RequirementLine => ({
  label,
  value,
  at,
  sources: [],
  isFigure: true,
  question: null,
  group: 'hole',
});

test('what differs from place to place is a table with a column for places that nothing tells apart', () => {
  const { everywhere, byPlace } = splitByPlace([
    line('Reach', '19.0 mm'),
    line('Thread', 'M12', ['1 exhaust', '2 exhaust', '3 exhaust']),
    line('Thread', 'M14', ['1 intake', '2 intake', '3 intake']),
    line('Polarity', 'reverse', ['2 intake']),
    line('Polarity', 'forward', ['1 exhaust', '2 exhaust', '3 exhaust', '1 intake', '3 intake']),
  ]);
  expect(everywhere.map(({ label }) => label)).toEqual(['Reach']);
  expect(byPlace!.places).toEqual(['1–3 exhaust', '1, 3 intake', '2 intake']);
  expect(byPlace!.rows.map(({ label, values }) => [label, ...values.map((one) => one?.value)])).toEqual([
    ['Thread', 'M12', 'M14', 'M14'],
    ['Polarity', 'forward', 'forward', 'reverse'],
  ]);
});

test('an engine that asks the same everywhere has no table', () => {
  expect(splitByPlace([line('Reach', '19.0 mm')]).byPlace).toBeUndefined();
});

test('places are said short only where they run on', () => {
  expect(sayPlaces(['1', '2', '3', '4'])).toBe('1–4');
  expect(sayPlaces(['2', '4'])).toBe('2, 4');
  expect(sayPlaces(['front', 'rear'])).toBe('front, rear');
  expect(sayPlaces(['1 exhaust', '2 intake'])).toBe('1 exhaust, 2 intake');
});
