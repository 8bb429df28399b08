import type { Page } from '@playwright/test';
import { READS, expect, expectAccessible, signIn, test, toRoom } from './counter.ts';

const page4 = (page: Page) => page.getByRole('main', { name: 'Import' });
const heading = (page: Page) => page4(page).getByRole('heading', { level: 1 });
const LIST = [
  'Art. no;Brand;Gap mm;Equal to;Net;Price;EAN;Lager',
  'KN 419G-63DR;Kestrane;39;;5,20;9,95;;12',
  'KN 426G-63DR;Kestrane;43;HB/19/45.D1;5,45;;;3',
  'KX 77-1;Kestrane;35;KN 419G-63DR;6,10;11,40;2001234500104;0',
  'HB/19/45.D1;;31;;4,90;;2001234500014;1',
].join('\r\n');

const openImports = async (page: Page) => {
  await toRoom(page, 'k');
  await expect(page.getByRole('navigation', { name: 'Sheets of the catalogue' })).toBeVisible();
  await page.keyboard.press('4');
  await expect(page4(page)).toContainText('A list is shown here');
};
/** The file, as it is chosen in the browser's own dialog. */
const choose = async (page: Page, press: () => Promise<void>, text = LIST) => {
  const chooser = page.waitForEvent('filechooser');
  await press();
  await (await chooser).setFiles({ name: 'eastgate-03.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
};

test('a supplier’s list is taken in by keyboard: thousandths are asked, two rows are written, sold from, and taken back', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Isolde');
  await openImports(page);
  await page.keyboard.press('t');
  await page.keyboard.type('Eastgate Clearance', { delay: 45 });
  await page.keyboard.press('Escape');
  await choose(page, () => page.keyboard.press('f'));
  await expect(heading(page)).toHaveText('One column asked');
  await expect(page4(page).getByRole('group', { name: 'Which unit?' })).toContainText(
    '4 of 4 values are no gap in mm: 31 to 43. As thousandths of an inch they are 0.79 to 1.09 mm.',
  );
  await expectAccessible(page);
  await page.keyboard.press('a');
  await expect(heading(page)).not.toHaveText('One column asked');
  await expect(page4(page)).toContainText('a new number: say what the new ones of this list are');
  // What new numbers are is said from a list that opens.
  await page.getByRole('combobox', { name: 'Numbers that nobody has are' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('p');
  await page.keyboard.press('Enter');
  await expect(heading(page)).toHaveText('1 row to write');
  await page.reload();
  await expect(heading(page)).toHaveText('1 row to write');
  await page.locator('[data-desk]').focus();
  await page.keyboard.press('h');
  await expect(page4(page).getByRole('region', { name: 'Rows', exact: true })).toContainText('that are invalid');
  await expect(page4(page).getByRole('region', { name: 'Rows', exact: true })).toContainText(
    'its check digit would be 2',
  );
  await page.keyboard.press('Control+Enter');
  await expect(heading(page)).toHaveText('Written');
  await expectAccessible(page);
  await page.keyboard.press('/');
  await page.keyboard.type('kx771', { delay: 45 });
  await expect(page.getByRole('option', { name: /KX 77-1/ }).first()).toBeVisible();
  await page.keyboard.press('Escape');
  await page4(page).getByRole('button', { name: 'Take it back' }).press('Enter');
  await page.keyboard.press('Enter');
  await expect(heading(page)).toHaveText('Taken back');
  await page.keyboard.press('/');
  await page.keyboard.type('kx771', { delay: 45 });
  await expect(page.getByRole('option', { name: /KX 77-1/ })).toHaveCount(0);
});

test('by pointer: a list that cannot be read says what to do; a column is read otherwise; the rejected rows are a file', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Isolde');
  await openImports(page);
  const take = () => page.getByRole('button', { name: /^Choose a file/ }).click();
  await choose(page, take);
  await expect(page.getByText('Whose list is it?')).toBeVisible();
  await page.getByLabel('Supplier').fill('Norrad Direct');
  await choose(page, take, 'No,Note\nKX 1,"open\n');
  await expect(heading(page)).toHaveText('Not read');
  await expect(page4(page)).toContainText('Mend the file and send it again');
  await page.getByLabel('Supplier').fill('Norrad Direct');
  await choose(page, take);
  await expect(heading(page)).toHaveText('One column asked');
  await page4(page)
    .getByRole('button', { name: /Cannot tell: leave it out/ })
    .click();
  await expect(heading(page)).toHaveText('1 row to write');
  await page4(page)
    .getByRole('button', { name: /1 changed/ })
    .click();
  await expect(page4(page).getByRole('region', { name: 'Rows', exact: true })).toContainText('– → 5.20');
  const download = page.waitForEvent('download');
  await page4(page)
    .getByRole('link', { name: /not taken, as CSV/ })
    .click();
  expect((await download).suggestedFilename()).toMatch(/rejected\.csv$/);
  // The next list of this supplier is read the same way.
  await choose(page, take);
  await expect(page4(page)).toContainText('as this supplier’s last list');
  // A maker's own list names its maker nowhere: it is said once.
  await page.getByLabel('Supplier').fill('Kestrane Direct');
  await choose(page, take, 'No;Net\nKX 88-1;5,00\n');
  // Until it is read, the list before it stands there.
  await expect(page.getByRole('option', { name: /^Kestrane Direct.*sorted/, selected: true })).toBeVisible();
  const says = async (what: string, answer: string) => {
    await page4(page).getByRole('combobox', { name: what }).click();
    await page.getByRole('option', { name: answer, exact: true }).click();
  };
  await says('Numbers that nobody has are', 'plugs');
  await expect(page4(page)).toContainText('a new number needs its maker');
  await says('Its numbers are of', 'Kestrane');
  await expect(heading(page)).toHaveText('1 row to write');
});

test('a specialist sees who may take a list in', READS, async ({ page, counter }) => {
  await signIn(page, counter);
  await page.goto(`${counter.address}/catalogue/imports`);
  await expect(page4(page)).toContainText('by an editor or a supervisor');
});
