import { describe, expect, test } from '@jest/globals';
import { compressionSays, convert, copperSays, costSays, leadSays, pairGuard, socketSays } from './convert-inputs.ts';
import { readOffset, readTorque, readTorqueSum } from './torque-inputs.ts';
import { printBlades, readBlades } from './typed-blades.ts';
import { readWearSum } from './wear-inputs.ts';

const of = (query: Record<string, string>) => new URLSearchParams(query);

describe('the list of blades owned', () => {
  test('is read with points or commas, in any order, each blade once', () => {
    const read = readBlades({ mm: '0.05 0,10; 0.10', thou: '2, 28' });
    expect(read).toMatchObject({ kind: 'read' });
    if (read.kind !== 'read') return;
    expect([printBlades(read.blades, 'mm'), printBlades(read.blades, 'thou')]).toEqual(['0.05 0.10', '2 28']);
  });
  test.each([
    [{ mm: '28', thou: '' }, /No feeler blade is 28 mm/],
    [{ mm: '', thou: '0.7' }, /0\.7 thou/],
    [{ mm: 'ten', thou: '' }, /ten mm/],
    [{ mm: ' ', thou: '' }, /at least one/],
  ])('%j is asked back, and nothing is left out unseen', (typed, says) => {
    expect(readBlades(typed)).toMatchObject({ kind: 'wrong', says: expect.stringMatching(says) });
  });
});

describe('a torque sum', () => {
  test('asks a pair that is none, and takes one that agrees by its first figure', () => {
    expect(readTorque('25 N·m / 25 lbf·ft', 'metric', {})).toMatchObject({ kind: 'pair' });
    expect(readTorque('25 N·m / 18 lbf·ft', 'metric', {})).toMatchObject({ kind: 'read', low: 25 });
    // 10 N·m beside 7 lbf·ft overlap as they are rounded.
    expect(readTorque('10 Nm (7 lbft)', 'metric', {})).toMatchObject({ kind: 'read' });
    expect(readTorque('14 mm', 'metric', {})).toMatchObject({ kind: 'asked' });
    expect(readTorque('', 'metric', {})).toBeUndefined();
  });
  test('questions a figure against this thread and metal before it is reckoned with', () => {
    const { readings, desk } = readTorqueSum(
      of({ thread: '10-gasket', metal: 'aluminium', sheet1: '25 ft-lb' }),
      'metric',
    );
    expect(readings.sheet1).toMatchObject({ kind: 'asked' });
    expect(desk.answer!.from).toBe('general-table');
  });
  test('keeps two sheets of one maker apart from the plug maker’s', () => {
    const { desk } = readTorqueSum(of({ sheet1: '20-28 Nm', sheet2: '25-32 Nm', plug: '26-30 Nm' }), 'metric');
    expect(desk.answer).toMatchObject({ lowNm: 26, highNm: 28, from: 'both' });
  });
});

describe('a wear sum', () => {
  const nickel = { material: 'nickel', gap: '0.75-0.85', found: '0.93' };
  test('is reckoned by what was measured where it could be, else by what is usual', () => {
    const { measured, rateMm } = readWearSum(of({ ...nickel, delivered: '0.80', ran: '12000 km' }), 'metric');
    expect(measured!.kind).toBe('rate');
    expect(rateMm).toBeCloseTo(0.13 / 1.2, 9);
    expect(readWearSum(of(nickel), 'metric').rateMm).toBeCloseTo(0.1, 9);
  });
  test('takes running hours for kilometres, fifty to one', () => {
    const { ends } = readWearSum(of({ ...nickel, ran: '100 h', interval: '400 h' }), 'metric');
    expect(ends.find(({ by }) => by === 'interval')!.leftKm).toBe(15_000);
  });
  test('a modified engine halves its interval and wears twice as fast', () => {
    const sum = readWearSum(of({ ...nickel, changed: 'modified', interval: '20000 km' }), 'metric');
    expect(sum.usualMm).toBeCloseTo(0.2, 9);
    expect(sum.schools[0]!.agreed.value).toBe(10_000);
  });
});

describe('the small sums', () => {
  const lines = ({ lines: said }: { lines: readonly string[] }) => said.join(' ');
  test('a limit is never widened by converting, and a reach that is a thread is asked', () => {
    expect(lines(convert(of({ kind: 'gap', figure: '0.70-0.75 mm' }), 'metric'))).toMatch(/28–29 thou/);
    expect(convert(of({ kind: 'reach', figure: '14' }), 'metric').readings).toMatchObject({
      figure: { kind: 'asked' },
    });
    expect(lines(convert(of({ kind: 'plug-torque', figure: '18 lbf ft' }), 'metric'))).toMatch(/24\.5 N·m.*2\.5 kgf·m/);
  });
  test('a pair of figures agrees as far as its digits go, or is asked', () => {
    expect(lines(pairGuard(of({ one: '10 N·m', other: '7 lbf·ft' })))).toMatch(/agree/);
    expect(pairGuard(of({ one: '25 N·m', other: '25 lbf·ft' })).wrong).toMatch(/Do not take either/);
    expect(pairGuard(of({ one: '25 N·m', other: '1 mm' })).wrong).toMatch(/one kind/);
  });
  test('socket, lead, copper, compression and cost answer in their own units', () => {
    expect(lines(socketSays(of({ hex: '13/16 in' }), 'metric'))).toMatch(/20\.8 mm, the same as 13\/16 in/);
    expect(lines(leadSays(of({ lead: '6.2 kΩ', length: '620' }), 'metric'))).toBe('10.0 kΩ a metre.');
    // 0.58 Ω at 60 °C: 0.58 / (1 + 0.00393 × 40).
    expect(lines(copperSays(of({ ohm: '0.58', warm: '60' }), 'metric'))).toMatch(/^0\.50 Ω/);
    expect(lines(compressionSays(of({ cylinders: '12 11.8 9 bar' }), 'metric'))).toMatch(
      /75%: usable.*Cylinder 3: 900 kPa/,
    );
    expect(compressionSays(of({ cylinders: '12 bar' }), 'metric').wrong).toMatch(/Two cylinders/);
    expect(lines(costSays(of({ price: '£16', lasts: '20 000 km' }), 'metric'))).toMatch(
      /^Parts to 60.000 km: £48\.00, 3 sets/,
    );
    const much = costSays(of({ price: '16', labour: 'much', lasts: '20 000 km' }), 'metric');
    expect([lines(much), much.readings?.labour]).toMatchObject(['', { kind: 'unreadable' }]);
  });
  test('a question stands at the field it is asked of, and what cannot be read is not reckoned as nothing', () => {
    expect(leadSays(of({ lead: '6.2 kΩ', length: 'long' }), 'metric').readings).toMatchObject({
      lead: { kind: 'read' },
      length: { kind: 'unreadable' },
    });
    expect(copperSays(of({ ohm: '900 kΩ', warm: '60' }), 'metric').readings).toMatchObject({
      ohm: { kind: 'asked' },
      warm: { kind: 'read' },
    });
    const far = costSays(of({ price: '16', lasts: '20 000 km', horizon: '0 km' }), 'metric');
    expect([lines(far), far.readings?.horizon]).toMatchObject(['', { kind: 'unreadable' }]);
    expect(readWearSum(of({ found: '0.8-0.9', gap: '0.7-0.8' }), 'metric').readings).toMatchObject({
      found: { kind: 'unreadable' },
      gap: { kind: 'read' },
    });
  });
  test('a wrench’s extension is reckoned once its three figures can be read', () => {
    expect(readOffset(of({ lever: '300', extension: '60' })).extension).toEqual({
      leverMm: 300,
      extensionMm: 60,
      angleDeg: 0,
    });
    expect(readOffset(of({ lever: '0', extension: '60' }))).toMatchObject({ isAsked: true, extension: undefined });
    expect(readOffset(of({ lever: '300', extension: '60', angle: '400' }))).toMatchObject({ isAsked: true });
  });
});
