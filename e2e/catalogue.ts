import type { Page } from '@playwright/test';
import { expect, toRoom } from './counter.ts';

/** Goes to the audit by keys and runs it; waits until it has found what there is. */
export async function runAudit(page: Page): Promise<void> {
  await toRoom(page, 'k');
  await expect(page.getByRole('navigation', { name: 'Sheets of the catalogue' })).toBeVisible();
  await page.keyboard.press('5');
  await expect(page.getByRole('heading', { name: /contradictions? open/ })).toBeVisible();
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText(/\d+ contradictions found\./)).toBeVisible({ timeout: 60_000 });
}
