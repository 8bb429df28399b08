import { describe, expect, test } from '@jest/globals';
import { reach } from '../plugs/checks/reach.ts';
import { FACTS, type FactId, type FactSheet } from '../facts/facts.ts';
import { sayIn } from '../fitment/say.ts';
import { isAnswerTo, settles, withReadings, type PieceReading } from './piece-readings.ts';

const say = sayIn('metric');
const paper = { rank: 'part-maker', name: 'Tamsel' } as const;
const asked: FactSheet = {
  'position.reachMm': { ruling: [{ value: { low: 19, high: 19 }, source: { rank: 'engine-maker', name: 'Skerrow' } }] },
};
const listed: FactSheet = { ...asked, 'plug.reachMm': { ruling: [{ value: 19, source: paper }] } };
const read = (value: number, how: PieceReading['how'] = 'gauged'): PieceReading => ({
  fact: 'plug.reachMm',
  value,
  how,
  by: 'Wren',
});
const outcome = (sheet: FactSheet, ...readings: PieceReading[]) =>
  reach.ask(withReadings(sheet, readings), say).outcome;

describe('a reading of the piece in hand', () => {
  test('typed once, of a reach nobody has published, leaves the question open', () => {
    expect(outcome(asked, read(19, 'typed'))).toBe('unknown');
    expect(settles('plug.reachMm', [read(19, 'typed')])).toBe(false);
  });

  test('taken twice and agreeing settles it, for the better or the worse', () => {
    expect(outcome(asked, read(19.02), read(19.06))).toBe('match');
    expect(outcome(asked, read(26.5), read(26.45))).toBe('refuse');
  });

  test('taken twice and not agreeing settles nothing, until a third agrees with one of them', () => {
    expect(outcome(asked, read(19), read(26.5))).toBe('unknown');
    expect(outcome(asked, read(19), read(26.5), read(19.1))).toBe('match');
  });

  test('repeated, outranks what is on paper; once, it only questions it', () => {
    expect(outcome(listed)).toBe('match');
    expect(outcome(listed, read(26.5))).toBe('unknown');
    expect(outcome(listed, read(26.5), read(26.5))).toBe('refuse');
  });

  test('names who read it, and how often, as its source', () => {
    const finding = reach.ask(withReadings(asked, [read(19), read(19), read(19.1)]), say);
    expect(finding.sources[0]!.source.name).toBe('This piece, read 3 times by Wren');
  });

  test('of a form that was seen holds at once, the latest of them', () => {
    const seen = (value: string): PieceReading => ({ fact: 'plug.seat', value, how: 'seen', by: 'Wren' });
    expect(withReadings({}, [seen('taper'), seen('gasket-fixed')])['plug.seat']!.ruling[0]!.value).toBe('gasket-fixed');
  });
});

test('every fact of a plug that can be measured in mm is answered where it is asked', () => {
  const measured = (Object.keys(FACTS) as FactId[]).filter(
    (fact) => fact.startsWith('plug.') && fact !== 'plug.gapToleranceMm' && fact.endsWith('Mm'),
  );
  expect(measured.filter((fact) => FACTS[fact].answer === undefined)).toEqual([]);
});

test.each([
  ['a reach off the gauge', 'plug.reachMm', 19, 'gauged', true],
  ['a reach somebody only saw', 'plug.reachMm', 19, 'seen', false],
  ['a reach in words', 'plug.reachMm', 'long', 'typed', false],
  ['a seat of a form there is', 'plug.seat', 'taper', 'seen', true],
  ['a seat of no form there is', 'plug.seat', 'gasket', 'seen', false],
  ['what nobody finds on the piece', 'plug.heat', 6, 'typed', false],
] as const)('%s: an answer or none', (_, fact, value, how, is) => {
  expect(isAnswerTo(fact, { value, how })).toBe(is);
});
