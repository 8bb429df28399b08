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

test('a supercharged five on a smaller pulley runs out of spark at its stock gap, and the address keeps the sum', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await page.keyboard.press(',');
  await page.keyboard.press('s');
  await expect(page.getByRole('heading', { name: 'Feelers' })).toBeVisible();
  await page.getByLabel('Gap, or its range').press('Escape');
  await page.keyboard.press('2');
  const estimate = page.getByRole('region', { name: 'The estimate' });
  await expect(estimate).toContainText('Compression ratio');
  const typed = [
    ['Gap, or its range', '0.60-0.70'],
    ['Compression ratio', '8.8'],
    ['Rated speed, rpm', '6500'],
    [/^Boost/, '110'],
    [/^Primary at 20/, '0.5'],
    ['Primary, mH', '2.5'],
    ['Peak current, A', '7'],
    ['Rated voltage, kV', '32'],
  ] as const;
  for (const [label, figure] of typed) {
    await page.getByLabel(label).focus();
    await page.keyboard.type(figure, { delay: 20 });
  }
  await expect(estimate.getByRole('heading')).toContainText('Runs out before it is worn: at 0.70 mm 29% in hand new');
  await expect(estimate).toContainText('No gap of this range keeps 30%');
  await expect(estimate.getByRole('img', { name: /Drawn for torque peak/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Rated voltage, kV').fill('38');
  await page.getByLabel('Primary, mH').fill('2.8');
  await page.getByLabel('Peak current, A').fill('7.5');
  await expect(estimate).toContainText('The widest that keeps 30%');
  await page.reload();
  await expect(estimate).toContainText('The widest that keeps 30%');
  await page.getByLabel('Compression ratio').fill('88');
  await expect(estimate.getByRole('alert')).toContainText('Cannot be: Compression ratio');
});
