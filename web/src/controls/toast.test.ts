/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import { showToasts, toast, toastsAreDue } from './toast.ts';

test('what is told before the corner is there is told once it is, in its order, and nothing twice', () => {
  const told: string[] = [];
  const by = Object.assign((says: string) => told.push(says), {
    error: (says: string) => told.push(`not done: ${says}`),
  }) as unknown as Parameters<typeof showToasts>[0];
  const { result: isDue } = renderHook(() => toastsAreDue.use());
  act(() => toast('OIX-12 put on the slip'));
  toast.error('The stock was not read');
  expect(told).toEqual([]);
  expect(isDue.current).toBe(true);
  showToasts(by);
  toast('Parked');
  showToasts(by);
  expect(told).toEqual(['OIX-12 put on the slip', 'not done: The stock was not read', 'Parked']);
});
