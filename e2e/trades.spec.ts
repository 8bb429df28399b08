import { ask, expect, expectTray, signIn, slipPane, test, toRoom, typeGap } from './counter.ts';
import type { Page } from '@playwright/test';

const stageOf = (page: Page) => page.getByRole('main', { name: 'Hand-over stage' });
const kitOf = (page: Page) => page.getByRole('complementary', { name: 'Kit for the job' });

/** The first plug of an engine's tray on a slip, and its hand-over. */
async function handOver(page: Page, question: string, answer: RegExp): Promise<void> {
  await ask(page, question, answer);
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText(/£\d/);
  await page.keyboard.press('5');
  await expect(stageOf(page)).toContainText('Engine cold');
}

test('a taxi on gas leaves anything that carries gas to a licensed fitter, and its next slip begins from the book', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'cw-1908', /car 8 CW-1908/);
  await expect(page.getByRole('main', { name: 'Vehicle' })).toContainText('Skerrow SC20G');
  await page.keyboard.press('b');
  await expectTray(page);
  await expect(slipPane(page).getByRole('textbox', { name: 'Vehicle', exact: true })).toHaveValue('car 8, CW-1908');
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText(/£\d/);
  await page.keyboard.press('5');
  await expect(stageOf(page)).toContainText('a licensed gas fitter works on anything that carries it');
  await expect(stageOf(page)).toContainText('Not closed off: 0 of');
  // What is found on it is known here and on its next slip, with who found it and where.
  const vehicle = stageOf(page).getByRole('region', { name: 'This vehicle' });
  await vehicle.getByRole('combobox', { name: 'Looked at' }).click();
  await page.getByRole('option', { name: 'room for a wrench' }).click();
  await vehicle.getByRole('combobox', { name: 'Found' }).click();
  await page.getByRole('option', { name: 'No wrench reaches' }).click();
  await vehicle.getByRole('button', { name: 'Found on this vehicle' }).click();
  await expect(vehicle).toContainText('room for a wrench: No wrench reaches');
  await expect(stageOf(page)).toContainText('no wrench reaches');
  await ask(page, 'cw-1908', /car 8 CW-1908/);
  await page.keyboard.press('b');
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText(/£\d/);
  await page.keyboard.press('5');
  await expect(vehicle).toContainText(/No wrench reaches Wren, slip 0\d+/);
  await expect(vehicle.getByRole('button', { name: 'Take it back' })).toHaveCount(0);
});

test('a generator counts in hours: its due, its options and its next reading', async ({ page, counter }) => {
  await signIn(page, counter);
  await handOver(page, 'pg66', /Pellworth PG66/);
  await expect(stageOf(page)).toContainText(/Due[\s\S]*\d h/);
  await expect(stageOf(page).getByRole('region', { name: 'Options' })).toContainText('for 1 000 h');
  await toRoom(page, 'g');
  await page.getByRole('textbox', { name: 'Find a vehicle by name, phone or plate' }).fill('generator 3');
  const vehicle = page.getByRole('main', { name: 'Vehicle' });
  await expect(vehicle.getByRole('heading', { name: 'generator 3' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('m');
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'Hours' }).fill('99 999 h');
  await page.keyboard.press('Enter');
  await expect(dialog.getByRole('alert')).toContainText(/h a day since/);
});

test('an air-cooled twin without a battery is told none: no lamp, nothing to learn again, its hot fins first', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await handOver(page, 'dd70', /Dunmarrow DD70/);
  await expect(stageOf(page)).toContainText('No battery here');
  await expect(stageOf(page)).toContainText('Blow round the plug');
  await expect(stageOf(page)).toContainText('stops by its own switch');
  await expect(stageOf(page)).not.toContainText(/Battery negative|no lamp|learn again|Blow out the well/);
  await expect(kitOf(page)).not.toContainText(/battery/i);
});

test('a bank under the intake: the maker’s procedure first, rags counted in and out, a socket on a joint, on a telephone too', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await handOver(page, 'sh28', /Skerrow SH28/);
  const first = stageOf(page).getByRole('checkbox').first();
  await expect(first).toHaveAccessibleName(
    /own procedure comes first: Rags in the open ports, counted in and counted out/,
  );
  await expect(stageOf(page)).toContainText('rags counted out');
  await expect(stageOf(page)).toContainText('the rear bank lies under the intake');
  await expect(stageOf(page)).toContainText('A socket on a flexible joint');
  // The card's square opens the same steps at the width of a telephone; a tick there is a tick here.
  const slipId = new URL(page.url()).searchParams.get('slip')!;
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${counter.address}/work/${slipId}`);
  const work = page.getByRole('main', { name: 'Work' });
  const rags = work.getByRole('checkbox', { name: /inserts, extensions and rags counted out/ });
  await rags.check();
  await expect(work).toContainText('Not closed off: 1 of');
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  await counter.kill();
  await work.getByRole('checkbox', { name: /^Done: 1: connector latched/ }).check();
  await expect(work).toContainText('kept here, not sent yet');
  await counter.start();
  await expect(work).not.toContainText('kept here, not sent yet');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${counter.address}/counter/hand-over?slip=${slipId}`);
  await expect(stageOf(page)).toContainText('Not closed off: 2 of');
});

test('two places of one cylinder have each their plug: what is the same is ticked once, what is otherwise stands apart', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'at20', /Aldersyke AT20/);
  await expectTray(page);
  await ask(page, 'KN 419G-63PR', /KN 419G-63PR/);
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText('KN 419G-63PR');
  await ask(page, 'KN 219G-63DR', /KN 219G-63DR/);
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText('KN 219G-63DR');
  await page.keyboard.press('5');
  await expect(stageOf(page).getByRole('heading', { name: 'Otherwise for KN 219G-63DR' })).toBeVisible();
  await expect(stageOf(page).getByRole('checkbox', { name: /^Done: Engine cold/ })).toHaveCount(1);
  await expect(stageOf(page).getByRole('checkbox', { name: /^Done: \d intake:/ })).toHaveCount(4);
  await expect(stageOf(page).getByRole('checkbox', { name: /^Done: \d exhaust:/ })).toHaveCount(4);
});

test('a tool of the kit is lent with a deposit to a day, its note is printed, and it comes back', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await handOver(page, 'as22', /Aldersyke AS22/);
  const lend = kitOf(page)
    .getByRole('button', { name: /^Lend:/ })
    .first();
  await lend.click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Lend it' }).click();
  await expect(page.getByText(/write down who on the slip first/)).toBeVisible();
  await page.keyboard.press('Escape');
  // Who it is for is still on its way when the tool is lent, and goes first.
  let arrive: () => void = () => undefined;
  const arrived = new Promise<void>((resolve) => (arrive = resolve));
  await page.route(/\/api\/slips\/\d+$/, async (route) => {
    if (route.request().method() !== 'GET') await arrived;
    await route.continue();
  });
  await slipPane(page).getByRole('textbox', { name: 'For', exact: true }).fill('Hesper Lowmoor');
  await page.keyboard.press('Enter');
  await lend.click();
  await dialog.getByRole('textbox', { name: 'Deposit, £' }).fill('much');
  await expect(dialog.getByRole('alert')).toContainText('An amount in £');
  await dialog.getByRole('textbox', { name: 'Deposit, £' }).fill('30');
  await page.keyboard.press('Enter');
  await page.waitForTimeout(300);
  arrive();
  const lent = stageOf(page).getByRole('region', { name: 'Lent' });
  await expect(lent).toContainText('£30.00');
  const opened = page.waitForEvent('popup');
  await stageOf(page).getByRole('button', { name: 'Tool loan', exact: true }).click();
  await opened;
  await expect(stageOf(page).getByRole('button', { name: 'Tool loan, A5' })).toBeVisible();
  await lent.getByRole('button', { name: 'It is back' }).click();
  await lent.getByRole('button', { name: '£30.00 returned: settle it' }).click();
  await expect(lent).toContainText(/back \d+ \w+ \d{4}, Wren/);
  await expect(lent.getByRole('button', { name: 'It is back' })).toHaveCount(0);
});

test('own parts brought in are gauged and fitted like any, are not priced, and have no warranty of ours', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'pp20', /Pellworth PP20/);
  await expectTray(page);
  await page.keyboard.press('r');
  await expect(slipPane(page)).toContainText('Customer’s own, not ours: no warranty.');
  await expect(slipPane(page)).toContainText('£0.00');
  await typeGap(page, '0.58');
  await page.keyboard.press('5');
  await expect(stageOf(page)).toContainText('the customer’s own: not ours, no warranty');
  await expect(stageOf(page)).toContainText('1: 0.58 mm');
  const opened = page.waitForEvent('popup');
  await page.keyboard.press('p');
  await opened;
  await expect(stageOf(page).getByRole('button', { name: 'Fitting card, A5' })).toBeVisible();
  await page.keyboard.press('$');
  await expect(page.getByRole('dialog')).toContainText('Nothing on it is sold');
});
