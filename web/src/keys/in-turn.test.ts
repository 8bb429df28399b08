import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { InTurn, type Done } from './in-turn.ts';

let address = { pathname: '/counter/engine', search: '' };
beforeEach(() => {
  jest.useFakeTimers();
  address = { pathname: '/counter/engine', search: '' };
  Object.assign(globalThis, { window: { location: address } });
});
afterEach(() => {
  jest.useRealTimers();
});
const commanding = (run: (press: string) => void, forgot?: (presses: readonly string[]) => void) =>
  new InTurn<string>((press): Done => {
    run(press);
    return 'commanded';
  }, forgot);
const goTo = (pathname: string) => Object.assign(address, { pathname });

test('presses that waited together are run one by one, each once', () => {
  const ran: string[] = [];
  const inTurn = commanding((press) => ran.push(press));
  inTurn.drew({ pathname: '/counter/engine', search: '' });
  inTurn.add(['b', 'a']);
  inTurn.add(['b']);
  expect(ran).toEqual(['b', 'a', 'b']);
});

test('a press after one that leads elsewhere waits until that is drawn', async () => {
  const ran: string[] = [];
  const inTurn = commanding((press) => {
    ran.push(`${press} at ${address.pathname}`);
    if (press === ', s') goTo('/sums/feelers');
  });
  inTurn.drew({ pathname: '/counter/engine', search: '' });
  inTurn.add([', s', '1']);
  await jest.advanceTimersByTimeAsync(100);
  expect(ran).toEqual([', s at /counter/engine']);
  inTurn.drew({ pathname: '/sums/feelers', search: '' });
  await jest.advanceTimersByTimeAsync(0);
  expect(ran).toEqual([', s at /counter/engine', '1 at /sums/feelers']);
});

test('while the screen is on its way that the last press led to, what comes next waits for it, and no longer than five seconds', async () => {
  const inTurn = commanding(() => goTo('/counter/old-parts/refit'));
  inTurn.drew({ pathname: '/counter/engine', search: '' });
  inTurn.add(['y']);
  expect(inTurn.isAtIt).toBe(true);
  inTurn.drew({ pathname: '/counter/old-parts/refit', search: '' });
  await jest.advanceTimersByTimeAsync(0);
  expect(inTurn.isAtIt).toBe(false);

  goTo('/counter/engine');
  inTurn.drew(address);
  inTurn.add(['y']);
  await jest.advanceTimersByTimeAsync(4900);
  expect(inTurn.isAtIt).toBe(true);
  await jest.advanceTimersByTimeAsync(200);
  expect(inTurn.isAtIt).toBe(false);
});

test('a room that never comes holds the keys up for five seconds and no longer', async () => {
  const ran: string[] = [];
  const inTurn = commanding((press) => ran.push(press));
  inTurn.drew({ pathname: '/counter/parts', search: '' });
  inTurn.add(['j']);
  await jest.advanceTimersByTimeAsync(4900);
  expect(ran).toEqual([]);
  await jest.advanceTimersByTimeAsync(200);
  expect(ran).toEqual(['j']);
});

test('one press that fails does not take the keys after it with it', () => {
  const ran: string[] = [];
  const inTurn = commanding((press) => {
    if (press === 'x') throw new Error('a fault of the desk');
    ran.push(press);
  });
  const told: unknown[] = [];
  Object.assign(globalThis, { reportError: (error: unknown) => told.push(error) });
  inTurn.add(['x', 'j']);
  inTurn.add(['k']);
  expect(ran).toEqual(['j', 'k']);
  expect(told).toEqual([new Error('a fault of the desk')]);
});

test('a row picked in the tray, which only the address knows of, holds no key up', () => {
  const ran: string[] = [];
  const inTurn = commanding((press) => ran.push(press));
  inTurn.drew({ pathname: '/counter/parts', search: '?engine=skerrow-sc20&slip=7' });
  Object.assign(address, { pathname: '/counter/parts', search: '?engine=skerrow-sc20&slip=7&row=41' });
  inTurn.add(['+', '=']);
  expect(ran).toEqual(['+', '=']);
});

test('a field that writes what is typed into the address holds no key up, neither the next letter nor one that comes by itself', () => {
  const written: string[] = [];
  const inTurn = new InTurn<string>((press) => {
    written.push(press);
    Object.assign(address, { search: `?boost=${written.join('')}` });
    return 'written';
  });
  inTurn.drew({ pathname: '/counter/engine', search: '' });
  inTurn.add(['1', '1', '0']);
  expect(written).toEqual(['1', '1', '0']);
  expect(inTurn.isAtIt).toBe(false);
  // Whatever was typed last is not drawn yet; with nothing to run there is nothing to wait for.
  inTurn.add([]);
  expect(inTurn.isAtIt).toBe(false);
});

test('what is typed behind a key that opens a sheet waits until the sheet is there', async () => {
  const ran: string[] = [];
  let isThere: () => void = () => undefined;
  const inTurn = commanding((press) => {
    ran.push(press);
    if (press === 'n') isThere = inTurn.awaits('sheet');
  });
  inTurn.drew({ pathname: '/counter/engine', search: '' });
  inTurn.add(['n', '4']);
  await jest.advanceTimersByTimeAsync(29_000);
  expect(ran).toEqual(['n']);
  expect(inTurn.isAtIt).toBe(true);
  isThere();
  await jest.advanceTimersByTimeAsync(0);
  expect(ran).toEqual(['n', '4']);
  expect(inTurn.isAtIt).toBe(false);
});

test('a room whose file is fetched is waited for half a minute; then what was typed for it is forgotten, and commands nothing elsewhere', async () => {
  const ran: string[] = [];
  const forgotten: string[] = [];
  const inTurn = commanding(
    (press) => {
      ran.push(press);
      if (press === ', s') {
        goTo('/sums/feelers');
        inTurn.awaits('room');
      }
    },
    (presses) => forgotten.push(...presses),
  );
  inTurn.drew({ pathname: '/counter/engine', search: '' });
  inTurn.add([', s', '1', '.']);
  await jest.advanceTimersByTimeAsync(29_000);
  expect([ran, forgotten]).toEqual([[', s'], []]);
  await jest.advanceTimersByTimeAsync(2000);
  expect([ran, forgotten]).toEqual([[', s'], ['1', '.']]);
  // The keys are the desk's again, at once.
  inTurn.add(['j']);
  expect(ran).toEqual([', s', 'j']);
});

test('a room that has just been fetched, after however long, is waited for until it is drawn', async () => {
  const ran: string[] = [];
  let isFetched: () => void = () => undefined;
  const inTurn = commanding((press) => {
    ran.push(`${press} at ${address.pathname}`);
    if (press !== ', s') return;
    goTo('/sums/feelers');
    isFetched = inTurn.awaits('room');
  });
  inTurn.drew({ pathname: '/counter/engine', search: '' });
  inTurn.add([', s', '1']);
  await jest.advanceTimersByTimeAsync(12_000);
  isFetched();
  await jest.advanceTimersByTimeAsync(400);
  expect(ran).toEqual([', s at /counter/engine']);
  inTurn.drew({ pathname: '/sums/feelers', search: '' });
  await jest.advanceTimersByTimeAsync(0);
  expect(ran).toEqual([', s at /counter/engine', '1 at /sums/feelers']);
});

test('a room still fetched, from which somebody went on to another that is drawn, holds no key up', async () => {
  const ran: string[] = [];
  const inTurn = commanding((press) => ran.push(press));
  inTurn.drew({ pathname: '/counter/engine', search: '' });
  inTurn.awaits('room');
  inTurn.add(['j', 'k']);
  expect(ran).toEqual(['j', 'k']);
  await jest.advanceTimersByTimeAsync(0);
});
