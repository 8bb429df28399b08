import { describe, expect, test } from '@jest/globals';
import { PART_SIGN_IDS, PART_SIGNS, partSignsHere, READ_PARTS, saySeen } from './other-parts.ts';

describe('what is seen on coils, leads, cap and rotor', () => {
  test('is asked of parts the engine has alone', () => {
    const parts = (has: Parameters<typeof partSignsHere>[0]) => [
      ...new Set(partSignsHere(has).map((id) => PART_SIGNS[id].part)),
    ];
    expect(parts({ coils: true, leads: false, cap: false })).toEqual(['coil']);
    expect(parts({ coils: false, leads: true, cap: false })).toEqual(['lead']);
    expect(parts({ coils: false, leads: true, cap: true })).toEqual(['lead', 'cap', 'rotor']);
    expect(partSignsHere({ coils: true, leads: true, cap: true })).toEqual(PART_SIGN_IDS);
    expect(parts({ coils: true, leads: true, cap: true })).toEqual([...READ_PARTS]);
  });

  test('is told with the cylinders it was seen on, and without where it has none', () => {
    expect(saySeen('lead-chafed', [2, 4])).toBe('lead 2, 4 chafed through');
    expect(saySeen('cap-tracks', [])).toBe('cap tracks inside');
  });

  test('says what comes before a sale for each, and sells a cap never without its rotor', () => {
    for (const id of PART_SIGN_IDS) expect(PART_SIGNS[id].first).toMatch(/\.$/);
    const sold = PART_SIGN_IDS.filter((id) => ['cap', 'rotor'].includes(PART_SIGNS[id].part)).map(
      (id) => PART_SIGNS[id].sells,
    );
    expect(new Set(sold)).toEqual(new Set(['cap and rotor', null]));
  });
});
