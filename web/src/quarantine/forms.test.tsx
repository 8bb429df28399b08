/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { NewSeller } from './new-seller.tsx';
import { NewNotice } from './notices-page.tsx';
import { ReasonDialog } from './reason-dialog.tsx';

/** What the server was sent, in order, and what it answers. */
let sent: { readonly address: string; readonly body: unknown }[] = [];
let answers: { status: number; body: unknown } = { status: 200, body: {} };
beforeEach(() => {
  sent = [];
  answers = { status: 200, body: {} };
  globalThis.fetch = jest.fn((address: unknown, { body }: RequestInit = {}) => {
    // What has no body asks whether anybody is there.
    if (body) sent.push({ address: address as string, body: JSON.parse(body as string) });
    const { status } = answers;
    return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(answers.body) } as Response);
  });
});
afterEach(cleanup);

const show = (form: React.ReactNode) =>
  render(<QueryClientProvider client={new QueryClient()}>{form}</QueryClientProvider>);
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });
const field = (name: string | RegExp) => screen.getByRole<HTMLInputElement>('textbox', { name });

describe('a reason that others will rest on', () => {
  const ask = (pending = false) => {
    const did = { onReason: jest.fn(), onClose: jest.fn() };
    render(<ReasonDialog title="Hold" about="All of it" act="Hold it" pending={pending} {...did} />);
    return did;
  };
  test('is asked until it is one: blanks and two letters are none', async () => {
    const { onReason } = ask();
    await userEvent.keyboard('  ab  {Enter}');
    expect(onReason).not.toHaveBeenCalled();
    await userEvent.keyboard('c{Enter}');
    expect(onReason).toHaveBeenCalledWith('ab  c');
  });
  test('is not sent twice while the first is on its way; Escape leaves it', async () => {
    const { onReason, onClose } = ask(true);
    await userEvent.keyboard('gaps scattered{Enter}');
    expect(onReason).not.toHaveBeenCalled();
    await userEvent.keyboard('{Escape}');
    expect(onClose).toHaveBeenCalledTimes(1);
  });
});

describe('a recall notice whose number is still looked up', () => {
  const PART = { partId: '7', printed: 'KN 419G-63DR', maker: 'Kestrane', kind: 'plug', worn: false };
  const whole = [{ partId: '7', code: 'F4-0431', from: 'Kestrane', says: 'cracked insulators' }];
  /** What was typed until then is looked up with the number itself: all of it is answered at once. */
  let asked: ((parts: readonly object[]) => void)[] = [];
  const answer = (parts: readonly object[]) => asked.forEach((one) => one(parts));
  const tell = async () => {
    asked = [];
    const answering = globalThis.fetch;
    globalThis.fetch = jest.fn((address: unknown, more: RequestInit = {}) =>
      (address as string).includes('/part-numbers/')
        ? new Promise<Response>((resolve) => {
            asked.push((parts) =>
              resolve({ ok: true, status: 200, json: () => Promise.resolve({ parts }) } as unknown as Response),
            );
          })
        : answering(address as string, more),
    );
    answers = { status: 201, body: { batches: 1 } };
    show(<NewNotice />);
    await userEvent.type(field('Number'), 'KN419G63DR');
    await userEvent.type(field('Batch code'), 'F4-0431');
    await userEvent.type(field('From'), 'Kestrane');
    await userEvent.type(field('What it says'), 'cracked insulators{Enter}');
    expect((await screen.findByRole('status')).textContent).toBe('Held as soon as its number is found.');
    expect(sent).toEqual([]);
  };
  test('is sent once that is found, and once only', async () => {
    await tell();
    answer([PART]);
    await waitFor(() => expect(field('Batch code').value).toBe(''));
    expect(sent.map(({ body }) => body)).toEqual(whole);
  });
  const form = () => screen.getByRole('form');
  test('is sent where it is told in the moment in which the answer is there, and is not yet shown', async () => {
    await tell();
    // Nothing is due any more.
    fireEvent.change(field('Batch code'), { target: { value: 'F4-0432' } });
    fireEvent.change(field('Batch code'), { target: { value: 'F4-0431' } });
    new MutationObserver((_, watch) => {
      watch.disconnect();
      fireEvent.submit(form());
    }).observe(form(), { childList: true, subtree: true, characterData: true });
    answer([PART]);
    await waitFor(() => expect(sent.map(({ body }) => body)).toEqual(whole));
  });
  test('is not sent by itself once anything of it was changed, nor where there is no such number', async () => {
    await tell();
    await userEvent.type(field('Batch code'), '2');
    answer([PART]);
    expect(await screen.findByText(/Kestrane$/)).toBeTruthy();
    expect(sent).toEqual([]);
    cleanup();
    await tell();
    answer([]);
    expect((await screen.findByRole('alert')).textContent).toBe('Which part is it about?');
    expect(sent).toEqual([]);
  });
});

describe('a new seller', () => {
  const name = () => field(/^A new seller/);
  test('without a name is asked for one, and nothing is sent', async () => {
    show(<NewSeller />);
    await userEvent.click(button('Add'));
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(sent).toEqual([]);
  });
  test('is sent with the way its parts come, and the form is ready for the next', async () => {
    answers = { status: 201, body: { name: 'Eastgate' } };
    show(<NewSeller />);
    await userEvent.type(name(), 'Eastgate');
    await userEvent.selectOptions(screen.getByRole('combobox'), 'marketplace');
    await userEvent.click(button('Add'));
    await waitFor(() => expect(name().value).toBe(''));
    expect(sent[0]!.body).toEqual({ name: 'Eastgate', channel: 'marketplace' });
  });
  test('whose name is taken is told so at the field, and what was typed stays', async () => {
    answers = { status: 409, body: { title: 'Taken.', detail: 'There is one.', fields: { name: 'There is one.' } } };
    show(<NewSeller />);
    await userEvent.type(name(), 'Eastgate{Enter}');
    expect((await screen.findByRole('alert')).textContent).toBe('There is one.');
    expect([name().value, name().getAttribute('aria-invalid')]).toEqual(['Eastgate', 'true']);
  });
});
