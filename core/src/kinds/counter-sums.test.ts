import { describe, expect, test } from '@jest/globals';
import { compressionSpread } from '../compression/shares.ts';
import { socketFor } from '../plugs/socket.ts';
import { costOver } from '../service-plan/cost-over.ts';

describe('parts and labour to a horizon', () => {
  test('the first change is now, and the longest-lived is not always the cheapest', () => {
    const nickel = costOver({ setMinor: 1600, labourMinor: 0, lastsKm: 20_000 }, 60_000);
    const iridium = costOver({ setMinor: 6400, labourMinor: 0, lastsKm: 100_000 }, 60_000);
    expect([nickel.changes, nickel.totalMinor, nickel.perTenThousandKmMinor]).toEqual([3, 4800, 800]);
    expect([iridium.changes, iridium.totalMinor]).toEqual([1, 6400]);
    // With an hour's work each time it turns round.
    expect(costOver({ setMinor: 1600, labourMinor: 5000, lastsKm: 20_000 }, 60_000).totalMinor).toBe(19_800);
    expect(costOver({ setMinor: 6400, labourMinor: 5000, lastsKm: 100_000 }, 60_000).totalMinor).toBe(11_400);
  });
  test('an end that falls on a change asks for no other', () => {
    expect(costOver({ setMinor: 100, labourMinor: 0, lastsKm: 30_000 }, 60_000).changes).toBe(2);
    expect(costOver({ setMinor: 100, labourMinor: 0, lastsKm: 30_000 }, 60_001).changes).toBe(3);
  });
});

describe('compression', () => {
  test.each([
    [[1200, 1180, 1210, 1190], 'good'],
    [[1200, 1080], 'good'],
    [[1200, 1079], 'usable'],
    [[1200, 900], 'usable'],
    [[1200, 899], 'look-further'],
    [[1200, 0], 'look-further'],
  ])('%j: lowest over highest is %s', (readings, word) => {
    expect(compressionSpread(readings)!.word).toBe(word);
  });
  test('each cylinder is held against the best; one alone says nothing', () => {
    expect(compressionSpread([1200, 900, 1200])!.cylinders.map(({ share }) => share)).toEqual([1, 0.75, 1]);
    expect(compressionSpread([1200])).toBeUndefined();
    expect(compressionSpread([0, 0])).toBeUndefined();
  });
});

describe('the socket for a hex', () => {
  test('is named in both systems, 16 mm and 5/8 in being one', () => {
    expect(socketFor(15.875)).toMatchObject({ mm: 16, inch: '5/8' });
    expect(socketFor(20.6375)).toMatchObject({ mm: 20.8, inch: '13/16' });
    expect(socketFor(14)).toMatchObject({ mm: 14, inch: undefined });
    expect(socketFor(17)).toBeUndefined();
  });
  test('enters a well half a millimetre wider than its outside', () => {
    const { outerMm, leastWellMm } = socketFor(16)!;
    expect(outerMm).toBeCloseTo(16 * (2 / Math.sqrt(3)) + 3, 9);
    expect(leastWellMm - outerMm).toBeCloseTo(0.5, 9);
  });
});
