import type { Page } from '@playwright/test';
import { expect, expectTray, signIn, test } from './counter.ts';

const FINGER_MS = 60;

/** Presses keys at a person's pace on a page that is too busy to hear of any of them before the last. */
async function pressWhileBusy(page: Page, keys: readonly string[]): Promise<void> {
  const system = await page.context().newCDPSession(page);
  const busyMs = FINGER_MS * (keys.length + 3);
  const busy = page.evaluate((ms) => {
    const end = performance.now() + ms;
    while (performance.now() < end);
  }, busyMs);
  const sent: Promise<unknown>[] = [];
  for (const key of keys) {
    await new Promise((done) => setTimeout(done, FINGER_MS));
    const typed = key === 'Enter' ? { key, code: key, text: '\r', windowsVirtualKeyCode: 13 } : { key, text: key };
    sent.push(system.send('Input.dispatchKeyEvent', { type: 'keyDown', ...typed }));
    sent.push(system.send('Input.dispatchKeyEvent', { type: 'keyUp', key }));
  }
  await Promise.all([busy, ...sent]);
}

test('what is typed while the machine is busy goes where it was meant to, letter by letter and its Enter', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await pressWhileBusy(page, ['/', 'o', 'w', '1', '2', 'Enter']);
  await expectTray(page);
  await expect(page).toHaveURL(/engine=ostrel-ow12/);
  // A sheet is opened and its field written in, before the page has drawn either.
  await pressWhileBusy(page, ['c', '2']);
  await expect(
    page
      .getByRole('dialog', { name: /Misfire code/ })
      .getByRole('textbox')
      .first(),
  ).toHaveValue('2');
});

test('Enter takes the answer to what was typed, never one to fewer letters that is still on the screen', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await page.keyboard.press('/');
  await page.keyboard.type('of16', { delay: FINGER_MS });
  await expect(page.getByRole('option', { name: /Ostrel OF16T/ }).first()).toBeVisible();
  let answerAll: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (answerAll = resolve));
  await page.route(/\/api\/ask\?/, async (route) => {
    await held;
    await route.continue();
  });
  await page.keyboard.press('Control+A');
  await page.keyboard.type('ow12', { delay: FINGER_MS });
  await page.keyboard.press('Enter');
  await page.waitForTimeout(300);
  await expect(page).toHaveURL(/\/counter\/engine/);
  answerAll();
  await expect(page).toHaveURL(/engine=ostrel-ow12/);
  await expectTray(page);
});
