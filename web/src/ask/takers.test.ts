import { expect, jest, test } from '@jest/globals';
import type { AskAnswer } from '@brackenfell/contract/ask';
import { takersOf } from './takers.ts';

const part = (partId: string, more: object = {}) => ({
  partId,
  kind: 'plug',
  number: `KN ${partId}`,
  printed: `KN ${partId}`,
  maker: 'Kestrane',
  nameKind: 'catalogue',
  stage: 'exact',
  how: '',
  differs: [],
  sharedBy: 1,
  suitsEngine: null,
  onHand: 4,
  priceMinor: 940,
  succession: null,
  ...more,
});
const answer = (more: object): AskAnswer => ({
  parts: [],
  engines: [],
  hasAlike: false,
  vehicles: [],
  garage: [],
  slips: [],
  batches: [],
  measures: [],
  measured: null,
  onlyOf: [],
  remark: null,
  ...more,
});
const take = () => ({
  part: jest.fn(),
  engine: jest.fn(),
  slip: jest.fn(),
  garage: jest.fn(),
  measured: jest.fn(),
  plate: jest.fn(),
  batch: jest.fn(),
});
const keys = (data: AskAnswer | undefined, question: string) => [...takersOf(data, question, take()).keys()];

test('a number as it is written stands before one it was read as, whatever order they came in', () => {
  const data = answer({ parts: [part('2', { stage: 'edit' }), part('1'), part('3', { nameKind: 'barcode' })] });
  expect(keys(data, 'KN')).toEqual(['part 3', 'part 1', 'part 2']);
});

test('an engine stands before the vehicles it sits in, and those before slips and batches', () => {
  const data = answer({
    batches: [{ batchId: '9', code: 'B', printed: '', seller: '', state: 'open' }],
    slips: [{ slipId: '7', docket: 4201, title: '' }],
    vehicles: [{ vehicleId: '5', engineId: 'ostrel-ow12', title: 'Ostrel Linnet', engine: 'OW12', years: '2014 on' }],
    engines: [{ engineId: 'ostrel-ow12', title: 'Ostrel OW12', summary: '' }],
  });
  expect(keys(data, 'ow12?')).toEqual(['engine ostrel-ow12', 'vehicle 5', 'slip 7', 'batch 9']);
});

test('what any word can be, a plate, comes after everything that was found', () => {
  const data = answer({ garage: [{ vehicleId: '8', called: 'car 8', plate: 'CW-1908', customer: '' }] });
  expect(keys(data, 'cw-1908')).toEqual(['garage 8', 'plate']);
});

test('taking a vehicle asks for its engine, and says which vehicle it is', () => {
  const taken = take();
  const data = answer({
    vehicles: [{ vehicleId: '5', engineId: 'ostrel-ow12', title: 'Ostrel Linnet', engine: 'OW12', years: '2014 on' }],
  });
  takersOf(data, 'linnet', taken).get('vehicle 5')!();
  expect(taken.engine).toHaveBeenCalledWith('ostrel-ow12', 'Ostrel Linnet 2014 on');
});

test('before anything has come there is nothing to take', () => {
  expect(keys(undefined, 'cw-1908')).toEqual([]);
});
