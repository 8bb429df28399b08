import { describe, expect, test } from '@jest/globals';
import type { TellDrawing } from '@brackenfell/contract/tell-drawing';
import { drawTell, TELL_HEIGHT, TELL_WIDTH } from './tell-geometry.ts';

/** Both sides of every form there is: a new one does not compile until it stands here. */
const FORMS: Readonly<Record<TellDrawing['form'], readonly [genuine: TellDrawing, suspect: TellDrawing]>> = {
  print: [
    { form: 'print', weight: 0.85, broken: false, offset: 0 },
    { form: 'print', weight: 0.3, broken: true, offset: 0.8 },
  ],
  crown: [
    { form: 'crown', dome: 0.9 },
    { form: 'crown', dome: 0 },
  ],
  chamfer: [
    { form: 'chamfer', arc: 0.9 },
    { form: 'chamfer', arc: 0 },
  ],
  shoulder: [
    { form: 'shoulder', lines: 11 },
    { form: 'shoulder', lines: 4 },
  ],
  ribs: [
    { form: 'ribs', roundness: 1 },
    { form: 'ribs', roundness: 0 },
  ],
  weld: [
    { form: 'weld', bead: 0 },
    { form: 'weld', bead: 1 },
  ],
  gasket: [
    { form: 'gasket', held: true },
    { form: 'gasket', held: false },
  ],
  plating: [
    { form: 'plating', sheen: 0.2 },
    { form: 'plating', sheen: 0.9 },
  ],
  code: [
    { form: 'code', text: 'C24 31', engraved: true },
    { form: 'code', text: 'C2431', engraved: false },
  ],
  box: [
    { form: 'box', crispness: 1 },
    { form: 'box', crispness: 0 },
  ],
  seal: [
    { form: 'seal', whole: true },
    { form: 'seal', whole: false },
  ],
  boot: [
    { form: 'boot', seam: 0 },
    { form: 'boot', seam: 1 },
  ],
  potting: [
    { form: 'potting', level: 0.95 },
    { form: 'potting', level: 0.4 },
  ],
  connector: [
    { form: 'connector', lock: true },
    { form: 'connector', lock: false },
  ],
  meter: [
    { form: 'meter', low: 0.4, high: 0.6, at: [0.5] },
    { form: 'meter', low: 0.4, high: 0.6, at: [0.1, 0.9] },
  ],
};

/** Every number of a path that is written out in absolute coordinates. */
const figures = (d: string): number[] => (d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);

describe('the drawings of tells', () => {
  test.each(Object.entries(FORMS))(
    '%s looks different on a genuine and on a suspect piece',
    (_, [genuine, suspect]) => {
      const [a, b] = [drawTell(genuine), drawTell(suspect)];
      expect(JSON.stringify(a)).not.toBe(JSON.stringify(b));
      for (const { paths } of [a, b]) {
        expect(paths.length).toBeGreaterThan(0);
        for (const { d } of paths) {
          expect(d).not.toMatch(/NaN|undefined|Infinity/);
          expect(Math.max(...figures(d))).toBeLessThanOrEqual(Math.max(TELL_WIDTH, TELL_HEIGHT));
          expect(Math.min(...figures(d))).toBeGreaterThanOrEqual(-12);
        }
      }
    },
  );

  test('a reading outside the maker’s band is marked on the meter, one inside is not', () => {
    const ink = (at: number) => drawTell({ form: 'meter', low: 0.4, high: 0.6, at: [at] }).paths.at(-1)!.ink;
    expect([0.39, 0.4, 0.6, 0.61].map(ink)).toEqual(['mark', 'line', 'line', 'mark']);
  });
});
