import { ask, expect, pickRow, pressTimes, signInByKeys, slipPane, test, whyPanel } from './counter.ts';

test('from a worn stamping to the right plug, by keyboard alone, surviving a restart', async ({ page, counter }) => {
  await signInByKeys(page, counter);

  // G for 6: the stamping is worn.
  await ask(page, 'KN 42GG-63DR', /KN 426G-63DR.*read G as 6/);
  await expect(page.getByRole('heading', { name: 'KN 426G-63DR' })).toBeVisible();
  await expect(page.getByLabel('Price and stock')).toContainText('£9.40');

  await page.keyboard.press('1');
  await expect(page.getByRole('listbox', { name: 'Engines left' })).toBeVisible();
  await page.keyboard.press('f');
  await page.keyboard.type('skerrow haulm 2012');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'One engine is left' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Enter');

  // The plug in hand is picked in the tray, refused by 7.5 mm with what would happen.
  await expect(whyPanel(page)).toContainText('Refuse');
  await expect(whyPanel(page)).toContainText('KN 426G-63DR');
  await expect(whyPanel(page)).toContainText('+7.5 mm');
  await expect(whyPanel(page)).toContainText('carbon up and overheat, and it may meet the piston or a valve');
  await expect(page.getByRole('img', { name: /Section: KN 426G-63DR/ })).toContainText(
    '7.5 mm of thread stands in the chamber',
  );
  await page.keyboard.press('Enter');
  await page.keyboard.press('r');
  await expect(slipPane(page)).toContainText('not sold');

  await pressTimes(page, 'k', 60);
  await pickRow(page, 'KN 419G-63DR');
  await page.keyboard.press('Enter');
  await expect(slipPane(page).getByText('KN 419G-63DR').first()).toBeVisible();
  await expect(slipPane(page)).toContainText('£37.60');

  await counter.kill();
  await counter.start();
  await page.reload();
  await expect(slipPane(page)).toContainText('KN 419G-63DR');
  await expect(slipPane(page)).toContainText('Engine maker’s own number');
  await expect(slipPane(page)).toContainText('7.5 mm too long');
  await expect(slipPane(page)).toContainText('£45.12');
});
