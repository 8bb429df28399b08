import { expect, test } from '@jest/globals';
import { lifeAtPositionKm, type WearFacts } from './electrode-wear.ts';
import type { Material } from '../facts/plug-facts.ts';

const reverse = (ground: Material, more: Partial<WearFacts> = {}) =>
  lifeAtPositionKm({
    polarity: 'reverse',
    centre: 'iridium',
    ground,
    gapMm: { low: 1, high: 1.1 },
    aspiration: 'natural',
    statedLifeKm: 200_000,
    ...more,
  });

test.each<[Material, number]>([
  ['nickel', 25_000], // 0.25 mm at 0.10 mm in 10 000 km
  ['silver', 41_700], // at 0.06
  ['platinum', 83_300], // at 0.03
  ['iridium', 200_000], // no poorer than the centre: the stated life
])('a %s ground under a fine tip fired in reverse lasts %d km', (ground, km) => {
  expect(reverse(ground)).toBe(km);
});

test('factory boost wears the ground half as fast again', () => {
  expect(reverse('nickel', { aspiration: 'forced' })).toBe(16_700);
});

test('the stated life is never stretched, and an unknown gap leaves the life unknown', () => {
  expect(reverse('nickel', { statedLifeKm: 20_000 })).toBe(20_000);
  expect(reverse('nickel', { gapMm: undefined })).toBeUndefined();
});

test('where the spark runs forward the ground does not matter', () => {
  expect(reverse('nickel', { polarity: 'forward' })).toBe(200_000);
});
