/** @jest-environment jsdom */
import { afterEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import { sayIn } from '@brackenfell/core/fitment/say';
import { FeelerPanel, feelerWords } from './feeler-panel.tsx';
import { useBlades } from './use-blades.ts';

afterEach(cleanup);

const asked = { range: { low: 0.8, high: 0.8 }, say: sayIn('metric') };

function Feelers() {
  const { known } = useBlades();
  return (
    <>
      <FeelerPanel {...asked} known={known} />
      <p>{feelerWords({ ...asked, known }).join(' ')}</p>
    </>
  );
}

/** A drawer's answer, given when the test gives it. */
function openDrawer() {
  let give: (answer: Response) => void = () => undefined;
  let lose: (error: Error) => void = () => undefined;
  globalThis.fetch = jest.fn(
    () =>
      new Promise<Response>((resolve, reject) => {
        [give, lose] = [resolve, reject];
      }),
  );
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, networkMode: 'always' } } });
  render(
    <QueryClientProvider client={client}>
      <Feelers />
    </QueryClientProvider>,
  );
  const answer = (body: object) => give({ ok: true, status: 200, json: () => Promise.resolve(body) } as Response);
  return { answer, lose: () => lose(new TypeError('Failed to fetch')) };
}

test('no blade is named before it is known which the shop owns; then only those in its drawer', async () => {
  const drawer = openDrawer();
  expect(screen.getByText('Looking which blades this shop owns …')).toBeTruthy();
  expect(screen.queryByRole('img')).toBeNull();
  drawer.answer({
    blades: [
      { size: 0.5, unit: 'mm' },
      { size: 0.3, unit: 'mm' },
    ],
    by: 'Wren',
    at: '2026-11-30T09:00:00Z',
  });
  expect(await screen.findByRole('img', { name: /^0\.50 mm and 0\.30 mm together/ })).toBeTruthy();
  expect(screen.queryByText(/usual set/)).toBeNull();
});

test('blades that cannot be asked for are a usual set, and the answer says so, on the screen and as text', async () => {
  openDrawer().lose();
  expect(await screen.findAllByText(/could not be asked: a usual set is reckoned with/)).toHaveLength(2);
  expect(screen.getByRole('img', { name: /0\.80 mm/ })).toBeTruthy();
});
