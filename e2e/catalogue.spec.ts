import { runAudit } from './catalogue.ts';
import { READS, ask, expect, pressTimes, signIn, test } from './counter.ts';
import { bringScanner } from './scanner.ts';

test('the editor cuts a false equal by keyboard, and takes it back', async ({ page, counter }) => {
  await signIn(page, counter, 'Corwin');
  await runAudit(page);
  const evidence = page.getByRole('main', { name: 'Evidence' });
  const picked = page.getByRole('option', { selected: true });
  for (let i = 0; i < 20 && !(await picked.innerText()).includes('TS 500 187'); i += 1) await pressTimes(page, 'j');
  await expect(evidence).toContainText('Taper and gasket seat called equal');
  await expect(evidence).toContainText('Eastgate list');
  await expect(evidence.getByRole('img', { name: /TS 500 187/ })).toBeVisible();
  await page.keyboard.press('c');
  await expect(evidence).toContainText('Reference cut by Corwin');
  await page.keyboard.press('z');
  await expect(evidence).not.toContainText('Reference cut by Corwin');
});

test(
  'from “it’s a Skerrow” to one engine by answering keys, each statement taken back at will',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    const known = page.getByRole('region', { name: 'Known so far' });
    await page.keyboard.press('f');
    await page.keyboard.type('skerrow');
    await page.keyboard.press('Enter');
    await expect(known).toContainText('“It’s a Skerrow”');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('?');
    await page.keyboard.press('n');
    await expect(known).toContainText('Cannot tell');
    await page.keyboard.press('t');
    await page.keyboard.press('2');
    await expect(known).not.toContainText('Cannot tell');
    for (let i = 0; i < 6; i += 1) {
      if (await page.getByRole('heading', { name: /One engine is left|take the same plug/ }).isVisible()) break;
      await page.keyboard.press('a');
      await page.waitForTimeout(400);
    }
    await expect(page.getByRole('heading', { name: /One engine is left|take the same plug/ })).toBeVisible();
  },
);

test('a plate is looked up in the simulated register, which may not know', READS, async ({ page, counter }) => {
  await signIn(page, counter);
  await page.keyboard.press('y');
  await page.keyboard.type('zz 1234');
  await page.keyboard.press('Enter');
  await expect(page.getByText('No record of this plate.')).toBeVisible();
  await page.getByLabel(/Plate or serial/).fill('SD-4472');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Known so far' })).toContainText('Built in Jun 2017');
  await expect(page.getByRole('heading', { name: 'One engine is left' })).toBeVisible();
});

test('a part’s number is read position by position, and its references are drawn', READS, async ({ page, counter }) => {
  await signIn(page, counter);
  await ask(page, 'HB/17V/55.J1', /HB\/17V\/55\.J1/);
  const positions = page.getByRole('region', { name: 'The number, position by position' });
  await expect(positions).toContainText('M14 × 1.25, taper seat');
  await expect(positions).toContainText('Nothing recorded of it contradicts its number.');
  await expect(page.getByRole('region', { name: 'Judged for' })).toContainText('Pellworth PG66');
  await page.keyboard.press('v');
  const words = page.getByRole('complementary', { name: 'References in words' });
  await expect(words).toContainText('a maker’s claim that they are equal');
  await page.keyboard.press('j');
  await expect(words).not.toContainText('HB/17V/55.J1Hollin');
});

test('a thousand scans in ten seconds are all kept and none is a command', async ({ page, counter }) => {
  await signIn(page, counter);
  await expect(page.getByRole('listbox', { name: 'Engines left' })).toBeVisible();
  await bringScanner(page);
  await page.evaluate(async () => {
    for (let scan = 0; scan < 1000; scan += 1) {
      // Codes with every command of the desk in them; letters, digits and signs come as a scanner sends them.
      const code = `2j=k${String(scan).padStart(4, '0')}o1z${scan % 10}`;
      for (const key of window.scannerKeys([...code, 'Enter'])) document.body.dispatchEvent(key);
      await new Promise((resolve) => setTimeout(resolve, 8));
    }
  });
  await expect(page.getByRole('button', { name: /^1\s?000 scans/ })).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page).toHaveURL(/counter\/engine/);
  await page.getByRole('button', { name: /^1\s?000 scans/ }).click();
  await expect(page.getByRole('dialog', { name: /^1\s?000 scans, 1\s?000 different/ })).toBeVisible();
});
