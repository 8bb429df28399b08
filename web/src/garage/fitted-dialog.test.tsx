/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { GarageVehicle } from '@brackenfell/contract/garage';
import { FittedDialog } from './fitted-dialog.tsx';

const VAN = { vehicleId: '12', called: 'the grey van', countsIn: 'km', fitted: [] } as unknown as GarageVehicle;
const PART = { partId: '7', printed: 'KN 419G-63DR', maker: 'Kestrane', kind: 'plug', worn: false };

// A form's choices ask for it; nothing has a size here.
globalThis.ResizeObserver = class {
  readonly observe = () => undefined;
  readonly unobserve = () => undefined;
  readonly disconnect = () => undefined;
};

let written: unknown[] = [];
/** Answers all that was looked up so far. */
let answer: (parts: readonly object[]) => void;
const onClose = jest.fn();
beforeEach(() => {
  written = [];
  const asked: ((parts: readonly object[]) => void)[] = [];
  answer = (parts) => asked.splice(0).forEach((one) => one(parts));
  const reply = (body: unknown) =>
    ({ ok: true, status: 200, json: () => Promise.resolve(body) }) as unknown as Response;
  globalThis.fetch = jest.fn((address: unknown, { body }: RequestInit = {}) => {
    if ((address as string).includes('/part-numbers/'))
      return new Promise<Response>((resolve) => asked.push((parts) => resolve(reply({ parts }))));
    if (body) written.push(JSON.parse(body as string));
    return Promise.resolve(reply(VAN));
  });
  onClose.mockClear();
});
afterEach(() => {
  cleanup();
  window.localStorage.clear();
});

const tell = async () => {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <FittedDialog vehicle={VAN} onClose={onClose} />
    </QueryClientProvider>,
  );
  await userEvent.type(screen.getByRole('textbox', { name: 'Number' }), 'KN419G63DR{Enter}');
  expect((await screen.findByRole('status')).textContent).toBe('As soon as its number is found.');
  expect(written).toEqual([]);
};

test('what sits in it, told while its number is still looked up, is written once that is found', async () => {
  await tell();
  answer([PART]);
  await waitFor(() => expect(onClose).toHaveBeenCalledTimes(1));
  expect(written).toEqual([expect.objectContaining({ partId: '7', quantity: 4, how: 'said' })]);
});

test('what was changed since, or has no such number, is not written by itself', async () => {
  await tell();
  await userEvent.type(screen.getByRole('textbox', { name: 'Pieces' }), '{Backspace}6');
  answer([PART]);
  expect(await screen.findByText(/Kestrane$/)).toBeTruthy();
  expect(written).toEqual([]);
  cleanup();
  window.localStorage.clear();
  await tell();
  answer([]);
  expect(await screen.findByText('No part of this catalogue')).toBeTruthy();
  expect(screen.queryByRole('status')).toBeNull();
  expect(written).toEqual([]);
});
