import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { compareOptions, paysFromKm, spentAfter, type ServiceOption } from './options.ts';

const option = (printed: string, setMinor: number, lastsKm: number): ServiceOption => ({
  id: printed,
  printed,
  setMinor,
  lastsKm,
});
const NICKEL = option('nickel', 1600, 20_000);
const IRIDIUM = option('iridium', 6400, 100_000);

/** Driven kilometre by kilometre (in hundreds), a set bought whenever one is worn and there is still way to go. */
function drive({ setMinor, lastsKm }: ServiceOption, labourMinor: number, toKm: number): number {
  let [spent, worn] = [setMinor + labourMinor, 0];
  for (let km = 0; km < toKm; km += 100) {
    if (worn >= lastsKm) {
      spent += setMinor + labourMinor;
      worn = 0;
    }
    worn += 100;
  }
  return spent;
}

describe('what serving an engine comes to', () => {
  test('parts alone make the short-lived cheapest; an hour’s work each time turns it round', () => {
    expect(compareOptions([IRIDIUM, NICKEL], 0, 60_000).map(({ printed }) => printed)).toEqual(['nickel', 'iridium']);
    expect(compareOptions([IRIDIUM, NICKEL], 5000, 60_000).map(({ printed }) => printed)).toEqual([
      'iridium',
      'nickel',
    ]);
  });

  test('is what a drive of that length spends, whatever the sets and the work cost', () => {
    const sets = fc.record({
      setMinor: fc.integer({ min: 100, max: 20_000 }),
      lastsKm: fc.integer({ min: 50, max: 1500 }).map((hundreds) => hundreds * 100),
    });
    fc.assert(
      fc.property(
        sets,
        fc.integer({ min: 0, max: 9000 }),
        fc.integer({ min: 1, max: 2000 }),
        (set, labour, hundreds) => {
          const one = { ...option('any', set.setMinor, set.lastsKm) };
          expect(spentAfter(one, labour, hundreds * 100)).toBe(drive(one, labour, hundreds * 100));
        },
      ),
    );
  });

  test('from its break-even on an option never costs more, and just before it still does', () => {
    const from = paysFromKm(IRIDIUM, NICKEL, 0)!;
    expect(spentAfter(IRIDIUM, 0, from)).toBeGreaterThan(spentAfter(NICKEL, 0, from));
    for (let km = from + 100; km <= 400_000; km += 100)
      expect(spentAfter(IRIDIUM, 0, km)).toBeLessThanOrEqual(spentAfter(NICKEL, 0, km));
  });

  test('what is cheaper at once pays from the first kilometre, and what is always dearer never does', () => {
    expect(paysFromKm(option('same, cheaper', 1500, 20_000), NICKEL, 0)).toBe(0);
    expect(paysFromKm(option('same, dearer', 1700, 20_000), NICKEL, 0)).toBeUndefined();
  });
});
