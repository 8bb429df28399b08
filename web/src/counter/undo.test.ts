import { describe, expect, test } from '@jest/globals';
import type { Slip } from '@brackenfell/contract/slip';
import type { SlipCall } from './slip-call.ts';
import { inverseOf } from './undo.ts';

const slip = (more: object): Slip =>
  ({
    slipId: '7',
    customer: '',
    vehicle: '',
    cameFor: '',
    engineId: null,
    build: null,
    duty: '',
    staying: null,
    engineCount: 1,
    lines: [],
    notes: [],
    readings: [],
    ...more,
  }) as unknown as Slip;
const line = (lineId: string, quantity: number, more: object = {}) => ({
  lineId,
  printed: 'KN 419G-63DR',
  quantity,
  batch: null,
  ...more,
});
const write = (name: SlipCall['name'], body: object = {}, lineId?: string): SlipCall => ({
  name,
  says: '',
  request: { params: { slipId: '7', ...(lineId ? { lineId } : {}) }, body: { ...body } },
});
const back = (...given: Parameters<typeof inverseOf>) => {
  const undo = inverseOf(...given);
  return undo && [undo.name, undo.request.params?.lineId, undo.request.body];
};

describe('stepping back', () => {
  test('takes off the line that was put down, and counts back the one that was counted up by putting it down again', () => {
    expect(back(write('addLine'), slip({}), slip({ lines: [line('1', 4)] }))).toEqual(['removeLine', '1', {}]);
    const [before, after] = [slip({ lines: [line('1', 4)] }), slip({ lines: [line('1', 6)] })];
    expect(back(write('addLine'), before, after)).toEqual(['changeLine', '1', { quantity: 4 }]);
  });

  test('takes the last gap of the very plug back, and leaves what went with another in its place', () => {
    const full = slip({ lines: [line('1', 4)] });
    const read = write('addGapReading', { piece: 3, stage: 'after', gapMm: 1.1, how: 'typed' }, '1');
    expect(back(read, full, full)).toEqual(['withdrawGapReading', '1', { piece: 3, which: 'last' }]);
    expect(back(write('withdrawGapReading', { piece: 3, which: 'all' }, '1'), full, full)).toBeUndefined();
  });

  test('puts back what was taken off, and takes off what was put back', () => {
    const full = slip({ lines: [line('1', 4)] });
    expect(back(write('removeLine', {}, '1'), full, slip({}))).toEqual(['restoreLine', '1', {}]);
    expect(back(write('restoreLine', {}, '1'), slip({}), full)).toEqual(['removeLine', '1', {}]);
  });

  test('sets a quantity and a batch to what they were', () => {
    const before = slip({ lines: [line('1', 4, { batch: { batchId: '9' } })] });
    expect(back(write('changeLine', { quantity: 5 }, '1'), before, before)).toEqual([
      'changeLine',
      '1',
      { quantity: 4 },
    ]);
    expect(back(write('changeLine', { batchId: null }, '1'), before, before)).toEqual([
      'changeLine',
      '1',
      { batchId: '9' },
    ]);
  });

  test('gives back only those details that were changed', () => {
    const before = slip({ customer: 'Walk-in', vehicle: 'van' });
    expect(back(write('changeSlip', { customer: 'Ling Moor Farm' }), before, before)).toEqual([
      'changeSlip',
      undefined,
      { customer: 'Walk-in' },
    ]);
  });

  test('takes a note back, gives an edited one its words again, and takes the last reading back', () => {
    const note = (noteId: string, text: string) => ({ noteId, text });
    const [before, after] = [slip({ notes: [note('1', 'old')] }), slip({ notes: [note('2', 'new')] })];
    expect(inverseOf(write('addNote'), slip({}), after)?.request).toMatchObject({
      params: { noteId: '2' },
      body: { text: '' },
    });
    const edited = { ...write('mendNote'), request: { params: { slipId: '7', noteId: '1' }, body: { text: 'new' } } };
    expect(inverseOf(edited, before, after)?.request).toMatchObject({ params: { noteId: '2' }, body: { text: 'old' } });
    const read = slip({ readings: [{ readingId: '3' }, { readingId: '4' }] });
    expect(inverseOf(write('addReading'), slip({}), read)?.request.params).toMatchObject({ readingId: '4' });
  });

  test('does not reach behind a sale, an end or parking', () => {
    for (const name of ['collectSlip', 'endSlip', 'parkSlip', 'createSlip'] as const)
      expect(inverseOf(write(name), slip({}), slip({}))).toBeUndefined();
  });
});

describe('a rule settled on the slip', () => {
  const rule = (school: string, reason: string) => ({ rule: 'grease', school, reason });
  const settle: SlipCall = {
    name: 'chooseOnSlip',
    says: '',
    request: { params: { slipId: '7', rule: 'grease' }, body: { school: 'dry', reason: 'asked for' } },
  };
  test('is stepped back to what the shop does where it was not settled before', () => {
    const undo = inverseOf(settle, slip({ rules: [] }), slip({ rules: [rule('dry', 'asked for')] }))!;
    expect(undo.request).toEqual({
      params: { slipId: '7', rule: 'grease' },
      body: { school: null, reason: 'taken back' },
    });
  });
  test('and to what was settled before, with the reason it had', () => {
    const undo = inverseOf(settle, slip({ rules: [rule('smear', 'wet boat')] }), slip({ rules: [rule('dry', 'x')] }))!;
    expect(undo.request.body).toEqual({ school: 'smear', reason: 'wet boat' });
  });
});

describe('stepping back from what is kept', () => {
  const plugs = (gapMm: number) => ({
    kind: 'old-plugs',
    engineId: 'skerrow-sc20',
    cylinders: [{ cylinder: 1, looked: [], signs: [], gapMm }],
    context: [],
    results: {},
  });
  test('goes back to what was kept before, or to nothing read', () => {
    const call = write('keepOnSlip', { kept: plugs(1.1) });
    expect(back(call, slip({ kept: [plugs(0.9)] }), slip({ kept: [plugs(1.1)] }))?.[2]).toEqual({ kept: plugs(0.9) });
    expect(back(call, slip({ kept: [] }), slip({}))?.[2]).toEqual({ kept: { ...plugs(1.1), cylinders: [] } });
  });
  test('a swap test is stepped back from in its own sheet', () => {
    const kept = { kind: 'swap-test', code: '3', results: [] };
    expect(back(write('keepOnSlip', { kept }), slip({ kept: [] }), slip({}))).toBeUndefined();
  });
});
