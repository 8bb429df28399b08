import {
  READS,
  ask,
  expect,
  expectAccessible,
  expectTray,
  pickRow,
  pressTimes,
  signIn,
  slipPane,
  test,
  whyPanel,
} from './counter.ts';

test('six of one maker and two of another: the strangers stand out and their repair goes on the slip', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'pg66', /Pellworth PG66/);
  await expectTray(page);
  await expect(whyPanel(page)).toContainText(
    'is filled by Ivorix and Kestrane: a set ordered under it can arrive mixed',
  );
  await page.keyboard.press('f');
  const dialog = page.getByRole('dialog', { name: 'What is fitted in the PG66' });
  await expect(dialog.getByLabel('1', { exact: true })).toBeFocused();
  await page.keyboard.type('KN 417T-59IR', { delay: 30 });
  await pressTimes(page, 'Enter', 6); // goes on, and takes the number before five times
  await page.keyboard.type('IVX-E17V-J06', { delay: 30 });
  await pressTimes(page, 'Enter', 2);
  await expect(dialog).toContainText('Plugs 7 and 8 differ from the rest');
  await expect(dialog).toContainText('shake the engine');
  await expect(dialog.getByRole('img', { name: /Plugs 7 and 8 differ/ })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Control+Enter');
  await expect(dialog).toBeHidden();
  await expect(slipPane(page)).toContainText('KN 417T-59IR');
  await expect(slipPane(page).getByRole('listitem').first()).toContainText('2');
});

test('a code that follows the coil sells one coil, and no plugs before it', async ({ page, counter }) => {
  await signIn(page, counter);
  await ask(page, 'sh28', /Skerrow SH28/);
  await expectTray(page);
  // What to sell is told by the shop's own rule, never before it is known.
  let answer: () => void = () => undefined;
  const isAnswered = new Promise<void>((resolve) => (answer = resolve));
  await page.route('**/api/house-rules', async (route) => {
    await isAnswered;
    await route.continue();
  });
  await page.keyboard.press('c');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.type('X0303', { delay: 45 });
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Misfire code on the SH28' });
  await expect(dialog).toContainText('Cylinder 3: rear bank, third from the front');
  await expect(dialog).toContainText('Not settled yet');
  await expect(dialog).not.toContainText('To sell');
  await page.keyboard.press('a');
  await expect(dialog).toContainText('the coil is to blame');
  await expect(dialog).toContainText('Looking whether this shop sells one or all');
  await expect(dialog).not.toContainText('To sell');
  answer();
  await expect(dialog).toContainText('To sell: one coil, of the revision that stays in the engine');
  await expect(dialog).toContainText('Not yet: plugs, leads');
  await page.keyboard.press('z');
  await pressTimes(page, 'b', 2);
  await expect(dialog).toContainText('not the ignition');
  await expect(dialog).not.toContainText('To sell');
  await expectAccessible(page);
});

test('two candidates stand in one drawing, with what tells them apart', READS, async ({ page, counter }) => {
  await signIn(page, counter);
  await ask(page, 'sc20', /Skerrow SC20/);
  await expectTray(page);
  await pickRow(page, 'KN 419G-63DR');
  await page.keyboard.press('x');
  await pickRow(page, 'KN 426G-63DR');
  await page.keyboard.press('x');
  const dialog = page.getByRole('dialog', { name: 'KN 419G-63DR and KN 426G-63DR' });
  await expect(dialog.getByRole('row', { name: /^Reach/ })).toContainText('26.5 mm');
  await expect(dialog.getByRole('row', { name: /^Verdict/ })).toContainText('Refuse');
  await expect(dialog.getByRole('img', { name: /Section: KN 419G-63DR/ })).toContainText('The outline, KN 426G-63DR');
  await expectAccessible(page);
});
