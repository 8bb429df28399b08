import { describe, expect, test } from '@jest/globals';
import { CatalogueFile } from './catalogue-file.ts';

const engine = {
  id: 'maker-e1',
  maker: 'maker',
  code: 'E1',
  summary: 'an engine',
  layout: 'in line 4',
  visits: 1,
  cautions: [],
  source: { rank: 'engine-maker', name: 'a sheet' },
  positions: [{ cylinder: 1, facts: {} }],
  facts: { 'position.gapMm': { low: 0.7, high: 0.8 } },
  oeNumbers: [{ number: 'E 1' }],
  vehicles: [],
};
const read = (more: object) =>
  CatalogueFile.safeParse({
    makers: [{ id: 'maker', name: 'Maker' }],
    heatScales: [],
    engines: [{ ...engine, ...more }],
    plugs: [],
    references: [],
    listings: [],
  });

describe('a catalogue file', () => {
  test('tells builds by month or by serial number', () => {
    const builds = [
      { label: 'serial to 99', toSerial: 99, traits: {} },
      { label: 'serial 100 on', fromSerial: 100, traits: { coilPins: 4 } },
    ];
    expect(read({ builds }).success).toBe(true);
    expect(read({ builds: [{ label: 'never', fromSerial: 0, traits: {} }] }).success).toBe(false);
    expect(read({ builds: [{ label: 'a month', from: '2018', traits: {} }] }).success).toBe(false);
  });

  test.each([
    ['a gap that ends before it begins', { 'position.gapMm': { low: 0.8, high: 0.7 } }],
    ['a fact nobody declares', { 'position.colour': 'red' }],
    ['a compression ratio of 88', { 'position.compressionRatio': 88 }],
    ['a school of no rule', { 'position.instructs': { rule: 'grease', school: 'lard', says: 'so' } }],
  ])('is refused for %s', (_, facts) => {
    expect(read({ facts }).success).toBe(false);
  });
});
