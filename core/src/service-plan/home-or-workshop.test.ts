import { describe, expect, test } from '@jest/globals';
import { sheetOf } from '../testing/sheet-of.ts';
import { homeOrWorkshop, staysWithWorkshop } from './home-or-workshop.ts';

describe('home or workshop', () => {
  const job = {
    partsMinor: 5000,
    toolsMinor: 6000,
    minutes: 45,
    perHourMinor: 8000,
    markUpPercent: 20,
    taxBasisPoints: 2000,
  };
  test('both totals carry tax, and tools pay once what is saved has bought them', () => {
    // Home: 50 and 60, with a fifth of tax. Workshop: 60 and three quarters of 80, with tax.
    expect(homeOrWorkshop(job)).toEqual({
      homeMinor: 13_200,
      laterMinor: 6000,
      workshopMinor: 14_400,
      toolsPayAfter: 1,
    });
    expect(homeOrWorkshop({ ...job, toolsMinor: 20_000 }).toolsPayAfter).toBe(3);
  });
  test('tools never pay where the workshop is no dearer, and none are needed once they are there', () => {
    expect(homeOrWorkshop({ ...job, minutes: 0, markUpPercent: 0 }).toolsPayAfter).toBeUndefined();
    expect(homeOrWorkshop({ ...job, toolsMinor: 0 })).toMatchObject({ homeMinor: 6000, toolsPayAfter: 1 });
  });
  test('gas and plugs that seize stay with the workshop whatever it costs; what is not known is not told', () => {
    expect(staysWithWorkshop(sheetOf({ 'position.fuel': 'gas' }))).toEqual([
      expect.stringContaining('licensed gas fitter'),
    ]);
    expect(staysWithWorkshop(sheetOf({ 'position.seizesTwoPiece': true }))).toEqual([
      expect.stringContaining('come out in two'),
    ]);
    expect(staysWithWorkshop(sheetOf({}))).toEqual([]);
  });
});
