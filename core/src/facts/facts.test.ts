import { describe, expect, test } from '@jest/globals';
import { FACTS, knowFact, RECORDED_FACT_IDS, type FactId } from './facts.ts';

const scale = {
  maker: 'Kestrane',
  ratings: [
    { code: '60', indexBar: 10 },
    { code: '63', indexBar: 14 },
  ],
};
const scales = new Map([['kestrane', scale]]);

describe('a fact is declared once, so that', () => {
  test.each(Object.keys(FACTS).map((id) => [id as FactId] as const))(
    '%s: what may be answered is what is recorded',
    (id) => {
      const { recorded, answer } = FACTS[id];
      if (answer?.kind === 'choose')
        for (const { value } of answer.options)
          expect([value, recorded!.safeParse(value).success]).toEqual([value, true]);
      // A figure that is measured is recorded as one, as a range, or as a value with its kind.
      if (answer?.kind === 'measure')
        expect(
          [10, { low: 10, high: 10 }, { kind: 'value', kohm: 10 }].some((one) => recorded!.safeParse(one).success),
        ).toBe(true);
    },
  );

  test('a question stands for every one, and what is recorded is what a catalogue can hold', () => {
    for (const { label, question } of Object.values(FACTS))
      expect([label, question].every((text) => text !== '')).toBe(true);
    expect(RECORDED_FACT_IDS.filter((id) => /^(duty|rule|job)\./.test(id))).toEqual([]);
  });

  test('what is recorded is what is known; a heat rating is read on its maker’s scale, and says nothing on no known one', () => {
    expect(knowFact('plug.reachMm', 19, scales)).toBe(19);
    expect(knowFact('plug.heat', { maker: 'kestrane', code: '63' }, scales)).toEqual({
      maker: 'Kestrane',
      code: '63',
      indexBar: 14,
    });
    expect(knowFact('plug.heat', { maker: 'kestrane', code: '99' }, scales)).toBeUndefined();
    expect(knowFact('position.heat', { maker: 'nobody', codes: ['1'] }, scales)).toBeUndefined();
  });
});
