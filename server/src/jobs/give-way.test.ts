import { EventEmitter } from 'node:events';
import type { ChildProcess } from 'node:child_process';
import { describe, expect, jest, test } from '@jest/globals';
import { restAfter, restBeside, tellBusy } from './give-way.ts';

describe('a worker beside the counter', () => {
  test('rests the longer the busier the counter is, and never longer than a second', () => {
    expect(restAfter(200, 0)).toBe(0);
    expect(restAfter(200, 0.5)).toBe(400);
    expect(restAfter(100, 0.75)).toBeCloseTo(600);
    expect(restAfter(200, 1)).toBe(1000);
    expect(restAfter(60_000, 0.5)).toBe(1000);
  });

  test('is told by a server how busy it is as long as it lives, and rests by what it was told', async () => {
    jest.useFakeTimers({ doNotFake: ['performance'] });
    try {
      const line = new EventEmitter();
      const send = jest.fn((told: unknown) => line.emit('message', told));
      const worker = Object.assign(new EventEmitter(), { connected: true, send });
      const rest = restBeside(line as unknown as NodeJS.Process);
      tellBusy(worker as unknown as ChildProcess);
      await rest(1e6);
      jest.advanceTimersByTime(500);
      expect(send).toHaveBeenCalledTimes(1);
      const { busy } = send.mock.calls[0]![0] as { busy: number };
      expect(busy).toBeGreaterThan(0);
      expect(busy).toBeLessThanOrEqual(1);

      line.emit('message', { busy: 1 });
      const rested = jest.fn();
      const resting = rest(1e6).then(rested);
      await jest.advanceTimersByTimeAsync(999);
      expect(rested).not.toHaveBeenCalled();
      await jest.advanceTimersByTimeAsync(1);
      await resting;

      worker.emit('exit');
      const sent = send.mock.calls.length;
      jest.advanceTimersByTime(5000);
      expect(send).toHaveBeenCalledTimes(sent);
    } finally {
      jest.useRealTimers();
    }
  });
});
