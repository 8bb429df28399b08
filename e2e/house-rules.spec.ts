import {
  ask,
  expect,
  expectAccessible,
  expectTray,
  pickRow,
  pressTimes,
  putWhatWaits,
  signIn,
  slipPane,
  test,
  toRoom,
  whyPanel,
} from './counter.ts';
import { demoStaff } from '@brackenfell/demo/staff';

const pinOf = (name: string) => demoStaff.find((person) => person.name === name)!.pin;

test('a rule switched by the supervisor judges the open line again, and what was told stays on the slip', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Wren');
  await putWhatWaits(page);

  // A specialist reads the rules and changes none.
  await toRoom(page, 'h');
  await expect(page.getByRole('heading', { name: 'Better electrode' })).toBeVisible();
  await page.keyboard.press('b');
  await expect(page.getByText('A supervisor chooses.')).toBeVisible();

  await page.keyboard.press('o');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Isolde/ })
    .click();
  await page.keyboard.type(pinOf('Isolde'), { delay: 45 });
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /Waits for the supervisor, 1/ })).toBeVisible();
  await page.keyboard.press('b');
  await expect(page.getByText(/1 told otherwise now/)).toBeVisible();
  await expect(page.getByRole('heading', { name: /Waits for the supervisor, 0/ })).toBeVisible();
  await expect(slipPane(page)).toContainText('Sell with advice');
  await expect(slipPane(page)).toContainText(
    /Told \d\d:\d\d: Needs supervisor\. Iridium where nickel is designed.*house rule Better electrode/,
  );
  await expectAccessible(page);

  await counter.kill();
  await counter.start();
  await page.reload();
  await expect(slipPane(page)).toContainText('Changed by house rule Better electrode');
});

test('a line that waits is released by the supervisor’s PIN at a starter’s counter', async ({ page, counter }) => {
  await signIn(page, counter, 'Perrin');
  await putWhatWaits(page);
  await page.keyboard.press(']');
  await page.keyboard.press('Shift+R');
  await expect(page.getByRole('dialog', { name: 'Release IVX-D12T-F09' })).toBeVisible();
  await page.keyboard.type('Customer wants it and keeps the interval', { delay: 30 });
  await pressTimes(page, 'Tab', 2);
  await page.keyboard.type('0000', { delay: 30 });
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('only a supervisor can release it');
  await page.keyboard.press('Control+A');
  await page.keyboard.type(pinOf('Isolde'), { delay: 45 });
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('Released by Isolde: Customer wants it and keeps the interval');
  await expect(slipPane(page)).not.toContainText('Waits for the supervisor');
});

test('a duty moves what is asked, and a class refuses the resistor twin of a permitted plug', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'tc18', /Thrushgill TC18/);
  await expectTray(page);
  await page.keyboard.press('d');
  await expect(page.getByRole('dialog', { name: 'Duty' })).toBeVisible();
  await expectAccessible(page);
  await pressTimes(page, 'Tab', 6);
  await page.keyboard.type('Tarn 2', { delay: 45 });
  await page.keyboard.press('Tab');
  await page.keyboard.type('2026-03-01', { delay: 45 });
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Duty: class Tarn 2 on 2026-03-01/ })).toBeVisible();
  await pickRow(page, 'KN 419G-67SR');
  await expect(whyPanel(page)).toContainText('Can be sold');
  await pickRow(page, 'KN 419G-67S');
  await expect(whyPanel(page)).toContainText('not on the list in force: the car would be excluded');
  // The order of work of a refused plug says only that it is not fitted.
  await page.keyboard.press('h');
  await expect(page.getByRole('dialog', { name: 'Do not fit KN 419G-67S' })).not.toContainText('Started by hand');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Home');
  await pickRow(page, 'KN 419G-67SR');
  await page.keyboard.press('h');
  await expect(page.getByRole('dialog')).toContainText('House rule tightening: torque wrench');
});
