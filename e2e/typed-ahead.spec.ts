import type { Page } from '@playwright/test';
import { READS, expect, expectTray, signIn, test, toRoom } from './counter.ts';

const FINGER_MS = 60;
/** What the system calls the keys that are no letters. */
const NAMED: Readonly<Record<string, number>> = { Backspace: 8, Tab: 9, Enter: 13, Escape: 27 };

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
    const code = NAMED[key];
    const named = code && { key, code: key, windowsVirtualKeyCode: code, ...(key === 'Enter' ? { text: '\r' } : {}) };
    const typed = named ?? { key, text: key };
    sent.push(system.send('Input.dispatchKeyEvent', { type: 'keyDown', ...typed }));
    sent.push(system.send('Input.dispatchKeyEvent', { type: 'keyUp', key }));
  }
  await Promise.all([busy, ...sent]);
}

test(
  'what is typed while the machine is busy goes where it was meant to, letter by letter and its Enter',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    // What was clicked before has the hand still, and is not meant by the Enter.
    await page.getByRole('button', { name: 'keys', exact: true }).focus();
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
  },
);

test(
  'Tab, Escape and Backspace wait behind the letters that were typed before them',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    await page.goto(`${counter.address}/sums/feelers`);
    await page.getByLabel('Gap, or its range').press('Escape');
    // To the sheet of the spark, its gap, and on to the choice behind it.
    await pressWhileBusy(page, ['2', '0', '.', '7', '0', 'Tab']);
    await expect(page.getByLabel('Tip')).toBeFocused();
    await expect(page.getByLabel('Gap, or its range')).toHaveValue('0.70');

    await page.goto(`${counter.address}/catalogue/numbers`);
    await expect(page.getByRole('region', { name: 'List of numbers' })).toContainText('Kestrane');
    await pressWhileBusy(page, ['f', 'i', 'v', 'y', 'Backspace', 'x', 'Escape', 'x']);
    await expect(page).toHaveURL(/begins=ivx/);
    await expect(page).toHaveURL(/shelf=yes/);
    await expect(page.getByLabel('Begins with')).toHaveValue('ivx');
  },
);

test(
  'Enter takes the answer to what was typed, never one to fewer letters that is still on the screen',
  READS,
  async ({ page, counter }) => {
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
  },
);

test(
  'what is typed for a room that is long in coming waits for it, and commands nothing where it was typed',
  READS,
  async ({ page, counter }) => {
    await page.route(/\/assets\/shop-(?!fields)/, async (route) => {
      await new Promise((done) => setTimeout(done, 6000));
      await route.continue();
    });
    await signIn(page, counter);
    await toRoom(page, 's');
    for (const key of ['1', '.', '1']) await page.keyboard.press(key);
    await expect(page.getByLabel('Gap, or its range')).toHaveValue('1.1');
  },
);
