/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryObserver } from '@tanstack/react-query';
import type { Tidings } from '@brackenfell/contract/live';
import { keepLine, takeTidings } from './use-live.ts';
import { concerns } from './what-shows.ts';

const told = (some: Partial<Tidings>): Tidings => ({ topics: [], parts: [], slips: [], gap: false, ...some });
const holding = (queryKey: readonly unknown[], data?: unknown) => ({ queryKey, state: { data } }) as never;
const slip = (slipId: string, version: number, ...parts: string[]) =>
  holding(['slips', slipId], { docket: 7, slipId, version, lines: parts.map((partId) => ({ partId })) });
const tray = (...parts: string[]) => holding(['tray', 'an-engine', {}], { rows: parts.map((partId) => ({ partId })) });

describe('what is asked for anew', () => {
  test('a slip that another till wrote on, not one that is held as it stands', () => {
    const isConcerned = concerns(told({ slips: [{ slipId: '3', version: 5 }] }));
    expect(isConcerned(slip('3', 4))).toBe(true);
    expect(isConcerned(slip('3', 5))).toBe(false);
    expect(isConcerned(slip('3', 6))).toBe(false);
    expect(isConcerned(slip('4', 1))).toBe(false);
    expect(isConcerned(holding(['slips', 'list', []], { slips: [] }))).toBe(true);
    expect(isConcerned(holding(['waiting'], { lines: [] }))).toBe(true);
    expect(isConcerned(holding(['hand-over', '4', 1], {}))).toBe(false);
    expect(isConcerned(tray('9'))).toBe(false);
  });

  test('of a sale only the trays and slips that show the part', () => {
    const isConcerned = concerns(told({ parts: ['9'] }));
    expect(isConcerned(tray('8', '9'))).toBe(true);
    expect(isConcerned(tray('8'))).toBe(false);
    expect(isConcerned(slip('3', 1, '9'))).toBe(true);
    expect(isConcerned(slip('3', 1, '8'))).toBe(false);
    expect(isConcerned(holding(['part', '9', 'metric'], {}))).toBe(true);
    expect(isConcerned(holding(['part', '8', 'metric'], {}))).toBe(false);
    expect(isConcerned(holding(['house rules'], {}))).toBe(false);
  });

  test('of a rule every tray and slip, and never a form that somebody types in', () => {
    const isConcerned = concerns(told({ topics: ['rules', 'catalogue'] }));
    expect([tray('1'), slip('3', 1), holding(['house rules'], {})].map(isConcerned)).toEqual([true, true, true]);
    expect([holding(['record', 'engine', 'x'], {}), holding(['mending', '4'], {})].map(isConcerned)).toEqual([
      false,
      false,
    ]);
    expect(concerns(told({ gap: true }))(holding(['record', 'engine', 'x'], {}))).toBe(true);
  });

  test('of a job that goes on what shows jobs, and not the shop at every till', () => {
    const isConcerned = concerns(told({ topics: ['work'] }));
    expect([['imports'], ['audit'], ['instance']].map((key) => isConcerned(holding(key, {})))).toEqual([
      true,
      true,
      true,
    ]);
    expect([['shop'], ['tray', 'x'], ['slips', '1']].map((key) => isConcerned(holding(key, {})))).toEqual([
      false,
      false,
      false,
    ]);
  });

  test('once more, what was being asked for the first time when it changed', async () => {
    const queries = new QueryClient();
    const answers: ((answer: string) => void)[] = [];
    const observer = new QueryObserver(queries, {
      queryKey: ['waiting'],
      queryFn: () => new Promise<string>((resolve) => answers.push(resolve)),
    });
    const stop = observer.subscribe(() => undefined);
    takeTidings(queries, told({ slips: [{ slipId: '1', version: 2 }] }));
    answers[0]!('as it was before');
    await new Promise((resolve) => setTimeout(resolve, 5));
    answers[1]!('as it is');
    await new Promise((resolve) => setTimeout(resolve, 5));
    expect(observer.getCurrentResult().data).toBe('as it is');
    stop();
    queries.clear();
  });
});

/** A line as a browser has it, on which the test speaks for the server. */
class Line extends EventTarget {
  static made: Line[] = [];
  closed = false;
  readonly address: string;
  constructor(address: string) {
    super();
    this.address = address;
    Line.made.push(this);
  }
  close() {
    this.closed = true;
  }
  says(name: string, data: object = {}) {
    this.dispatchEvent(new MessageEvent(name, { data: JSON.stringify(data) }));
  }
}

describe('the line to the server', () => {
  let end: () => void;
  let heard: Tidings[];
  let lost: number;
  beforeEach(() => {
    jest.useFakeTimers();
    Line.made = [];
    heard = [];
    lost = 0;
    Object.assign(globalThis, { EventSource: Line, fetch: () => Promise.resolve({ ok: true }) });
    end = keepLine(
      (tidings) => heard.push(tidings),
      () => (lost += 1),
    );
  });
  afterEach(() => {
    end();
    jest.useRealTimers();
  });
  const line = () => Line.made.at(-1)!;
  const look = (visibilityState: 'hidden' | 'visible') => {
    Object.defineProperty(document, 'visibilityState', { value: visibilityState, configurable: true });
    document.dispatchEvent(new Event('visibilitychange'));
  };

  test('passes on what it says, and asks for everything when it has been made', () => {
    line().says('open');
    line().says('tidings', told({ topics: ['rules'] }));
    expect(line().address).toBe('/api/live');
    expect(heard).toEqual([told({ gap: true }), told({ topics: ['rules'] })]);
  });

  test('is made anew where it is lost, after pauses that grow, and again at once where it stood between', () => {
    line().says('error');
    expect(Line.made[0]!.closed).toBe(true);
    expect(lost).toBe(1);
    jest.advanceTimersByTime(500);
    expect(Line.made).toHaveLength(2);
    line().says('error');
    jest.advanceTimersByTime(999);
    expect(Line.made).toHaveLength(2);
    jest.advanceTimersByTime(1);
    expect(Line.made).toHaveLength(3);
    line().says('open');
    line().says('error');
    jest.advanceTimersByTime(500);
    expect(Line.made).toHaveLength(4);
  });

  test('is made anew where it falls silent, as that of a server which hangs does', () => {
    line().says('open');
    jest.advanceTimersByTime(20_000);
    line().says('beat');
    jest.advanceTimersByTime(20_000);
    expect(Line.made).toHaveLength(1);
    jest.advanceTimersByTime(3000);
    expect(Line.made).toHaveLength(2);
    expect(Line.made[0]!.closed).toBe(true);
  });

  test('is let go while nobody looks, and catches up when somebody does', () => {
    look('hidden');
    expect(line().closed).toBe(true);
    jest.advanceTimersByTime(60_000);
    expect(Line.made).toHaveLength(1);
    look('visible');
    line().says('open');
    expect(heard).toEqual([told({ gap: true })]);
  });
});
