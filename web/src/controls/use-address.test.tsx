/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { act, cleanup, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { BrowserRouter } from 'react-router';
import { useAddress, useAddressText } from './use-address.ts';

/** A list that is narrowed by how a number begins, and to what is on the shelf. */
function Narrowed() {
  const [begins, setBegins] = useAddressText('begins');
  const { search, write } = useAddress();
  return (
    <>
      <input aria-label="Begins" value={begins} onChange={({ target }) => setBegins(target.value)} />
      <button
        type="button"
        onClick={() => {
          write({ shelf: 'yes' });
          write({ kind: ['plug', 'coil'] });
        }}
      >
        on the shelf
      </button>
      <output>{search.toString()}</output>
    </>
  );
}

beforeEach(() => {
  window.history.replaceState({}, '', '/catalogue/numbers?slip=4108');
  render(<Narrowed />, { wrapper: BrowserRouter });
});
afterEach(cleanup);

test('what is typed stands in the field and in the address, beside the slip that is open', async () => {
  await userEvent.type(screen.getByLabelText('Begins'), 'ivx');
  expect(window.location.search).toBe('?slip=4108&begins=ivx');
  await userEvent.clear(screen.getByLabelText('Begins'));
  expect(window.location.search).toBe('?slip=4108');
});

test('two writes before the address is drawn are both kept', () => {
  act(() => screen.getByRole('button').click());
  expect(window.location.search).toBe('?slip=4108&shelf=yes&kind=plug&kind=coil');
  expect(screen.getByRole('status').textContent).toBe('slip=4108&shelf=yes&kind=plug&kind=coil');
});
