import { describe, expect, test } from '@jest/globals';
import { readQuantity } from '../quantities/read-quantity.ts';
import { withReadings } from '../slip/piece-readings.ts';
import { inBaseUnit, inFactUnit } from './fact-answers.ts';
import { factsOfKind, formOf, isRecordable, toRecord } from './fact-form.ts';
import { FACTS, rulingValue } from './facts.ts';
import { PART_KINDS } from './part-kinds.ts';
import { resolveFigures } from './resolve-figures.ts';

describe('a figure that is written down', () => {
  test('is in the unit of its fact: five kilohms typed are five, wherever they are recorded', () => {
    const typed = readQuantity('5 kohm', 'plug-resistor');
    const kohm = typed.kind === 'read' ? inFactUnit('kΩ', typed.low) : 0;
    expect([kohm, inBaseUnit('kΩ', kohm)]).toEqual([5, 5000]);
    expect(toRecord('plug.resistor', kohm)).toEqual({ kind: 'value', kohm: 5 });
    const reading = { fact: 'plug.resistor', value: kohm, how: 'typed', by: 'Wren' } as const;
    expect(rulingValue(withReadings({}, [reading, reading]), 'plug.resistor')).toEqual({ kind: 'value', kohm: 5 });
  });

  test('is recordable from every form that is offered, of every kind of part', () => {
    for (const kind of PART_KINDS) {
      expect(factsOfKind(kind).length).toBeGreaterThan(1);
      for (const fact of factsOfKind(kind)) {
        const form = formOf(fact);
        if (form?.kind === 'choose')
          for (const { value } of form.options)
            expect([fact, value, isRecordable(fact, value)]).toEqual([fact, value, true]);
        if (form?.kind === 'figure') expect([fact, isRecordable(fact, toRecord(fact, 5))]).toEqual([fact, true]);
      }
    }
    expect(formOf('plug.torque')).toBeUndefined();
  });

  test('says the same in whatever order its parts are kept: two sources that agree do not differ', () => {
    const source = (name: string) => ({ rank: 'part-maker' as const, name });
    const entry = resolveFigures<unknown>([
      { value: { maker: 'kestrane', code: '63' }, source: source('list') },
      { value: { code: '63', maker: 'kestrane' }, source: source('sheet') },
      { value: { code: '65', maker: 'kestrane' }, source: source('box') },
    ]);
    expect(entry!.ruling.map(({ source: { name } }) => name)).toEqual(['list', 'box']);
  });

  test('is refused where the fact records no such thing', () => {
    expect([
      isRecordable('plug.reachMm', -3),
      isRecordable('plug.reachMm', 'long'),
      isRecordable('plug.seat', 'flat'),
      isRecordable('plug.heat', { maker: 'kn' }),
    ]).toEqual([false, false, false, false]);
    expect(FACTS['plug.reachMm'].label).toBe('reach');
  });
});
