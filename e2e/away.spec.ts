import { chromium, type Page } from '@playwright/test';
import { ask, expect, expectTray, signIn, slipPane, slowly, test, toRoom, type Counter } from './counter.ts';

test('when the server is gone a banner says so, typed text is kept, and work goes on without a reload', async ({
  page,
  counter,
}) => {
  // The connection is gone for the moment in which a room would have come ahead.
  const cut: string[] = [];
  await page.route(
    /assets\/shop-[\w-]{8}\.js$/,
    (route) => {
      cut.push(route.request().url());
      return route.abort();
    },
    { times: 1 },
  );
  await signIn(page, counter);
  await ask(page, 'skerrow sc20', /Skerrow SC20/);
  await expectTray(page);
  await page.keyboard.press('Enter');
  // Stored, not only on its way.
  await expect(slipPane(page)).toContainText('Kestrane, all 4');
  await page.evaluate(() => Object.assign(window, { stillTheSamePage: true }));
  await expect.poll(() => cut.length).toBe(1);

  await counter.kill();
  const customer = slipPane(page).getByLabel('For', { exact: true });
  await customer.focus();
  await page.keyboard.type('Cawdle Minibus Co-operative');
  await page.keyboard.press('Enter');
  await expect(page.getByText('The server does not answer.').first()).toBeVisible();
  await expect(customer).toHaveValue('Cawdle Minibus Co-operative');
  // What is on the desk still works: every row came with its reasons.
  await page.locator('[data-tray] .tray-scroll').focus();
  await page.keyboard.press('j');
  await expect(page.locator('[data-why]')).toContainText('TS 500 226');

  await expect(slipPane(page).getByRole('region', { name: 'Not sent yet' })).toContainText('For: Cawdle Minibus');
  await counter.start();
  await expect(page.getByText('The server does not answer.').first()).toBeHidden();
  await expect(slipPane(page).getByRole('region', { name: 'Not sent yet' })).toHaveCount(0);
  await expect(customer).toHaveValue('Cawdle Minibus Co-operative');
  expect(await page.evaluate(() => 'stillTheSamePage' in window)).toBe(true);
  await toRoom(page, 'g');
  await expect(page.getByRole('listbox', { name: 'Vehicles' })).toBeVisible();
  expect(await page.evaluate(() => 'stillTheSamePage' in window)).toBe(true);
  await page.reload();
  await expect(slipPane(page).getByLabel('For', { exact: true })).toHaveValue('Cawdle Minibus Co-operative');
});

async function beginAndLoseTheServer(page: Page, counter: Counter): Promise<void> {
  await signIn(page, counter);
  await ask(page, 'skerrow sc20', /Skerrow SC20/);
  await expectTray(page);
  await page.keyboard.press('Enter');
  // Stored, not only on its way.
  await expect(slipPane(page)).toContainText('Kestrane, all 4');
  await page.keyboard.press('j');
  // What the slip is written with has come: the counter has been open for a while.
  const missing = () =>
    page.evaluate(() => {
      const files = JSON.parse(document.getElementById('files-of-release')!.textContent) as string[];
      const come = new Set(performance.getEntriesByType('resource').map((one) => new URL(one.name).pathname));
      return files.filter((file) => !come.has(file));
    });
  await expect.poll(missing).toEqual([]);
  await counter.kill();
}

/** Half a minute of a slip's writes while nobody answers; what was typed and not sent stands in its field. */
async function workWhileAway(page: Page): Promise<void> {
  await page.keyboard.press('k');
  await page.keyboard.press('j');
  await page.keyboard.press('+');
  await expect(slipPane(page).getByRole('region', { name: 'Not sent yet' })).toContainText('put down');
  await page.keyboard.press(']');
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await page.keyboard.press('Escape');
  await page.keyboard.press(';');
  await page.keyboard.type('Rings back at four', { delay: 45 });
  await page.keyboard.press('Enter');
  await page.keyboard.press('=');
  await page.keyboard.press('p');
}

async function expectAllOnce(page: Page): Promise<void> {
  const parked = page.getByRole('button', { name: /04201.*parked/ });
  // A list that is open moves nothing under the hand: one opened before the last write arrived is opened again.
  await expect(async () => {
    await page.keyboard.press('Escape');
    await page.keyboard.press('=');
    await expect(parked).toBeVisible({ timeout: 3000 });
  }).toPass();
  await parked.click();
  await expect(slipPane(page)).toContainText('Rings back at four');
  await expect(slipPane(page).getByText('Rings back at four')).toHaveCount(1);
  await expect(slipPane(page).getByRole('listitem').filter({ hasText: 'KN 419G-63DR' }).first()).toContainText('6');
  await expect(slipPane(page).getByText('TS 500 226')).not.toHaveCount(0);
}

test('a line, a quantity, a note and parking while the server is gone for half a minute, and a reload, arrive once and in order', async ({
  page,
  counter,
}) => {
  await beginAndLoseTheServer(page, counter);
  await workWhileAway(page);
  await page.waitForTimeout(30_000);
  await page.reload().catch(() => undefined);
  await counter.start();
  await page.goto(counter.address);
  await expect(slipPane(page)).toContainText('No slip yet');
  await expectAllOnce(page);
});

test('the browser killed instead: what was not sent arrives when it is opened again', async ({ counter }, testInfo) => {
  const profile = testInfo.outputPath('profile');
  const open = () =>
    chromium.launchPersistentContext(profile, {
      ...testInfo.project.use.launchOptions,
      viewport: { width: 1280, height: 800 },
      locale: 'en-GB',
    });
  let context = await open();
  let page = slowly(context.pages()[0] ?? (await context.newPage()));
  await beginAndLoseTheServer(page, counter);
  await workWhileAway(page);
  // Long enough for the browser to have written its storage down.
  await page.waitForTimeout(2000);
  await context.close();
  await counter.start();
  context = await open();
  page = slowly(context.pages()[0] ?? (await context.newPage()));
  await page.goto(counter.address);
  await expect(slipPane(page)).toContainText('No slip yet');
  await expectAllOnce(page);
  await context.close();
});

test('a delivery begun before the server went is kept over a reload, and taken in while it is away it arrives once', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await page.goto(`${counter.address}/quarantine/receiving`);
  await expect(page.getByLabel('From')).toBeFocused();
  await expect(page.getByLabel('From')).toHaveText(/Choose the seller/);
  await page.keyboard.type('Fellpost');
  await page.keyboard.press('Tab');
  for (const text of ['IVX-C19-F10', '9', 'F6-1331']) {
    await page.keyboard.type(text, { delay: 45 });
    await page.keyboard.press('Tab');
  }
  await expect(page.getByRole('row', { name: /IVX-C19-F10/ })).toContainText('Ivorix');
  // What was found before the reload stands: the server dies before it is asked again.
  await page.route(/\/api\/(part-numbers|sellers)/, (route) => route.abort());
  await page.reload();
  await expect(page.getByLabel('Batch code').first()).toHaveValue('F6-1331');
  await counter.kill();
  await page
    .getByLabel(/Price each/)
    .first()
    .fill('2.40');
  await page.keyboard.press('Control+Enter');
  const waiting = page.getByRole('form', { name: 'A delivery' }).getByRole('region', { name: 'Not sent yet' });
  await expect(waiting).toContainText('delivery of 9 pieces');
  await page.waitForTimeout(5000);
  await counter.start();
  await expect(page.getByRole('region', { name: 'Not sent yet' })).toHaveCount(0);
  const deliveries = await page.evaluate(async () => {
    const response = await fetch('/api/deliveries');
    return ((await response.json()) as { deliveries: { seller: string }[] }).deliveries;
  });
  expect(deliveries.filter(({ seller }) => seller.startsWith('Fellpost'))).toHaveLength(1);
});

test('an engine taken while the slip has no number yet is the slip’s, whenever the server hears of it', async ({
  page,
  counter,
}) => {
  const engineOf = (says: string) =>
    expect(page.getByRole('navigation', { name: 'Stages' }).getByRole('button', { name: /^Engine/ })).toContainText(
      says,
    );
  let answer: () => void = () => undefined;
  const mayAnswer = new Promise<void>((resolve) => (answer = resolve));
  await page.route('**/api/slips', async (route) => {
    await mayAnswer;
    await route.continue();
  });
  await signIn(page, counter);
  await ask(page, 'sc20g', /Skerrow SC20G/);
  await expectTray(page);
  await page.keyboard.press('6');
  const heading = page.getByRole('main', { name: 'Old parts stage' }).getByRole('heading', { level: 1 });
  await expect(heading).toContainText('Nothing is read yet');
  for (const key of ['b', 'Enter', 'w', 'w', 'w']) await page.keyboard.press(key);
  await expect(heading).not.toContainText('Nothing is read yet');

  // Of a slip without a number nothing was looked at: the server is not asked about one that it does not know.
  await page.keyboard.press('3');
  const proof = page.getByRole('main', { name: /Proof/ });
  await expect(proof).toContainText('Nothing so far.');
  await expect(proof.getByRole('alert')).toHaveCount(0);
  await ask(page, 'h6', /Dunmarrow H6/);
  await engineOf('H6');
  await page.keyboard.press('6');
  await expect(heading).toContainText('Nothing is read yet');
  answer();
  await expect(slipPane(page).getByRole('region', { name: 'Not sent yet' })).toHaveCount(0);
  await expect(slipPane(page)).toContainText('Dunmarrow H6');
  await expect(heading).toContainText('Nothing is read yet');
  await page.reload();
  await engineOf('H6');
  await expect(slipPane(page)).toContainText('Dunmarrow H6');
});
