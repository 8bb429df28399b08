import { ask, expect, signIn, slipPane, test } from './counter.ts';

test('when the server is gone a banner says so, typed text is kept, and work goes on without a reload', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'skerrow sc20', /Skerrow SC20/);
  await expect(page.locator('[data-tray]')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(slipPane(page).getByText('KN 419G-63DR')).toBeVisible();
  const loads: string[] = [];
  page.on('framenavigated', (frame) => loads.push(frame.url()));

  await counter.kill();
  const customer = slipPane(page).getByLabel('For');
  await customer.focus();
  await page.keyboard.type('Cawdle Minibus Co-operative');
  await page.keyboard.press('Enter');
  await expect(page.getByText('The server does not answer.').first()).toBeVisible();
  await expect(customer).toHaveValue('Cawdle Minibus Co-operative');
  // What is on the desk still works: every row came with its reasons.
  await page.locator('[data-tray]').focus();
  await page.keyboard.press('j');
  await expect(page.locator('[data-why]')).toContainText('TS 500 226');

  await counter.start();
  await expect(page.getByText('The server does not answer.').first()).toBeHidden();
  await expect(customer).toHaveValue('Cawdle Minibus Co-operative');
  await customer.focus();
  await page.keyboard.press('Enter');
  await page.reload();
  await expect(slipPane(page).getByLabel('For')).toHaveValue('Cawdle Minibus Co-operative');
  expect(loads.length).toBeLessThanOrEqual(1); // only the reload asked for here
});
