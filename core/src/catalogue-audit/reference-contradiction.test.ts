import { describe, expect, test } from '@jest/globals';
import type { AuditedPlug } from './rules.ts';
import { contradictedSteps, contradictionOf } from './reference-contradiction.ts';

const plug: AuditedPlug = {
  threadDiameterMm: 14,
  threadPitchMm: 1.25,
  reachMm: 19,
  seat: 'gasket-fixed',
  hexMm: 16,
  resistor: 'value',
  heatIndexBar: null,
  heatStepBar: null,
};

describe('a reference that the dimensions contradict', () => {
  test('says by what, in both figures', () => {
    expect(contradictionOf(plug, { ...plug, reachMm: 26.5 })).toBe('reach 19.0 mm ≠ reach 26.5 mm');
    expect(contradictionOf(plug, { ...plug, seat: 'taper' })).toMatch(/gasket seat ≠ taper seat/);
  });
  test('is none within the match band of the check, or where a figure is not known', () => {
    expect(contradictionOf(plug, { ...plug, reachMm: 19.3 })).toBeUndefined();
    expect(contradictionOf(plug, { ...plug, reachMm: null })).toBeUndefined();
  });
  test('on a trail is held against the last number whose facts are known', () => {
    const long = { ...plug, reachMm: 26.5 };
    expect(contradictedSteps([undefined, plug, undefined, long, long])).toEqual([
      undefined,
      undefined,
      undefined,
      'reach 19.0 mm ≠ reach 26.5 mm',
      undefined,
    ]);
  });
});
