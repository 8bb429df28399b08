import { expect, expectAccessible, signIn, test } from './counter.ts';

test('blades for a gap are told by keyboard, in any unit, with what tells a gap inside its range', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await page.keyboard.press(',');
  await page.keyboard.press('s');
  await expect(page.getByRole('heading', { name: 'Feelers' })).toBeVisible();
  await expect(page.getByLabel('Gap, or its range')).toBeFocused();
  await page.keyboard.type('1.05-1.15', { delay: 30 });
  const made = page.getByRole('region', { name: 'What the blades make' });
  await expect(made.getByRole('img', { name: '1.00 mm and 0.10 mm together: 1.10 mm' })).toBeVisible();
  await expect(made.getByRole('region', { name: 'To tell it' })).toContainText('Go: it enters');
  await expect(made).toContainText('No-go: it does not: these blades make none');
  await expectAccessible(page);

  // The address carries the question; a reload answers it again.
  await page.reload();
  await expect(made).toContainText('exactly');

  // Thousandths under a millimetre heading are asked about, never taken.
  await page.getByLabel('Gap, or its range').fill('32 mm');
  await expect(page.getByRole('alert')).toContainText(/mean/);
  await expect(made).toContainText('Type a gap');
  await page.getByRole('button', { name: /thou/ }).first().click();
  await expect(made.getByRole('img').first()).toBeVisible();

  await page.getByRole('combobox', { name: 'Blades' }).press('Enter');
  await page.keyboard.type('inch', { delay: 30 });
  await page.keyboard.press('Enter');
  await expect(made).toContainText('32 thou');
});
