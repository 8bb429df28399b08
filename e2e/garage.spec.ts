import { READS, ask, expect, expectAccessible, expectTray, signIn, slipPane, test, toRoom } from './counter.ts';

test('a taxi is remembered from its slip, read, found by its plate, and its declined advice raised once, by keyboard', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'as22', /Aldersyke AS22/);
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText(/£\d/);
  const fill = async (label: string, text: string) => {
    await slipPane(page).getByRole('textbox', { name: label, exact: true }).fill(text);
    await page.keyboard.press('Enter');
  };
  // Whom the slip is for need not have been sent yet.
  await counter.kill();
  await fill('For', 'Vesper Quillan');
  await fill('Phone', '01632 960 199');
  await fill('Vehicle', 'Aldersyke Merrin 2.2, CW-9001');
  await page.keyboard.press('Escape');
  await page.locator('[data-desk]').focus();
  await page.keyboard.press('Shift+R');
  await expect(slipPane(page)).toContainText('remember the vehicle');
  await counter.start();
  await expect(slipPane(page)).toContainText('In the garage book: Aldersyke Merrin 2.2');
  await page.keyboard.press('$');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Collect/ })
    .click();
  await expect(slipPane(page)).toContainText('No slip yet');

  await ask(page, 'cw-9001', /Aldersyke Merrin 2\.2 CW-9001/);
  const vehicle = page.getByRole('main', { name: 'Vehicle' });
  await expect(vehicle).toContainText('Never read.');
  await expect(vehicle.getByRole('region', { name: 'Due', exact: true })).toContainText('read it next time');
  await expectAccessible(page);
  // What it has run: less than before is asked back where it stands, and what was typed is kept over a reload.
  const dialog = page.getByRole('dialog');
  await page.keyboard.press('m');
  await page.keyboard.type('80 000 km', { delay: 45 });
  await page.keyboard.press('Enter');
  await expect(vehicle).toContainText('80 000 km');
  await expect(vehicle.getByRole('img', { name: /History and wear.*now 80 000 km.*due at/ })).toBeVisible();
  await page.keyboard.press('m');
  await page.keyboard.type('8 100 km', { delay: 45 });
  await page.reload();
  await expect(vehicle).toContainText('80 000 km');
  await page.keyboard.press('m');
  await expect(dialog.getByRole('textbox', { name: 'Distance' })).toHaveValue('8 100 km');
  await page.keyboard.press('Enter');
  await expect(dialog.getByRole('alert')).toContainText('It had run 80 000 km');
  await expect(page.getByText('cannot be understood')).toHaveCount(0);
  await expectAccessible(page);
  await dialog.getByRole('button', { name: /It is right/ }).click();
  await expect(vehicle.getByRole('region', { name: 'Readings' })).toContainText('8 100 km');
  await vehicle.getByRole('button', { name: 'Take back 8 100 km' }).click();
  await expect(vehicle.getByRole('region', { name: 'Readings' })).not.toContainText('8 100 km');

  await page.locator('[data-desk]').focus();
  await page.keyboard.press('d');
  await page.keyboard.type('Boots hardened at the shell', { delay: 45 });
  await page.keyboard.press('Enter');
  await expect(vehicle.getByRole('region', { name: 'Advice declined' })).toContainText('To be raised once');
  await page.keyboard.press('b');
  await expect(slipPane(page).getByRole('textbox', { name: 'For', exact: true })).toHaveValue('Vesper Quillan');
  await expectTray(page);
  const raise = slipPane(page).getByRole('group', { name: 'Declined before' });
  await expect(raise).toContainText('Boots hardened at the shell');
  // Closed for good by the second press; the first can be thought better of.
  await raise.getByRole('button', { name: 'Declined again' }).click();
  await raise.getByRole('button', { name: 'Not yet' }).click();
  await raise.getByRole('button', { name: 'Declined again' }).click();
  await page.keyboard.press('Enter');
  await expect(raise).toHaveCount(0);
  await page.reload();
  await expect(slipPane(page)).toContainText('In the garage book');
  await expect(raise).toHaveCount(0);
});

test('dues are listed with who to ring; a person is exported and erased by a supervisor who types the name', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Isolde');
  await toRoom(page, 'g');
  const vehicle = page.getByRole('main', { name: 'Vehicle' });
  await expect(vehicle).toBeVisible();
  await page.keyboard.press('2');
  const due = page.getByRole('main', { name: 'Due' });
  await expect(due.getByRole('row').nth(1)).toContainText(/01632 960/);
  await expectAccessible(page);
  const sheet = page.waitForEvent('download');
  await due.getByRole('link', { name: 'As a sheet' }).click();
  expect((await sheet).suggestedFilename()).toBe('due.csv');
  await page.keyboard.press('1');
  await page.getByRole('textbox', { name: 'Find a vehicle by name, phone or plate' }).fill('Orla');
  await expect(page.getByRole('listbox', { name: 'Vehicles' }).getByRole('option')).toHaveCount(2);
  await page.keyboard.press('Escape');
  await expect(vehicle).toContainText('Orla Fenwether');
  await page.keyboard.press('r');
  await page.keyboard.type('orla', { delay: 45 });
  await expect(page.getByRole('button', { name: 'Erase for good' })).toBeDisabled();
  await page.getByRole('dialog').getByRole('textbox').fill('Orla Fenwether');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Erased from 2 vehicles/)).toBeVisible();
  await expect(page.getByRole('listbox', { name: 'Vehicles' }).getByRole('option')).toHaveCount(0);
});

test('two entries of one person are merged after a second word, and every vehicle is found under the one that stays', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'cw-0722', /Aldersyke five CW-0722/);
  const vehicle = page.getByRole('main', { name: 'Vehicle' });
  await expect(vehicle).toContainText('Hesper Lowmoor');
  await page.keyboard.press('w');
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox').fill('nobody of that name');
  await expect(dialog).toContainText('Nobody else answers to that.');
  await dialog.getByRole('textbox').fill('ibbot');
  await dialog.getByRole('button', { name: /Ibbot Sedgely: Ostrel 1.2/ }).click();
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Hesper Lowmoor is Ibbot Sedgely: one entry from now on' }).click();
  await expect(page.getByText('Hesper Lowmoor is Ibbot Sedgely now, with 4 vehicles.')).toBeVisible();
  await expect(vehicle.getByRole('region', { name: 'Remembered', exact: true })).toContainText('Ibbot Sedgely');
  await page.getByRole('textbox', { name: 'Find a vehicle by name, phone or plate' }).fill('hesper');
  await expect(page.getByRole('listbox', { name: 'Vehicles' }).getByRole('option')).toHaveCount(0);
  await page.getByRole('textbox', { name: 'Find a vehicle by name, phone or plate' }).fill('ibbot');
  await expect(page.getByRole('listbox', { name: 'Vehicles' }).getByRole('option')).toHaveCount(4);
});

test(
  'a garage book that cannot be asked says so, and one that finds nothing says what to do',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    let fails = true;
    await page.route('**/api/garage**', (route) => (fails ? route.abort() : route.continue()));
    await toRoom(page, 'g');
    const list = page.getByRole('complementary', { name: 'Vehicles' });
    await expect(list.getByRole('alert')).toBeVisible();
    await expectAccessible(page);
    fails = false;
    await page.getByRole('textbox', { name: 'Find a vehicle by name, phone or plate' }).fill('no such thing');
    await expect(list).toContainText('Nothing answers to “no such thing”: try fewer characters.');
    await page.goto(`${counter.address}/garage/vehicles/999999`);
    await expect(page.getByRole('main', { name: 'Vehicle' }).getByRole('alert')).toContainText('no such vehicle');
  },
);
