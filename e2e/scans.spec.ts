import { ask, expect, expectTray, signIn, slipPane, test } from './counter.ts';
import { bringScanner } from './scanner.ts';
import type { Page } from '@playwright/test';

/** A scanner types far faster than fingers and ends with Enter; a field takes its characters as typed text. */
async function scan(page: Page, code: string): Promise<void> {
  await bringScanner(page);
  await page.evaluate((typed) => {
    const target = document.activeElement ?? document.body;
    const setText = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value');
    for (const press of window.scannerKeys([...typed, 'Enter'])) {
      if (!target.dispatchEvent(press) || !(target instanceof HTMLInputElement) || press.key === 'Enter') continue;
      setText?.set?.call(target, target.value + press.key);
      target.dispatchEvent(new Event('input', { bubbles: true }));
    }
  }, code);
}

test('a scan while the keys are shown waits in the list, and one into a note neither sends it nor becomes it', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'sc20', /Skerrow SC20/);
  await expectTray(page);
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('Kestrane, all 4');

  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys and actions of this screen' })).toBeVisible();
  await scan(page, '2900004196305');
  await expect(page.getByText('was scanned and is kept')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('combobox', { name: /Ask/ })).not.toHaveValue('2900004196305');

  await page.keyboard.press(';');
  const words = page.getByLabel('What was said or found');
  await page.keyboard.type('Box is torn', { delay: 60 });
  await page.waitForTimeout(300);
  await scan(page, '2900004196305');
  await expect(words).toHaveValue('Box is torn');
  await expect(page.getByRole('dialog')).toBeVisible();
  // Half typed it survives Escape and a reload.
  await page.keyboard.press('Escape');
  await page.reload();
  await expect(slipPane(page)).toContainText('Kestrane, all 4');
  await page.keyboard.press(';');
  await expect(words).toHaveValue('Box is torn');
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('Box is torn');
});
