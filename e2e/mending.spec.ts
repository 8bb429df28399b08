import { readFile } from 'node:fs/promises';
import { ask, expect, expectAccessible, expectTray, pickRow, signIn, test, toRoom, whyPanel } from './counter.ts';

test('a sheet says another reach: which verdicts turn is seen before it is recorded, the tray follows, and it is taken back', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Corwin');
  await ask(page, 'kn 426g-63ir', /KN 426G-63IR/);
  await expect(page.getByRole('button', { name: /Mend what is recorded/ })).toBeVisible();
  await page.keyboard.press('w');
  const facts = page.getByRole('listbox', { name: 'Facts' });
  await expect(facts).toBeVisible();
  await expectAccessible(page);
  for (const key of ['j', 'j', 'a']) await page.keyboard.press(key);
  const form = page.getByRole('form', { name: 'A figure of reach' });
  // Inches are read; what can hardly be meant is asked back and judges nothing.
  await page.keyboard.type('190');
  await expect(form.getByRole('alert')).toBeVisible();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('3/4 in');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Home');
  await page.keyboard.press('Tab');
  await page.keyboard.type('Sheet of spring');
  await expect(form).toContainText(/verdicts? of \d+ would change/);
  await expect(form).toContainText('Aldersyke AS22');
  await expectAccessible(page);
  await page.keyboard.press('Control+Enter');
  await expect(facts.getByRole('option', { selected: true })).toContainText('19.1 mm');
  const mending = page.url();
  await page.reload();
  const main = page.getByRole('main', { name: 'Mend a part' });
  await expect(main).toContainText('(Sheet of spring): added');

  await toRoom(page, 'c');
  await ask(page, 'as22', /Aldersyke AS22/);
  await expectTray(page);
  await pickRow(page, 'KN 426G-63IR');
  await expect(whyPanel(page)).toContainText('has 19.1 mm');

  await page.goto(mending);
  await main.getByRole('button', { name: /^Take back: reach/ }).click();
  await expect(main).toContainText('(Sheet of spring): withdrawn');
  await expect(facts).toContainText('26.5 mm');
});

test('by pointer: a figure is withdrawn after a look at what follows, a price is set and taken back', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Isolde');
  await ask(page, 'kn 426g-63ir', /KN 426G-63IR/);
  await page.getByRole('button', { name: /Mend what is recorded/ }).click();
  const main = page.getByRole('main', { name: 'Mend a part' });
  await page.getByRole('listbox', { name: 'Facts' }).getByText('seat', { exact: true }).click();
  await main.getByRole('button', { name: /^Withdraw gasket-fixed/ }).click();
  await main.getByRole('button', { name: 'Withdraw it; it can stand again' }).click();
  await expect(main).toContainText('Nothing is recorded of it');
  await main.getByRole('button', { name: /^Take back: seat/ }).click();
  await expect(main).toContainText('gasket-fixed');
  const price = main.getByLabel(/^Price each/);
  const before = await price.inputValue();
  await price.fill('99,90');
  await main.getByRole('button', { name: 'Keep the price' }).click();
  await expect(main).toContainText('price £99.90');
  await main.getByRole('button', { name: /^Take back: price/ }).click();
  await expect(price).toHaveValue(before);
  await main.getByRole('button', { name: 'Add a reference' }).click();
  const reference = main.getByRole('form', { name: 'A reference' });
  await reference.getByLabel('Number it refers to').fill('KN 419G-63DR');
  await reference.getByLabel('where: sheet, list, page').fill('List of spring');
  await expect(reference.getByRole('alert')).toContainText('The dimensions deny it: ');
  await expectAccessible(page);
  await reference.getByRole('button', { name: 'Record the reference' }).click();
  const references = main.getByRole('region', { name: 'References' });
  await expect(references).toContainText('List of spring');
  await main.getByRole('button', { name: /^Take back: equivalent to KN 419G-63DR/ }).click();
  await expect(references).not.toContainText('List of spring');
  await expect(main).toContainText('KN 419G-63DR (List of spring): cut');
  await expectAccessible(page);
});

test('by keyboard: a stamping and a listing are added to a part and found; its torque is filled in; its drawing is kept', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Corwin');
  await ask(page, 'KN 426G-63IR', /KN 426G-63IR/);
  await expect(page.getByRole('main', { name: 'Part' })).toContainText('Kestrane');
  const kept = page.waitForEvent('download');
  await page.keyboard.press('x');
  const file = await kept;
  expect(file.suggestedFilename()).toBe('Kestrane-KN-426G-63IR.svg');
  const drawing = await readFile(await file.path(), 'utf8');
  // By itself it looks as on the page: another page shows it with lines of their own colour.
  expect(drawing).not.toMatch(/class=|var\(--/);
  await page.keyboard.press('w');
  const names = page.getByRole('region', { name: 'Names' });
  await names.getByRole('button', { name: 'Add a name' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.type('QXV 77120');
  await page.keyboard.press('Enter');
  await expect(names).toContainText('QXV 77120');
  const listings = page.getByRole('region', { name: 'Listings' });
  await listings.getByRole('button', { name: 'Add a listing' }).focus();
  await page.keyboard.press('Enter');
  await listings.getByLabel('engine').selectOption({ label: 'Skerrow SH28' });
  await listings.getByLabel('where').fill('Kestrane list 9');
  await expect(listings.getByRole('button', { name: 'Record the listing' })).toBeEnabled();
  await page.keyboard.press('Enter');
  await expect(listings).toContainText('Kestrane list 9');
  await page
    .getByRole('option', { name: /torque/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Add a figure' }).focus();
  await page.keyboard.press('Enter');
  const torque = page.getByRole('form', { name: /A figure of .*torque/ });
  await torque.getByLabel('low').fill('21');
  await torque.getByLabel('high').fill('26');
  await torque.getByLabel('condition').selectOption('dry');
  await torque.getByLabel('where').fill('Kestrane sheet 12');
  await expect(torque).toContainText(/No verdict of|would change|No engine leads/);
  await expectAccessible(page);
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('region', { name: 'What was changed' })).toContainText('Kestrane sheet 12');
  const drawn = await page.context().newPage();
  await drawn.setContent(drawing.replace(/^<\?xml.*\?>/, ''));
  await expect(drawn.locator('svg path').first()).toHaveCSS('stroke', /rgb/);
});
