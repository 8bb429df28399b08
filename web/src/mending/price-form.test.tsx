/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Mending } from '@brackenfell/contract/mending';
import { PriceForm } from './price-form.tsx';

/** What the server was sent, in order, and what it answers. */
let sent: { readonly address: string; readonly body: unknown }[] = [];
let answers: { status: number; body: unknown } = { status: 200, body: {} };
beforeEach(() => {
  sent = [];
  answers = { status: 200, body: {} };
  globalThis.fetch = jest.fn((address: unknown, { body }: RequestInit = {}) => {
    sent.push({ address: address as string, body: JSON.parse(body as string) });
    const { status } = answers;
    return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(answers.body) } as Response);
  });
});
afterEach(cleanup);

const show = (form: React.ReactNode) =>
  render(<QueryClientProvider client={new QueryClient()}>{form}</QueryClientProvider>);
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });
const field = (name: string | RegExp) => screen.getByRole<HTMLInputElement>('textbox', { name });

describe('the price of a part', () => {
  const mending = (price: Mending['price']) => ({ partId: '70', price }) as Mending;
  const priced = (price: Mending['price'] = { eachMinor: 940, packOf: 4 }) =>
    show(<PriceForm mending={mending(price)} />);

  test('stands as it is, and is kept only once it is another', async () => {
    priced();
    expect([field(/Price each/).value, field('Sold in packs of').value]).toEqual(['9.40', '4']);
    expect(button('Keep the price').disabled).toBe(true);
    await userEvent.clear(field(/Price each/));
    await userEvent.type(field(/Price each/), '9.80');
    await userEvent.click(button('Keep the price'));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      address: '/api/parts/70/mending',
      body: { change: { what: 'price', eachMinor: 980, packOf: 4 } },
    });
  });

  test('of a pack alone is another price', async () => {
    priced();
    await userEvent.clear(field('Sold in packs of'));
    await userEvent.type(field('Sold in packs of'), '6{Enter}');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ change: { eachMinor: 940, packOf: 6 } });
  });

  test.each([
    ['nothing', ' ', '4'],
    ['words', 'nine', '4'],
    ['a pack of none', '9.80', '0'],
    ['a pack of letters', '9.80', 'four'],
  ])('of %s is not sent, not by Enter either', async (_, each, pack) => {
    priced(null);
    await userEvent.type(field(/Price each/), each);
    await userEvent.clear(field('Sold in packs of'));
    await userEvent.type(field('Sold in packs of'), `${pack}{Enter}`);
    expect(button('Keep the price').disabled).toBe(true);
    expect(sent).toEqual([]);
  });

  test('that the server refuses stays in its field, with the reason beside it', async () => {
    answers = { status: 409, body: { title: 'Not now.', detail: 'Somebody changed it.' } };
    priced();
    await userEvent.clear(field(/Price each/));
    await userEvent.type(field(/Price each/), '9.80{Enter}');
    expect((await screen.findByRole('alert')).textContent).toBe('Not now. Somebody changed it.');
    expect(field(/Price each/).value).toBe('9.80');
  });
});
