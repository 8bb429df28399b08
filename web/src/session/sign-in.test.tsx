/** @jest-environment jsdom */
import { afterEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { SignIn } from './sign-in.tsx';

afterEach(cleanup);

/** The first screen, with a server that answers so. */
function show(status: number, body: object) {
  const sent: unknown[] = [];
  globalThis.fetch = jest.fn((_address: unknown, { body: text }: RequestInit = {}) => {
    sent.push(JSON.parse(text as string));
    return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as Response);
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <SignIn place="Tarn Parts, Beckside" />
    </QueryClientProvider>,
  );
  return sent;
}

test('whoever leaves a field empty is told which, stands in it, and nothing is sent', async () => {
  const sent = show(200, {});
  await userEvent.keyboard('Wren{Enter}');
  expect(screen.getByLabelText(/Password/)).toBe(document.activeElement);
  expect(screen.getByText('Type your password.')).toBeTruthy();
  expect(screen.queryByText('Type your name.')).toBeNull();
  expect(sent).toEqual([]);
});

test('a name and password that do not belong together are kept, and sent once more when Enter is pressed again', async () => {
  const sent = show(401, { title: 'Not signed in.', detail: 'They do not belong together.', code: 'wrong-secret' });
  await userEvent.keyboard('Wren{Tab}bracken{Enter}');
  await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('do not belong together'));
  expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Wren');
  expect(screen.getByLabelText<HTMLInputElement>('Password').value).toBe('bracken');
  await userEvent.keyboard(' and heather{Enter}');
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]).toEqual({ name: 'Wren', password: 'bracken and heather' });
});
