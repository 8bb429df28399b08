import { demoStaff } from '@brackenfell/demo/staff';
import { READS, ask, expect, expectAccessible, expectTray, signIn, slipPane, test } from './counter.ts';

test('a supervisor changes the rate of tax by keyboard: a slip that is begun keeps its own, the next has the new one', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Isolde');
  await ask(page, 'as22', /Aldersyke AS22/);
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText('Tax 20%');
  const slip = page.url();

  await page.goto(`${counter.address}/shop`);
  await page.getByLabel('Tax on prices, %').focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('much');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('A rate from 0 to 50')).toBeVisible();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('7,5');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText(/^Kept\./)).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await expect(page.getByLabel('Tax on prices, %')).toHaveValue('7.5');
  // Another currency is refused where prices are, and says why; what was typed stands.
  await page.getByLabel('Prices are in').selectOption('SEK');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('alert')).toContainText('are not converted');
  await expect(page.getByLabel('Prices are in')).toHaveValue('SEK');

  await page.goto(slip);
  await expect(slipPane(page)).toContainText('Tax 20%');
  await page.goto(`${counter.address}/counter/engine`);
  await expect(page.getByRole('listbox', { name: 'Engines left' })).toBeVisible();
  await ask(page, 'as22', /Aldersyke AS22/);
  await expectTray(page);
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText('Tax 7.5%');
});

test('who forgot a password gets another, and is signed out at the counter they stand at', async ({
  page,
  counter,
  browser,
}) => {
  const theirs = await (await browser.newContext()).newPage();
  await signIn(theirs, counter, 'Perrin');
  await signIn(page, counter, 'Isolde');
  await page.goto(`${counter.address}/people`);
  await page.getByRole('button', { name: 'New password for Perrin' }).click();
  const form = page.getByRole('form', { name: 'New password and PIN for Perrin' });
  await page.keyboard.type('short');
  await page.keyboard.press('Enter');
  await expect(form).toContainText('ten characters or more');
  await form.getByLabel('New password').fill('beck and ghyll');
  await form.getByLabel('New PIN').fill('5150');
  await page.keyboard.press('Enter');
  await expect(page.getByText('has a new password and PIN')).toBeVisible();
  await theirs.reload();
  await theirs.getByLabel('Name').fill('Perrin');
  await theirs.getByLabel('Password').fill(demoStaff.find(({ name }) => name === 'Perrin')!.password);
  await theirs.keyboard.press('Enter');
  await expect(theirs.getByRole('alert')).toContainText('do not belong together');
  await theirs.getByLabel('Password').fill('beck and ghyll');
  await theirs.keyboard.press('Enter');
  await expect(theirs.getByRole('navigation', { name: 'Stages' })).toBeVisible();
  await theirs.context().close();
});

test('who becomes a supervisor gets a password that lets others in; a weak one makes nobody one', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Isolde');
  await page.goto(`${counter.address}/people`);
  const may = page.getByRole('combobox', { name: 'What Wren may do' });
  await may.selectOption('supervisor');
  const form = page.getByRole('form', { name: 'Wren as supervisor' });
  await form.getByLabel('New password').fill('ten letters');
  await form.getByLabel('New PIN').fill('4201');
  await page.keyboard.press('Enter');
  await expect(form).toContainText('12 characters or more');
  await expectAccessible(page);
  await expect(may).toHaveValue('specialist');
  await form.getByLabel('New password').fill('heron over the mere');
  await page.keyboard.press('Enter');
  await expect(may).toHaveValue('supervisor');
  await may.selectOption('editor');
  await expect(may).toHaveValue('editor');
});

test(
  'the numbers of the catalogue go on where a page ends, and the address keeps how they were narrowed',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    await page.goto(`${counter.address}/catalogue/numbers`);
    const rows = page.getByRole('region', { name: 'List of numbers' }).getByRole('row');
    await expect(rows).toHaveCount(101);
    await page.keyboard.press('e');
    await expect(rows).toHaveCount(201);
    await page.getByRole('combobox', { name: 'Kind' }).click();
    await page.getByRole('option', { name: 'plugs', exact: true }).click();
    await page.getByLabel('Begins with').fill('ivx');
    await expect(rows.nth(1)).toContainText('IVX');
    const narrowed = await rows.count();
    await page.reload();
    await expect(rows).toHaveCount(narrowed);
    await page.getByLabel('Begins with').fill('nothing begins so');
    await expect(page.getByText('No number of this catalogue answers to all of that.')).toBeVisible();
  },
);
