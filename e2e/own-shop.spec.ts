import { appendFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { demoStaff } from '@brackenfell/demo/staff';
import { ask, expect, expectAccessible, expectTray, pickRow, slipPane, test, type Counter } from './counter.ts';
import { Machine } from './own-shop.ts';

const LIST = ['Number;Maker;Price;Pack', 'TV 41-R;Torve;4,20;4', 'TV 52-R;Torve;5,10;4'].join('\n');
const WORDS = 'peat and heather burn';

/** The demo's whole catalogue, as its editor takes it out. */
async function catalogueOf(page: Page, counter: Counter, as: 'jsonl' | 'zip' = 'jsonl'): Promise<Buffer> {
  const { name, password } = demoStaff.find(({ role }) => role === 'editor')!;
  await page.request.post(`${counter.address}/api/session`, { data: { name, password } });
  const file = await page.request.get(`${counter.address}/api/catalogue.${as}`);
  return file.body();
}

async function beginByKeyboard(page: Page, code: string): Promise<void> {
  const type = async (text: string) => {
    await page.keyboard.type(text);
    await page.keyboard.press('Tab');
  };
  await page.getByLabel('What the shop is called').focus();
  await type('Harrowmere Ignition');
  await type('3 Tannery Yard, Harrowmere');
  // Euros as offered, the tax, figures, units and the zone as they stand.
  await page.keyboard.press('Tab');
  await page.keyboard.press('Control+a');
  await type('13,5');
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('Tab');
  await type('Maud');
  await type('ma');
  await type(WORDS);
  await type('4711');
  await page.keyboard.type(code);
  await page.keyboard.press('Enter');
}

async function signIn(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await expect(page.getByText('Harrowmere Ignition, 3 Tannery Yard')).toBeVisible();
  await page.getByLabel('Name').fill('Maud');
  await page.getByLabel('Password').fill(WORDS);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
}

async function bringInList(page: Page, address: string): Promise<void> {
  await page.goto(`${address}/catalogue/imports`);
  await page.getByLabel('Supplier').fill('Eastgate Factors');
  await page.getByLabel('File of the list').setInputFiles({
    name: 'torve.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(LIST),
  });
  const list = page.getByRole('main', { name: 'Import' });
  const add = page.getByRole('button', { name: 'Add Torve' });
  await add.click();
  // Its rows are sorted anew, and the columns stand as they are for as long.
  await expect(add).toBeHidden();
  await list.getByRole('combobox', { name: 'Numbers that nobody has are' }).click();
  await page.getByRole('option', { name: /plug/ }).click();
  await list.getByRole('button', { name: /^Write 2 rows/ }).click();
  await expect(list.getByRole('button', { name: 'Take it back' })).toBeVisible();
}

/** A whole catalogue as sheets in a zip: counted first, loaded after it is asked twice. */
async function bringInWhole(page: Page, zip: Buffer): Promise<void> {
  await page.getByRole('link', { name: 'Take a whole catalogue in' }).click();
  await page.getByLabel('Supplier').fill('The other shop');
  await page
    .getByLabel('File of the list')
    .setInputFiles({ name: 'catalogue.zip', mimeType: 'application/zip', buffer: zip });
  const list = page.getByRole('main', { name: 'Import' });
  await expect(list.getByRole('row', { name: /^Engines 16$/ })).toBeVisible();
  await expectAccessible(page);
  await list.getByRole('button', { name: 'Load it' }).focus();
  await page.keyboard.press('Enter');
  await expect(list.getByRole('button', { name: /^Load the whole catalogue/ })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(list.getByRole('heading', { name: 'Loaded' })).toBeVisible();
}

// Two shops are begun, backed up and started here: on a machine three times as slow they take longer than one journey may.
test.describe.configure({ timeout: 600_000 });

test('a shop of its own: begun, stocked from a list, sold from, backed up, and whole again on another machine', async ({
  page,
  counter,
}) => {
  const first = new Machine();
  const second = new Machine();
  try {
    const file = join(first.folder, 'catalogue.jsonl');
    writeFileSync(file, await catalogueOf(page, counter));
    expect(first.run('catalogue', file).said).toMatch(/[0-9]+ lines loaded/);
    const { address, code } = await first.start();
    await page.goto(address);
    await expect(page.getByRole('heading', { name: 'Begin a shop' })).toBeVisible();
    await expectAccessible(page);
    // Begun with nothing typed, it says what each field lacks and sends nothing.
    await page.getByRole('button', { name: 'Begin the shop' }).click();
    await expect(page.getByText('must be 4 to 8 digits')).toBeVisible();
    await beginByKeyboard(page, code!);
    await expect(page.getByRole('listbox', { name: 'Engines left' })).toBeVisible();

    await page.goto(`${address}/people`);
    await page.getByRole('button', { name: 'Add somebody' }).click();
    await page.getByLabel('Name to sign in with').fill('Odo');
    await page.getByLabel('Initials').fill('od');
    await page.getByLabel('Password to begin with').fill('ten letters or more');
    await page.getByLabel('PIN to begin with').fill('9999');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('combobox', { name: 'What Odo may do' })).toHaveValue('specialist');
    await page.getByRole('combobox', { name: 'What Maud may do' }).selectOption('editor');
    await expect(page.getByText('The last supervisor stays')).toBeVisible();
    await expectAccessible(page);

    await bringInList(page, address);
    await page.goto(`${address}/quarantine/sellers`);
    await page.getByLabel('A new seller', { exact: true }).getByRole('textbox').fill('Eastgate Factors');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('cell', { name: /Eastgate Factors/ })).toBeVisible();
    await expectAccessible(page);
    await page.goto(`${address}/quarantine/receiving`);
    await page.getByRole('combobox', { name: 'From' }).click();
    await page.getByRole('option', { name: 'Eastgate Factors' }).click();
    await page.getByRole('textbox', { name: 'Number, line 1' }).fill('KN 426G-63IR');
    await page.getByRole('textbox', { name: 'Pieces, line 1' }).fill('8');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('8 pieces in 1 line')).toBeVisible();

    await page.goto(`${address}/counter/engine`);
    await expect(page.getByRole('listbox', { name: 'Engines left' })).toBeVisible();
    await ask(page, 'as22', /Aldersyke AS22/);
    await expectTray(page);
    await pickRow(page, 'KN 426G-63IR');
    await page.keyboard.press('+');
    await expect(slipPane(page)).toContainText('Tax 13.5%');
    await expect(slipPane(page)).toContainText(/€[0-9]/);

    expect(first.run('backup').said).toMatch(/rows of [0-9]+ tables, read back and equal/);
    const [backup] = first.backups('shop');
    await page.goto(`${address}/shop`);
    await expect(page.getByText(/rows of [0-9]+ tables, read back$/)).toBeVisible();
    await expectAccessible(page);

    // On another machine it is equal table by table; it goes over nothing that is there, and not while a shop is at work.
    expect(second.run('restore', backup!).said).toMatch(/Restored as of .* equal by checksum/);
    const twice = second.run('restore', backup!);
    expect([twice.isDone, twice.said]).toEqual([false, expect.stringContaining('There is a shop in')]);
    const again = await second.start();
    expect(again.code).toBeUndefined();
    await signIn(page, again.address);
    await page.keyboard.press('=');
    await expect(page.getByRole('dialog')).toContainText('Aldersyke AS22');
    await page.keyboard.press('Escape');
    await ask(page, 'tv52r', /TV 52-R/);
    expect(first.run('restore', backup!).said).toContain('The shop is at work');
    // A backup that was touched since is none.
    appendFileSync(join(backup!, 'shop.dump'), 'x');
    await second.stop();
    expect(second.run('restore', backup!).said).toContain('it has changed since');
  } finally {
    await first.leave();
    await second.leave();
  }
});

test('a mistake is gone back before: the files of yesterday and the journal since, up to the minute', async ({
  page,
  counter,
}) => {
  const first = new Machine();
  const second = new Machine(first.journal);
  try {
    // Signed in there before anybody is here: both are of one host, and their cookies with it.
    const zip = await catalogueOf(page, counter, 'zip');
    const { address, code } = await first.start();
    await page.goto(address);
    await beginByKeyboard(page, code!);
    await expect(page.getByText('No engine is in this catalogue yet')).toBeVisible();
    await bringInWhole(page, zip);
    await page.goto(`${address}/counter/engine`);
    await expect(page.getByRole('option', { name: /Aldersyke AS22/ }).first()).toBeVisible();
    await ask(page, 'as22', /Aldersyke AS22/);
    await expectTray(page);
    expect(first.run('backup', '--base').said).toContain('verified');
    await bringInList(page, address);
    await page.waitForTimeout(1500);
    const before = new Date().toISOString();
    await page.waitForTimeout(1500);
    // The mistake, and the end of the machine: what was archived until then is all there is.
    await page.goto(`${address}/shop`);
    await page.getByLabel('What the shop is called').fill('Spoilt');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText(/^Kept\./)).toBeVisible();
    const segments = () => readdirSync(first.journal).filter((name) => /^[0-9A-F]{24}$/.test(name)).length;
    await first.stop();
    expect(segments()).toBeGreaterThan(0);
    const recovered = second.run('restore', first.backups('base')[0]!, '--until', before);
    expect(recovered.said).toContain('Recovered to');
    const again = await second.start();
    // Whoever was signed in then is so again; what was spoilt after is not.
    await page.goto(`${again.address}/shop`);
    await expect(page.getByLabel('What the shop is called')).toHaveValue('Harrowmere Ignition');
    await ask(page, 'tv 52-r', /TV 52-R/);
  } finally {
    await second.leave();
    await first.leave();
  }
});
