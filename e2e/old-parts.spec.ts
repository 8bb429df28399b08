import { ask, expect, expectAccessible, expectTray, signIn, slipPane, test } from './counter.ts';
import { heading, openOldParts, plugs, press, stage } from './old-parts.ts';

test('a coolant leak between two neighbours of a six is read in under forty keys, survives a dead server, and holds the plugs', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'h6', /Dunmarrow H6/);
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText(/£\d/);
  let keys = await press(page, ['6']);
  await expect(stage(page)).toContainText('Nothing is read yet');
  await counter.kill();
  // 1 normal, 2 with powder, 3 like it, 4 to 6 normal.
  keys += await press(page, ['t', 'f', 'Enter', 'w', 't', 't', 't']);
  await expect(plugs(page).getByRole('button', { name: /^Cylinder 3: white powder/ })).toBeVisible();
  await expect(plugs(page).getByRole('button', { name: /^Cylinder 6: tan/ })).toBeVisible();
  await counter.start();
  // A key too many is stepped back from.
  await expect(slipPane(page)).not.toContainText('not sent');
  await page.keyboard.press('b');
  await expect(plugs(page).getByRole('button', { name: /^Cylinder 6: .*black soot/ })).toBeVisible();
  await expect(slipPane(page)).not.toContainText('not sent');
  await page.keyboard.press('z');
  await expect(plugs(page).getByRole('button', { name: /^Cylinder 6: tan or grey, dry$/ })).toBeVisible();
  await stage(page).getByRole('button', { name: 'loses coolant' }).click();
  await expect(heading(page)).toContainText('Likely: coolant past the head gasket');
  await expect(stage(page)).toContainText('2, 3; two neighbours');
  await expect(stage(page).getByRole('region', { name: 'Do not sell yet' })).toContainText('plugs');
  await expectAccessible(page);
  // The compression of the two, on its own desk, speaks to the plugs.
  await page.locator('[data-desk]').focus();
  keys += await press(page, ['y']);
  for (const [i, bar] of ['11.9', '8.3', '8.1', '12.1', '11.6', '12.0'].entries())
    await page.getByLabel(`Cylinder ${i + 1}, dry, bar`).fill(bar);
  await page.getByLabel('Specified pressure, bar').focus();
  await expect(heading(page)).toContainText('2 and 3 stand side by side');
  await expectAccessible(page);
  await page.reload();
  await expect(page.getByLabel('Cylinder 2, dry, bar')).toHaveValue('8.3');
  await page.getByRole('button', { name: /^Plugs as read/ }).click();
  await expect(stage(page).getByRole('region', { name: 'Causes, ranked' })).toContainText('two neighbours low');
  await page.keyboard.press('s');
  await expect(stage(page).getByRole('region', { name: 'Causes, ranked' })).toContainText('34');
  keys += await press(page, ['Control+Enter']);
  await expect(slipPane(page)).toContainText('Old plugs: Likely: coolant past the head gasket');
  expect(keys).toBeLessThan(40);
});

test('a tip wet with fuel sells neither coil nor plug before the swap tells: the slip says so and leads there', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'as22', /Aldersyke AS22/);
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText(/£\d/);
  await page.keyboard.press('6');
  await expect(stage(page)).toContainText('Nothing is read yet');
  await press(page, ['t', 'n', 'n', 'b', 'Enter', 't', 't']);
  await expect(heading(page)).toContainText('to be told apart before anything is sold');
  await expect(stage(page).getByRole('region', { name: 'May be sold' })).toHaveCount(0);
  await expect(slipPane(page)).toContainText('two causes alike: swap coil or lead');
  await page.keyboard.press('2');
  await expectTray(page);
  await page.keyboard.press('.');
  await expect(stage(page)).toBeVisible();
  await page.keyboard.press('7');
  await expect(heading(page)).toContainText('Found: no spark');
  await expect(stage(page).getByRole('region', { name: 'May be sold' })).toContainText('coil or lead');
  await expect(slipPane(page)).not.toContainText('two causes alike');
  // The number on it is laid against the engine: a reach of another explains what is seen.
  await page.locator('[data-desk]').focus();
  await page.keyboard.press('v');
  // Its fields come with what the engine has fitted.
  await expect(
    page
      .getByRole('dialog', { name: /^What is fitted/ })
      .locator('input')
      .first(),
  ).toBeFocused();
  await page.keyboard.type('KN 419G-63DR', { delay: 45 });
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(stage(page).getByRole('region', { name: 'Numbers found' })).toContainText('KN 419G-63DR Refuse');
  // Taken back, it is held again.
  await page.getByRole('button', { name: 'Take back: No spark' }).click();
  await expect(slipPane(page)).toContainText('two causes alike');
});

test('a taxi misfires the day after its plugs: solved by telephone in under twenty keys, and nothing is sold for it', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'cw-1908', /car 8 CW-1908/);
  await expect(page.getByRole('main', { name: 'Vehicle' })).toContainText('Skerrow SC20G');
  await page.keyboard.press('b');
  await expectTray(page);
  let keys = await press(page, ['6']);
  await expect(stage(page)).toContainText('Nothing is read yet');
  keys += await press(page, ['y', 'y']);
  await expect(page.getByRole('group', { name: 'What is told' })).toContainText(/\d × /);
  const atOnce = page.getByRole('group', { name: 'How soon after the work' }).getByRole('button', { name: /^at once/ });
  for (let i = 0; i < 2 && (await atOnce.getAttribute('aria-pressed')) !== 'true'; i += 1)
    keys += await press(page, ['h']);
  await expect(heading(page)).toContainText('Next: connector shut and locked');
  await expectAccessible(page);
  // Told right by telephone: a tenth is left of it, the boots come next; looked at again, it was open.
  keys += await press(page, ['b']);
  await expect(heading(page)).not.toContainText('connector');
  await expect(stage(page)).toContainText('told, so a tenth is left');
  await page.getByRole('button', { name: /^Take back: Connector/ }).click();
  keys += await press(page, ['c']);
  await expect(heading(page)).toContainText('Found: connector shut and locked');
  await expect(stage(page)).toContainText('no part, no charge');
  keys += await press(page, ['Control+Enter']);
  await expect(slipPane(page)).toContainText('connector shut and locked was wrong');
  await page.reload();
  await expect(heading(page)).toContainText('Found: connector shut and locked');
  expect(keys).toBeLessThan(20);
  // A lamp that flashes stops it before any check.
  const flashing = page.getByRole('group', { name: 'Lamp' }).getByRole('button', { name: /flashing/ });
  for (let i = 0; i < 2 && (await flashing.getAttribute('aria-pressed')) !== 'true'; i += 1) await press(page, ['l']);
  await expect(heading(page)).toContainText('engine off, before any check');
});

test('the first answer of a comeback begins its slip and stays at its desk', async ({ page, counter }) => {
  await signIn(page, counter);
  await openOldParts(page, 'as22', /Aldersyke AS22/);
  await press(page, ['y', 'y']);
  await expect(heading(page)).toContainText('Next: connector shut and locked');
  // Both before the screen has drawn anything, as on a busy machine: each is an answer of its own, on one slip.
  await page.evaluate(() => {
    for (const key of ['b', 'a']) window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
  });
  await expect(stage(page)).toContainText('told, so a tenth is left');
  await expect(stage(page)).toContainText('Right, seen here');
  await expect(slipPane(page)).toContainText('Aldersyke AS22');
  await expect(page.getByRole('button', { name: /^Take back: / })).toHaveCount(2);
});

test('an older answer of the server that comes late lays itself over nothing that was read since', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  let isHeld = false;
  await page.route(/\/api\/slips\/\d+$/, async (route) => {
    if (isHeld || route.request().method() !== 'GET') return route.continue();
    isHeld = true;
    const response = await route.fetch();
    await new Promise((resolve) => setTimeout(resolve, 1500));
    return route.fulfill({ response });
  });
  await openOldParts(page, 'ow12', /Ostrel OW12/);
  await press(page, ['b', 'Enter']);
  await expect(page).toHaveURL(/slip=\d+/);
  await expect(slipPane(page)).not.toContainText('not sent');
  // Another window wrote something: the slip is fetched, and that answer is on its way while more is read.
  await page.evaluate(() => window.dispatchEvent(new StorageEvent('storage')));
  await expect.poll(() => isHeld).toBe(true);
  await press(page, ['b', 'Enter']);
  await expect(slipPane(page)).not.toContainText('not sent');
  await page.waitForTimeout(1600);
  await page.keyboard.press('b');
  await expect(stage(page)).toContainText('3 of 3 read');
});

test('what becomes of a dropped plug', async ({ page, counter }) => {
  await signIn(page, counter);
  await openOldParts(page, 'pg66', /Pellworth PG66/);
  await press(page, ['y', 'y', 'y']);
  await stage(page).getByRole('radio', { name: 'dropped' }).click();
  await expect(heading(page)).toContainText('Inspect and gauge again');
  await expect(stage(page)).toContainText('never what was fitted, dropped or opened');
  await expectAccessible(page);
});

test('another weight is tried and shows which worked example it would change; readings go by the table as it stands', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await openOldParts(page, 'h6', /Dunmarrow H6/);
  await page.getByRole('button', { name: /^Rules and examples/ }).click();
  await expect(heading(page)).toContainText('worked examples hold');
  await page.getByLabel('white powder or glaze that wipes off, Coolant past the head gasket').fill('1');
  await expect(heading(page)).toContainText('would change');
  await expect(stage(page).getByRole('region', { name: 'Worked examples' })).toContainText(
    'was coolant past the head gasket 34',
  );
  await expectAccessible(page);
  await stage(page).getByRole('button', { name: 'Back to the table' }).click();
  await expect(heading(page)).toContainText('worked examples hold');
});

test('what a customer has heard is found from the slip and answered with this engine’s figures; a supervisor answers otherwise', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Isolde');
  await ask(page, 'ak23', /Aldersyke AK23S/);
  await expectTray(page);
  await page.keyboard.press('Shift+W');
  const heard = page.getByRole('dialog', { name: 'Heard at the counter' });
  await page.keyboard.type('gap power', { delay: 45 });
  await expect(heard.getByRole('list', { name: 'Claims and their answers' }).getByRole('listitem')).toHaveCount(1);
  await expect(heard).toContainText('This engine asks 0.60–0.70 mm');
  await expectAccessible(page);
  await heard.getByLabel('Find by its words').fill('cleaner');
  await expect(heard).toContainText('We do not know that it does');
  await heard.getByRole('button', { name: /^Answer it otherwise/ }).click();
  await heard.getByLabel('What the shop answers').fill('Gauge the gap first.');
  await heard.getByRole('button', { name: 'Write it down' }).click();
  await expect(heard).toContainText('Gauge the gap first.');
  await expect(heard).toContainText('Isolde');
});

test('what is no pressure is asked back in its field, stored nowhere, and still there after a reload', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await openOldParts(page, 'h6', /Dunmarrow H6/);
  await page.getByRole('button', { name: /^Compression/ }).click();
  const field = page.getByLabel('Cylinder 1, dry, bar');
  for (const typed of ['abc', '119', '-3']) {
    await field.fill(typed);
    await field.blur();
    await expect(stage(page).getByRole('alert')).toContainText('A pressure in bar, such as 11.9.');
  }
  await expect(heading(page)).toContainText('Nothing is read yet');
  await page.reload();
  await expect(field).toHaveValue('-3');
  // A wet reading without its dry one waits in its field.
  await page.getByLabel('Cylinder 2, wet, bar').fill('9.0');
  await page.getByLabel('Cylinder 2, wet, bar').blur();
  await expect(heading(page)).toContainText('Nothing is read yet');
  await field.fill('11.9');
  await field.blur();
  await expect(heading(page)).toContainText('one alone says nothing');
});
