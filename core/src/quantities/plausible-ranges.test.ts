import { describe, expect, test } from '@jest/globals';
import { generalTorqueSpan } from './general-torques.ts';
import { plausibleRange } from './plausible-ranges.ts';

describe('the torque the general table gives a thread', () => {
  test.each([
    ['seat and metal known', [14, 'gasket', 'cast-iron'], { lowNm: 25, highNm: 35 }],
    ['of aluminium', [14, 'gasket', 'aluminium'], { lowNm: 20, highNm: 30 }],
    ['a metal nobody knows', [14, 'gasket', undefined], { lowNm: 20, highNm: 35 }],
    ['a seat nobody knows', [14, undefined, 'cast-iron'], { lowNm: 15, highNm: 35 }],
    ['a taper', [18, 'taper', undefined], { lowNm: 15, highNm: 30 }],
  ] as const)('%s', (_, [thread, seat, metal], span) => {
    expect(generalTorqueSpan(thread, seat, metal)).toEqual(span);
  });

  test('is none for a thread or a seat that is not in it', () => {
    expect(generalTorqueSpan(13)).toBeUndefined();
    expect(generalTorqueSpan(12, 'taper')).toBeUndefined();
  });
});

describe('what is asked about', () => {
  test('narrows by the thread for a plug’s torque alone', () => {
    const context = { threadMm: 14, seat: 'gasket', headMetal: 'aluminium' } as const;
    expect(plausibleRange('plug-torque', context)).toEqual({ low: 12, high: 45 });
    expect(plausibleRange('fastener-torque', context)).toEqual({ low: 2, high: 150 });
    expect(plausibleRange('gap', context)).toEqual({ low: 0.2, high: 2.2 });
  });

  test('is the whole range of a torque where the thread is not known, or in no table', () => {
    expect(plausibleRange('plug-torque')).toEqual({ low: 4, high: 75 });
    expect(plausibleRange('plug-torque', { threadMm: 13 })).toEqual({ low: 4, high: 75 });
  });
});
