import { ask, expect, expectAccessible, expectTray, pickRow, signInByKeys, slipPane, test } from './counter.ts';

test('a quote is found, made ready, handed over in part, and its rest waits on a linked slip, by keyboard', async ({
  page,
  counter,
}) => {
  await signInByKeys(page, counter);
  await ask(page, 'as22', /Aldersyke AS22/);
  await expectTray(page);
  await pickRow(page, 'KN 426G-63IR');
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText('KN 426G-63IR');
  await slipPane(page).getByRole('textbox', { name: 'For', exact: true }).fill('Vesper Quillan');
  await page.keyboard.press('Enter');
  await page.locator('[data-desk]').focus();
  await page.keyboard.press('=');
  await page.keyboard.press('u');
  await expect(slipPane(page)).toContainText(/This slip is quoted, held to/);
  await expect(slipPane(page).getByRole('button', { name: 'Take it up' })).toBeVisible();
  await page.keyboard.press('=');
  await page.keyboard.press('q');
  await page.keyboard.press('=');
  const slips = page.getByRole('dialog');
  await slips.getByRole('textbox', { name: /^Find by number/ }).fill('vesper');
  await expect(slips.getByRole('listitem')).toHaveCount(1);
  await expect(slips).toContainText('prices held to');
  await expectAccessible(page);
  // Escape closes the sheet; opened anew it lists all that waits, and a letter shows the quote.
  await slips.getByRole('listitem').getByRole('button').click();
  await expect(slipPane(page)).toContainText('This slip is quoted');
  await page.reload();
  await expect(slipPane(page)).toContainText('This slip is quoted');
  await page.keyboard.press('=');
  await page.keyboard.press('r');
  await expect(slipPane(page)).toContainText(/This slip is ready to be collected, held to/);
  await page.keyboard.press('$');
  const collect = page.getByRole('dialog');
  await collect.getByText('Only a part of it leaves now').click();
  const field = collect.getByRole('textbox', { name: 'Of KN 426G-63IR now' });
  await field.fill('9');
  await expect(collect).toContainText('no more than is on the slip');
  await field.fill('1');
  await expect(collect).toContainText('3 left for a slip that waits');
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('No slip yet');
  await page.keyboard.press('=');
  await expect(slips).toContainText('ordered');
  await slips.getByRole('button', { name: /Vesper Quillan.*ordered/ }).click();
  await expect(slipPane(page)).toContainText('This slip is ordered');
  await slipPane(page)
    .getByRole('button', { name: /^With slip .* collected/ })
    .click();
  await expect(slipPane(page)).toContainText('collected and final');
  // What was told of it is told again as it was.
  await page.keyboard.press(']');
  await page.keyboard.press('w');
  const told = page.getByRole('dialog', { name: /^What was told of KN 426G-63IR/ });
  await expect(told).toContainText('Reach');
  await expect(told).toContainText('Aldersyke');
  await expectAccessible(page);
  await page.keyboard.press('Escape');
});
