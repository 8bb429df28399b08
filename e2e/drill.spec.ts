import type { Page } from '@playwright/test';
import { demoStaff } from '@brackenfell/demo/staff';
import { expect, expectAccessible, signIn, test, toRoom } from './counter.ts';

const drill = (page: Page) => page.getByRole('main', { name: 'Drill' });
const topic = (page: Page, title: string) =>
  page.getByRole('listbox', { name: 'Topics' }).getByRole('option', { name: new RegExp(title) });

test('a starter practises by keyboard: a case, its answer by letter, why, and the next; a reload finds it as it was', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Perrin');
  await toRoom(page, 'd');
  await expect(topic(page, 'Heat scales')).toContainText('known');
  await expect(topic(page, 'Old plugs')).toContainText('not begun');
  await page.keyboard.press('End');
  await page.keyboard.press('Enter');
  await expect(drill(page).getByRole('heading', { name: 'What is the likeliest cause?' })).toBeVisible();
  await expectAccessible(page);
  const seen = await drill(page).getByRole('region', { name: 'The case' }).innerText();
  await page.reload();
  await expect(drill(page).getByRole('region', { name: 'The case' })).toHaveText(seen, { useInnerText: true });
  await page.locator('[data-desk]').focus();
  await page.keyboard.press('b');
  const told = drill(page).getByRole('status', { name: 'The answer' });
  await expect(told).toContainText(/^(Right|No: )/);
  await expect(topic(page, 'Old plugs')).toContainText(/[01] of 1 right/);
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(told).toBeHidden();
  await page.keyboard.press('n');
  await expect(told).toContainText('It is: ');
  await expect(topic(page, 'Old plugs')).toContainText(/[01] of 2 right/);
});

test('by pointer: a part is held against its engine; a supervisor sees how everybody stands', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Isolde');
  await toRoom(page, 'd');
  await expect(drill(page).getByRole('heading', { name: 'Pick a topic' })).toBeVisible();
  await expect(drill(page).getByRole('row', { name: /^Perrin .*20 of 20|^Perrin .*19 of 20/ })).toBeVisible();
  await topic(page, 'Sell it or not').click();
  await page.getByRole('button', { name: /Sell it or not/ }).click();
  await expect(drill(page).getByRole('region', { name: 'The case' }).getByRole('row').nth(3)).toBeVisible();
  await drill(page)
    .getByRole('group', { name: 'Answers' })
    .getByRole('button', { name: /Needs supervisor/ })
    .click();
  await expect(drill(page).getByRole('columnheader', { name: 'What it comes to' })).toBeVisible();
  await expect(drill(page).getByRole('row', { name: /^Isolde – \d of 1/ })).toBeVisible();
  await drill(page)
    .getByRole('button', { name: /Next case/ })
    .click();
  await expect(drill(page).getByRole('button', { name: /Cannot tell/ })).toBeEnabled();
  // Who takes the counter over sees their own, and nothing of who had it.
  await page.locator('[data-desk]').focus();
  await page.keyboard.press('o');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Perrin/ })
    .click();
  await page.keyboard.type(demoStaff.find(({ name }) => name === 'Perrin')!.pin, { delay: 45 });
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Perrin, starter/ })).toBeVisible();
  await expect(drill(page).getByRole('region', { name: 'How everybody stands' })).toHaveCount(0);
  await expect(topic(page, 'Heat scales')).toContainText('known');
});

test('an answer that the server has not heard is not counted; back again, the case stands and is answered once', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Perrin');
  await toRoom(page, 'd');
  await topic(page, 'Torque').click();
  await page.getByRole('button', { name: /Torque/ }).click();
  const cannotTell = drill(page).getByRole('button', { name: /Cannot tell/ });
  await expect(cannotTell).toBeEnabled();
  await expect(topic(page, 'Torque')).toContainText('7 of 9 right');
  await page.route('**/api/drill/cases/*/answer', (route) => route.abort());
  await cannotTell.click();
  await expect(page.getByText('The case is shown as it stands there once it is back.')).toBeVisible();
  await expect(topic(page, 'Torque')).toContainText('7 of 9 right');
  await page.unroute('**/api/drill/cases/*/answer');
  await cannotTell.click();
  await expect(drill(page).getByRole('status', { name: 'The answer' })).toContainText('It is: ');
  await expect(topic(page, 'Torque')).toContainText('7 of 10 right');
});
