import { ask, expect, expectTray, signIn, slipPane, test } from './counter.ts';

test('when the server is gone a banner says so, typed text is kept, and work goes on without a reload', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'skerrow sc20', /Skerrow SC20/);
  await expectTray(page);
  await page.keyboard.press('Enter');
  await expect(slipPane(page).getByText('KN 419G-63DR')).toBeVisible();
  await page.evaluate(() => Object.assign(window, { stillTheSamePage: true }));

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

  await counter.start();
  await expect(page.getByText('The server does not answer.').first()).toBeHidden();
  await expect(customer).toHaveValue('Cawdle Minibus Co-operative');
  expect(await page.evaluate(() => 'stillTheSamePage' in window)).toBe(true);
  const stored = page.waitForResponse((response) => response.request().method() === 'PATCH' && response.ok());
  await customer.focus();
  await page.keyboard.press('Enter');
  await stored;
  await page.reload();
  await expect(slipPane(page).getByLabel('For', { exact: true })).toHaveValue('Cawdle Minibus Co-operative');
});
