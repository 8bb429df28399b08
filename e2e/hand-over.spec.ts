import { ask, expect, expectAccessible, expectTray, pickRow, signIn, slipPane, test, typeGap } from './counter.ts';

test('a fitter leaves with kit, order of work and a card that is kept as it was printed, by keyboard', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'pp20', /Pellworth PP20/);
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText(/£\d/);
  await page.keyboard.press('5');
  const stage = page.getByRole('main', { name: 'Hand-over stage' });
  // A pump: no battery, no wrench, its lead part of the coil.
  await expect(stage).toContainText('No battery here: the lead off its plug');
  await expect(stage).toContainText('it is part of the coil');
  await expect(page.getByRole('complementary', { name: 'Kit for the job' })).toContainText('A mark on the socket');
  await expect(page.getByRole('complementary', { name: 'Kit for the job' })).not.toContainText('battery');
  await expect(stage.getByRole('region', { name: 'Not verified' })).toContainText('The gap of none is measured yet.');
  await expectAccessible(page);

  // Ticked by key and by pointer; kept while the server is gone, and after a reload.
  await page.keyboard.press('Space');
  const cold = stage.getByRole('checkbox', { name: /^Done: Engine cold/ });
  await expect(cold).toBeChecked();
  await counter.kill();
  await stage.getByRole('checkbox', { name: /^Done: No battery here/ }).check();
  await expect(stage).toContainText('kept here, not sent yet');
  await counter.start();
  await page.reload();
  await expect(stage.getByRole('checkbox', { name: /^Done: No battery here/ })).toBeChecked();
  await expect(stage).not.toContainText('not sent yet');
  // A box that was clicked leaves the desk its keys: Space is the box's own, the others are the desk's.
  await cold.uncheck();
  await page.keyboard.press('Space');
  await expect(cold).toBeChecked();
  await page.keyboard.press('Space');
  await expect(cold).not.toBeChecked();
  await page.reload();
  await expect(cold).not.toBeChecked();
  await cold.check();
  await cold.uncheck();

  const opened = page.waitForEvent('popup');
  await page.keyboard.press('p');
  await opened;
  const kept = stage.getByRole('region', { name: 'Printed' });
  await expect(kept.getByRole('button', { name: 'Fitting card, A5' })).toHaveCount(1);
  await page.reload();
  await expect(kept.getByRole('button', { name: 'Fitting card, A5' })).toHaveCount(1);
  // What was printed stays; once the gap is read, the next card says so.
  await typeGap(page, '0.58');
  await page.keyboard.press('5');
  await expect(stage).toContainText('Nothing is open');
  await expect(stage).toContainText('1: 0.58 mm');
});

test('a refused part stands on the hand-over only as one that must not be fitted', async ({ page, counter }) => {
  await signIn(page, counter);
  await ask(page, 'sc20', /Skerrow SC20/);
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText(/£\d/);
  await pickRow(page, 'KN 426G-63DR');
  await page.keyboard.press('r');
  await expect(slipPane(page)).toContainText('not sold');
  await page.keyboard.press('5');
  const stage = page.getByRole('main', { name: 'Hand-over stage' });
  await expect(stage).toContainText('Do not fit KN 426G-63DR');
  await expect(stage.getByRole('region', { name: /^Fitted/ })).toHaveCount(1);
});

test('what serving it comes to is told with and without work, in parts and in all, and what was typed survives a reload', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'tn17', /Thrushgill TN17/);
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText(/£\d/);
  await page.keyboard.press('5');
  const options = page.getByRole('region', { name: 'Options' });
  // Plain nickel every 20 000 km: three sets to 60 000, the first now.
  const own = options.getByRole('row', { name: /KN 419G-61NR/ });
  await expect(options).toContainText('parts before tax, to 60\u00a0000 km');
  await expect(own).toContainText('£36.00');
  await page.getByLabel('Work each time, £').fill('45');
  await expect(options).toContainText('parts and labour before tax');
  await expect(own).toContainText('£171.00');
  await page.getByLabel('Reckoned to').fill('45 000 km');
  await expect(own).toContainText('£38.00');
  // At home and in a workshop: four plugs at 12.00, an hour at 80 and a tenth on the parts; a question stands at its field.
  const home = page.getByRole('region', { name: 'Home or workshop' });
  await home.getByLabel('Work, minutes').fill('an hour');
  await expect(home.getByRole('alert')).toContainText('Minutes of work');
  await home.getByLabel('Work, minutes').fill('60');
  await home.getByLabel('Workshop’s hour, £').fill('80');
  await home.getByLabel('On parts there, %').fill('10');
  await home.getByLabel('Tools to buy, £').fill('100');
  await expect(home).toContainText('At home £134.40, later jobs £14.40; in a workshop £111.84, both with tax.');
  await expect(home).toContainText('Its tools pay from job 2 on.');
  await expectAccessible(page);
  await page.reload();
  await expect(page.getByLabel('Work each time, £')).toHaveValue('45');
  await expect(own).toContainText('£171.00');
});

test('a thing of the kit goes on the slip by one key, what may break is bought once it was seen, and both survive a dead server', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'sh28', /Skerrow SH28/);
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText(/£\d/);
  await page.keyboard.press('5');
  const kit = page.getByRole('complementary', { name: 'Kit for the job' });
  await expect(kit.getByRole('listitem').filter({ hasText: 'Spanner and cover' }).first()).toHaveAttribute(
    'aria-current',
    'true',
  );
  await page.keyboard.press('n');
  await page.keyboard.press('n');
  await counter.kill();
  await page.keyboard.press('b');
  const stud = kit.getByRole('listitem').filter({ hasText: 'Intake studs come out' });
  await expect(stud).toContainText('Hold: sale or return, unopened');
  await stud.getByRole('checkbox', { name: /^Seen broken/ }).click();
  await counter.start();
  await expect(slipPane(page)).toContainText('BECK 0140');
  await expect(stud).toContainText('Buy. Intake studs come out');
  await page.reload();
  await expect(stud.getByRole('checkbox', { name: /^Seen broken/ })).toBeChecked();
  await expect(kit.getByRole('listitem').filter({ hasText: 'BECK 0140' }).first()).toContainText('on the slip');
  // Within reach is shown when it is asked for, and sold by nobody unasked.
  const apart = page.getByRole('region', { name: 'While it is apart' });
  await expect(apart).not.toContainText('breather');
  await apart.getByRole('button', { name: /within reach: show/ }).click();
  await expect(apart).toContainText('Within reach: Crankcase breather hose');
  await expectAccessible(page);
});

test('a kit is found by its number and put down as its parts; one that is two plugs short is not, and says why', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'pg66', /Pellworth PG66/);
  await expectTray(page);
  await ask(page, 'MS-K 481', /MS-K 481/);
  const part = page.getByRole('main', { name: 'Part' });
  await expect(part).toContainText('put down as its parts, each judged by itself');
  await expectAccessible(page);
  await page.keyboard.press('b');
  await expect(slipPane(page)).toContainText('MS-D 481');
  await expect(slipPane(page)).toContainText('HARR 240');
  await page.keyboard.press('5');
  const kits = page.getByRole('region', { name: 'Kits for this engine' });
  await expect(kits).toContainText('KN-SET 6600');
  await kits.getByRole('button', { name: 'Put the parts of KN-SET 6600 on the slip' }).click();
  await expect(page.locator('[data-sonner-toaster]')).toContainText('holds 6 of KN 417T-59IR, the job takes 8');
  await expect(slipPane(page)).not.toContainText('KN 417T-59IR');
  // Cap and rotor by themselves: their own order of work.
  await expect(page.getByRole('main', { name: 'Hand-over stage' })).toContainText('tower by tower, in their order');
});
