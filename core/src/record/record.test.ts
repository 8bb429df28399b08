import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { differences, sayDifference } from './differences.ts';
import { amissInEngine } from './engine-amiss.ts';
import { emptyOf, formNode, looksLike, type FormNode } from './form-node.ts';
import { readFigure, readRow } from './read-typed-part.ts';
import { sayKey, sayPath } from './say-key.ts';

const plug = (cylinder: number, more: object = {}) => ({
  kind: 'plug',
  cylinder,
  place: 'plug',
  label: String(cylinder),
  figures: [{ fact: 'position.gapMm', value: { low: 0.7, high: 0.8 }, rank: 'engine-maker', source: 'sheet 20' }],
  ...more,
});
const engine = (more: object = {}) => ({
  builds: [{ label: 'three pins', from: '2011-03', to: '2015-06' }],
  plan: { banks: [{ cylinders: [1, 2] }], firingOrder: [1, 2] },
  positions: [plug(1), plug(2)],
  vehicles: [{ make: 'Skerrow', model: 'Ferry', from: 2009, to: 2016 }],
  ...more,
});

describe('an engine’s record', () => {
  test('of which all agrees has nothing amiss', () => {
    expect(amissInEngine(engine())).toEqual([]);
  });

  test.each([
    ['a place that stands twice', { positions: [plug(1), plug(2), plug(2)] }, 'positions.2'],
    ['a build nobody speaks of', { positions: [plug(1), plug(2, { build: 'four pins' })] }, 'positions.1.build'],
    ['a build that ends before it begins', { builds: [{ label: 'a', from: '2015-06', to: '2011-03' }] }, 'builds.0.to'],
    ['two builds of one name', { builds: [{ label: 'a' }, { label: 'a' }] }, 'builds.1.label'],
    [
      'a coil’s fact asked of a plug',
      { positions: [plug(1, { figures: [{ fact: 'coilAsked.topology' }] }), plug(2)] },
      'positions.0.figures.0.fact',
    ],
    [
      'a cylinder without a plug',
      { plan: { banks: [{ cylinders: [1, 2, 3] }], firingOrder: [1, 2, 3] } },
      'plan.banks',
    ],
    [
      'a cylinder that fires twice',
      { plan: { banks: [{ cylinders: [1, 2] }], firingOrder: [1, 2, 2] } },
      'plan.firingOrder',
    ],
    ['no plug at all', { positions: [], plan: undefined }, 'positions'],
    [
      'a vehicle built backwards',
      { vehicles: [{ make: 'Skerrow', model: 'Ferry', from: 2009, to: 2001 }] },
      'vehicles.0.to',
    ],
  ])('says where %s is', (_, more, at) => {
    expect(amissInEngine(engine(more)).map((one) => one.at)).toEqual([at]);
  });
});

describe('what differs between two records', () => {
  test('is told by place, fact and source, before and after', () => {
    const after = engine({
      positions: [
        plug(1, {
          figures: [
            { fact: 'position.gapMm', value: { low: 0.7, high: 0.9 }, rank: 'engine-maker', source: 'sheet 20' },
          ],
        }),
        plug(2),
      ],
    });
    expect(differences(engine(), after).map(sayDifference)).toEqual([
      'positions plug 1 plug, figures position.gapMm engine-maker sheet 20, value, high: 0.8 → 0.9',
    ]);
  });

  test('is one thing when one more stands in the middle, and none when only the order of parts differs', () => {
    const after = engine({ positions: [plug(1), plug(3), plug(2)] });
    expect(differences(engine(), after).map(sayDifference)).toEqual(['positions: plug 3 plug 3 added']);
    expect(differences({ low: 1, high: 2 }, { high: 2, low: 1 })).toEqual([]);
  });

  test('is nothing exactly where they are equal', () => {
    const value = fc.jsonValue({ maxDepth: 3 });
    fc.assert(
      fc.property(value, value, (a, b) => {
        expect(differences(a, a)).toEqual([]);
        if (JSON.stringify(a) !== JSON.stringify(b) && JSON.stringify(sorted(a)) !== JSON.stringify(sorted(b)))
          expect(differences({ a }, { a: b })).not.toEqual([]);
      }),
    );
  });
});

const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : typeof value === 'object' && value !== null
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([key, part]) => [key, sorted(part)]),
        )
      : value;

describe('a form made from a schema', () => {
  const schema = {
    oneOf: [
      {
        type: 'object',
        properties: { kind: { const: 'range' }, lowKohm: { type: 'number', minimum: 1 } },
        required: ['kind', 'lowKohm'],
      },
      { type: 'object', properties: { kind: { const: 'none' } }, required: ['kind'] },
    ],
  };

  test('tells its shapes apart by their fixed words, and begins with the first', () => {
    const form = formNode(schema) as Extract<FormNode, { of: 'either' }>;
    expect(form.options.map((one) => looksLike(one, { kind: 'none' }))).toEqual([false, true]);
    expect(emptyOf(form)).toEqual({ kind: 'range' });
  });

  test('refuses what it cannot ask for, rather than leaving it out', () => {
    expect(() => formNode({ type: 'null' })).toThrow('No form');
  });

  test('says where something is amiss in words', () => {
    expect(sayPath('positions.0.figures.18.value')).toBe('positions 1, figures 19, value');
  });

  test.each([
    ['threadPitchMm', 'thread pitch, mm'],
    ['isHot', 'hot'],
    ['kohmPerM', 'kohm per m'],
    ['firingOrder', 'firing order'],
  ])('says %s as %s', (key, said) => {
    expect(sayKey(key)).toBe(said);
  });
});

describe('what is typed into a record', () => {
  test.each([
    ['1.05', 1.05],
    ['1,05', 1.05],
    [' 12 ', 12],
    ['-0.5', -0.5],
    ['1.', '1.'],
    ['1.0', 1],
    ['1.2.3', '1.2.3'],
    ['12 mm', '12 mm'],
    ['', ''],
  ])('%p is the figure, or stays the text: %p', (typed, value) => {
    expect(readFigure(typed)).toEqual(value);
  });

  test.each([
    ['1 3 4 2', [1, 3, 4, 2]],
    ['1-3-4-2', [1, 3, 4, 2]],
    ['1, 3, 4, ', [1, 3, 4]],
    ['1 x', '1 x'],
    ['', ''],
  ])('%p is the row, or stays the text: %p', (typed, value) => {
    expect(readRow(typed)).toEqual(value);
  });
});
