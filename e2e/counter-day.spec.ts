import {
  READS,
  ask,
  expect,
  expectAccessible,
  expectTray,
  pickRow,
  signIn,
  slipPane,
  test,
  whyPanel,
} from './counter.ts';
import { bringScanner } from './scanner.ts';

test('price and stock are answered on the phone without a slip', READS, async ({ page, counter }) => {
  await signIn(page, counter);
  await ask(page, '26g63dr', /KN 426G-63DR/);
  await expect(page.getByLabel('Price and stock')).toContainText('£9.40');
  await expect(page.getByLabel('Price and stock')).toContainText('5 on the shelf');
  await expect(slipPane(page)).toContainText('No slip yet');
});

test('an Ask-first part shows which fact is missing and carries its question to the slip', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'sc20', /Skerrow SC20/);
  await expectTray(page);
  await pickRow(page, 'TS 500 231');
  await expect(whyPanel(page)).toContainText('Ask first');
  await expect(whyPanel(page)).toContainText('Not known: reach. Measure from the seat face to the end of the shell');
  await expect(page.getByRole('img', { name: /Section: TS 500 231/ })).toContainText('reach ?');
  await page.keyboard.press('+');
  await expect(slipPane(page).getByRole('region', { name: 'Still open' })).toContainText('Measure from the seat face');
  await expect(page.getByRole('button', { name: /Parts.*1 question open/ })).toBeVisible();
});

test('one slip is parked and another taken up, by a colleague with a PIN', async ({ page, counter }) => {
  await signIn(page, counter);
  await ask(page, 'haulm 2012', /Skerrow Haulm/);
  await expectTray(page);
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('04201');
  await page.keyboard.press('=');
  await page.keyboard.press('p');
  await expect(slipPane(page)).toContainText('No slip yet');

  await page.keyboard.press('o');
  await page.getByRole('button', { name: /Isolde/ }).waitFor();
  await page.keyboard.press('b');
  await page.keyboard.type('4203');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /Isolde, supervisor/ })).toBeVisible();

  await page.keyboard.press('=');
  await expect(page.getByRole('button', { name: /04201.*parked/ })).toBeVisible();
  await page.keyboard.press('a');
  await expect(slipPane(page)).toContainText('KN 419G-63DR');
  await expect(slipPane(page)).toContainText('Isolde');
});

test('a line is taken off, put back by undo, and counted up; a note is written', async ({ page, counter }) => {
  await signIn(page, counter);
  await ask(page, 'pellworth pp20', /Pellworth PP20/);
  await expectTray(page);
  await pickRow(page, 'HB/9/55.C1');
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('Hollin & Bray, cylinder 1');
  await page.keyboard.press(']');
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText('£4.70');
  // Undo steps back, one thing after another, also after a reload.
  await page.reload();
  await expect(slipPane(page)).toContainText('£4.70');
  await page.keyboard.press('z');
  await expect(slipPane(page)).toContainText('£2.35');
  await page.keyboard.press('z');
  await expect(slipPane(page)).toContainText('Nothing on it yet');
  await pickRow(page, 'HB/9/55.C1');
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('Hollin & Bray, cylinder 1');
  await page.keyboard.press(']');
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText('£4.70');
  await page.keyboard.press('Delete');
  await expect(slipPane(page)).toContainText('Nothing on it yet');
  await page.keyboard.press('z');
  await expect(slipPane(page)).toContainText('£4.70');
  await page.keyboard.press(';');
  await page.keyboard.type('Pump runs rough; plug looked sooty', { delay: 45 });
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('Pump runs rough; plug looked sooty');
});

test(
  'where nothing will do, the plugs that one check alone keeps out are listed, and one is tried',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    await page.goto(`${counter.address}/counter/parts?engine=skerrow-tl24`);
    await expectTray(page);
    await page.keyboard.press('n');
    const list = page.getByRole('dialog', { name: /Nearly fits/ });
    const first = list.getByRole('region', { name: 'Kept out by reach alone' }).getByRole('button').first();
    const printed = await first.innerText();
    await expectAccessible(page);
    await first.press('Enter');
    await expect(list).toHaveCount(0);
    await expect(page.locator('[data-tray] [aria-selected="true"]')).toHaveAttribute('data-row', printed);
    await expect(whyPanel(page)).toContainText('Reach');
  },
);

test(
  'in the ask line every character is text, and a scanner’s burst on the desk commands nothing',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    await page.keyboard.press('/');
    await page.keyboard.type('j=?;2');
    await expect(page.getByRole('combobox', { name: /Ask/ })).toHaveValue('j=?;2');
    await page.keyboard.press('Escape');
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys and actions of this screen' })).toBeVisible();
    await page.keyboard.press('Escape');
    // A burst: far faster than fingers, ending in a command key. It must open no sheet.
    await bringScanner(page);
    await page.evaluate(() => {
      for (const key of window.scannerKeys([...'290000419630='])) window.dispatchEvent(key);
    });
    await expect(page.getByRole('dialog')).toHaveCount(0);
  },
);

test('each planted trap looks on screen as it is judged', READS, async ({ page, counter }) => {
  await signIn(page, counter);
  const traps = [
    ['skerrow-sc20', 'TS 500 187', 'Refuse', 'it leaks, overheats and works loose'],
    ['skerrow-sc20', 'IVX-C19-F10', 'Refuse', 'Cylinders 2 and 4 only.'],
    ['skerrow-sc20', 'KN 419G-65DR', 'Sell with advice', 'on short runs it may foul'],
    ['skerrow-sc20', 'KN 419G-59DR', 'Refuse', 'holes pistons'],
    ['ostrel-ow12', 'KN 226G-63NR', 'Needs supervisor', 'then it misfires'],
    ['ostrel-ow12', 'HB/26S/45.P1', 'Ask first', 'how near the piston comes is not known'],
    ['dunmarrow-hf22', 'TS 500 412', 'Refuse', 'cannot seal in a cone'],
    ['pellworth-pp20', 'HB/19/55.C1', 'Refuse', 'piston'],
  ] as const;
  for (const [engine, printed, verdict, words] of traps) {
    await page.goto(`${counter.address}/counter/parts?engine=${engine}`);
    await expectTray(page);
    await pickRow(page, printed);
    await expect(whyPanel(page)).toContainText(verdict);
    await expect(whyPanel(page)).toContainText(words);
  }
});
