import { expect, expectAccessible, putWhatWaits, signIn, slipPane, slowly, test } from './counter.ts';

test('what is done at one till reaches the others as it is done, marked and said, and moves nothing under the hand', async ({
  page,
  counter,
  browser,
}) => {
  const desk = slowly(await (await browser.newContext()).newPage());
  await signIn(desk, counter, 'Isolde');
  await desk.goto(`${counter.address}/house-rules`);
  await expect(desk.getByRole('heading', { name: /Waits for the supervisor, \d/ })).toBeVisible();
  const waits = Number(
    await desk
      .getByRole('heading', { name: /Waits for/ })
      .locator('.num')
      .textContent(),
  );

  // A line that waits is seen on the supervisor's list, new, and her release on the slip it stands on.
  await signIn(page, counter, 'Wren');
  await putWhatWaits(page);
  const arrived = desk.getByRole('listitem').filter({ hasText: 'IVX-D12T-F09' });
  await expect(arrived).toContainText('new');
  await expect(desk.getByRole('heading', { name: `Waits for the supervisor, ${waits + 1}` })).toBeVisible();
  await arrived.getByRole('button', { name: /release/ }).click();
  await desk.keyboard.type('Customer wants it');
  await desk.keyboard.press('Enter');
  const changed = page.getByRole('status', { name: 'Changed elsewhere' });
  await expect(changed).toContainText('IVX-D12T-F09: released by Isolde');
  await expect(slipPane(page)).toContainText('Released by Isolde: Customer wants it');
  await expectAccessible(page);
  await changed.getByRole('button', { name: 'Seen' }).click();
  await expect(changed).toBeEmpty();

  // The fitter's page at the bench hears of it too.
  const bench = await page.context().newPage();
  await bench.goto(`${counter.address}/work/${new URL(page.url()).searchParams.get('slip')}`);
  await expect(bench.getByRole('heading', { name: '4 × IVX-D12T-F09' })).toBeVisible();
  await slipPane(page).getByRole('button', { name: 'One fewer IVX-D12T-F09' }).click();
  await expect(bench.getByRole('heading', { name: '3 × IVX-D12T-F09' })).toBeVisible();
  await bench.close();

  // A rule that is chosen judges the open tray anew: every row stands where it stood until the person has seen it.
  const rows = () => page.locator('[data-tray] [data-row]').evaluateAll((all) => all.map((row) => row.dataset.row));
  const before = await rows();
  await desk.keyboard.press('b');
  const told = page.getByRole('status', { name: 'Changed meanwhile' });
  await expect(told).toContainText('IVX-D12T-F09: Needs supervisor → ');
  await expect(page.locator('[data-row="IVX-D12T-F09"]')).toHaveAttribute('aria-selected', 'true');
  // How many there is room for is another matter: what changed is said below them.
  expect((await rows()).slice(0, 6)).toEqual(before.slice(0, 6));
  await expectAccessible(page);
  await page.keyboard.press('t');
  await expect(told).toBeEmpty();
  await expect(page.locator('[data-row="IVX-D12T-F09"]')).toHaveAttribute('aria-selected', 'true');

  // While a server is away nothing is told; when it is back, what was missed is caught up.
  await counter.kill();
  await counter.start();
  await desk.keyboard.press('a');
  await expect(told).toContainText('IVX-D12T-F09: Sell with advice → Needs supervisor');
  await desk.context().close();
});
