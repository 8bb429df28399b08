import type { Page } from '@playwright/test';
import { ask, expect, expectTray } from './counter.ts';

export const stage = (page: Page) => page.getByRole('main', { name: 'Old parts stage' });
export const heading = (page: Page) => stage(page).getByRole('heading', { level: 1 });
export const plugs = (page: Page) => page.getByRole('group', { name: 'Plugs as read, where each sat' });

/** Presses keys one by one, and tells how many. */
export async function press(page: Page, keys: readonly string[]): Promise<number> {
  for (const key of keys) await page.keyboard.press(key);
  return keys.length;
}

/** Asks for an engine and opens its old parts by keyboard. */
export async function openOldParts(page: Page, question: string, engine: RegExp): Promise<void> {
  await ask(page, question, engine);
  await expectTray(page);
  await page.keyboard.press('6');
  await expect(heading(page)).toContainText('Nothing is read yet');
}
