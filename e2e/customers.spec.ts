import { READS, ask, expect, expectAccessible, expectTray, pressTimes, signIn, slipPane, test } from './counter.ts';

test(
  'a part measured with a tape leads from the ask line to parts and to the engine that takes them',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    await page.keyboard.press('/');
    await page.keyboard.type('m14 reach 12.5 hex 21 washer by tape', { delay: 45 });
    const offered = page.getByRole('option', { name: /Search by dimension/ });
    await expect(offered).toContainText('M14, reach 12.5 mm, hex 21 mm, gasket');
    await expect(offered).toHaveAttribute('aria-selected', 'true');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Search by dimension' })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Plugs' })).toContainText('KN 412G-59N');
    const engines = page.getByRole('region', { name: 'Engines' });
    await expect(engines).toContainText('Dunmarrow DD70');
    await expectAccessible(page);
    // A figure that cannot be a reach is asked back and changes nothing.
    await page.getByLabel(/^Reach/).fill('190');
    await expect(page.getByText(/Usual is|Did you mean/)).toBeVisible();
    await expect(engines).toContainText('Dunmarrow DD70');
    await engines.getByRole('button', { name: 'Its parts' }).first().press('Enter');
    await expectTray(page);
    await expect(page.getByRole('region', { name: 'What the engine asks' })).toContainText('DD70');
  },
);

test('a colour said of a part rules no engine out', READS, async ({ page, counter }) => {
  await signIn(page, counter);
  const left = page.getByRole('listbox', { name: 'Engines left' }).getByRole('option');
  await expect(left.first()).toBeVisible();
  const all = await left.count();
  await page.keyboard.press('f');
  await page.keyboard.type('the silver one', { delay: 45 });
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Known so far' })).toContainText('silver');
  await expect(left).toHaveCount(all);
});

test('a plate in the ask line fills the vehicle on a slip of its own, and narrows the engine', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await page.keyboard.press('/');
  await page.keyboard.type('SD-4471', { delay: 45 });
  await expect(page.getByRole('option', { name: /SD-4471.*register/ })).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Enter');
  await expect(slipPane(page).getByLabel('Vehicle')).toHaveValue('Skerrow Haulm 2.0, built 2015-03, SD-4471');
  await expect(page.getByRole('region', { name: 'Known so far' })).toContainText('Haulm');
  await slipPane(page).getByLabel('Phone').fill('07700 900 461');
  await page.keyboard.press('Enter');
  await expect(slipPane(page).getByLabel('Phone')).toHaveValue('07700 900 461');
  // By that number the slip is found again.
  await page.keyboard.press('/');
  await page.keyboard.type('900461', { delay: 45 });
  await expect(page.getByRole('option', { name: /SD-4471/ }).first()).toBeVisible();
});

test('a swap test is kept on the slip over a reload, and how many coils are sold is the shop’s rule', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'ow12', /Ostrel OW12/);
  await expectTray(page);
  await page.keyboard.press('c');
  const sheet = page.getByRole('dialog', { name: /Misfire code/ });
  await page.keyboard.type('2', { delay: 45 });
  await page.keyboard.press('Enter');
  await expect(sheet).toContainText('Not settled yet');
  await page.keyboard.press('a');
  await expect(sheet).toContainText('one coil, of the revision that stays');
  await page.keyboard.press('Escape');
  await expect(slipPane(page)).toContainText(/Slip\s*04\d{3}/);
  await expect(page.getByText('not sent')).toHaveCount(0);
  await page.reload();
  await expectTray(page);
  await page.keyboard.press('c');
  await expect(sheet).toContainText('one coil, of the revision that stays');
});

test('what is fitted stays with the slip for whoever takes it up', async ({ page, counter }) => {
  await signIn(page, counter);
  await ask(page, 'ow12', /Ostrel OW12/);
  await expectTray(page);
  await page.keyboard.press('f');
  const sheet = page.getByRole('dialog', { name: /What is fitted/ });
  await sheet.getByLabel('1', { exact: true }).fill('KN 226G-63KR');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
  await expect(slipPane(page)).toContainText(/Slip\s*04\d{3}/);
  // On another computer nothing is in the browser's own storage.
  await page.evaluate(() => {
    for (const name of Object.keys(localStorage)) if (name.includes('draft')) localStorage.removeItem(name);
  });
  await page.reload();
  await expectTray(page);
  await page.keyboard.press('f');
  await expect(sheet.getByLabel('1', { exact: true })).toHaveValue('KN 226G-63KR');
});

test('a rule settled otherwise for one customer stands on the slip with its reason, and is stepped back from', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'sc20', /Skerrow SC20/);
  await expectTray(page);
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('KN 419G-63DR');
  await page.keyboard.press('Shift+H');
  const sheet = page.getByRole('dialog', { name: /House rules on slip/ });
  await sheet.getByRole('button', { name: /Boot grease/ }).press('Enter');
  await sheet.getByLabel('Dry and clean').check();
  await sheet.getByLabel('Why, for this customer').fill('asks for it dry');
  await page.keyboard.press('Enter');
  await expect(sheet).toContainText('Dry and clean on this slip (Wren): asks for it dry');
  await expectAccessible(page);
  // What decides a verdict is the supervisor's.
  await sheet.getByRole('button', { name: /Better electrode/ }).press('Enter');
  await expect(sheet).toContainText('a supervisor settles it');
  await page.keyboard.press('Escape');
  await expect(slipPane(page)).toContainText('Boot grease: dry and clean');
  await page.keyboard.press('h');
  await expect(page.getByRole('dialog', { name: /Fitting/ })).toContainText('on this slip: asks for it dry');
  await page.keyboard.press('Escape');
  await page.keyboard.press('z');
  await expect(slipPane(page)).not.toContainText('Boot grease');
});

test('every list says what is moved to, and goes to its ends', READS, async ({ page, counter }) => {
  await signIn(page, counter, 'Isolde');
  const saysEachMove = async (name: string) => {
    const list = page.getByRole('listbox', { name });
    const seen: string[] = [];
    for (const key of ['Home', 'j', 'End', 'k']) {
      await page.keyboard.press(key);
      // Where the address tells which row, the move is drawn after it: another row than any before is waited for.
      await expect(async () => {
        const id = await list.getAttribute('aria-activedescendant');
        expect(id).not.toBeNull();
        const row = list.locator(`[id="${id}"]`);
        await expect(row).toHaveAttribute('aria-selected', 'true', { timeout: 500 });
        const says = (await row.textContent())!;
        expect(seen).not.toContain(says);
        seen.push(says);
      }).toPass();
    }
  };
  await saysEachMove('Engines left');
  await pressTimes(page, ',');
  await page.keyboard.press('h');
  await expect(page.getByRole('listbox', { name: 'House rules' })).toBeVisible();
  await saysEachMove('House rules');
  await page.goto(`${counter.address}/quarantine/batches`);
  await expect(page.getByRole('listbox', { name: 'Batches' })).toBeVisible();
  await saysEachMove('Batches');
});

test(
  'every key of the help is a button that does it, with single-key commands off',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    await page.evaluate(() => {
      const kept = JSON.parse(localStorage.getItem('brackenfell.settings') ?? '{}') as object;
      localStorage.setItem('brackenfell.settings', JSON.stringify({ ...kept, singleKeys: false }));
    });
    await page.reload();
    await page.getByRole('button', { name: /keys/ }).click();
    await page.getByRole('button', { name: 'Write what was said' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByLabel(/What was said/)).toBeFocused();
  },
);

test(
  'a screen of a release that is gone says so instead of waiting, and the slip stays in sight',
  READS,
  async ({ page, counter }) => {
    await page.route(/assets\/shop-[\w-]{8}\.js$/, (route) => route.fulfill({ status: 404, body: 'gone' }));
    await signIn(page, counter);
    await page.goto(`${counter.address}/house-rules`);
    await expect(page.getByRole('alert')).toContainText('A newer version of Brackenfell has taken its place');
    await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeVisible();
  },
);

test('a person sees where they are signed in and what was tried, and changes a PIN; a supervisor keeps one out', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Isolde');
  await page.goto(`${counter.address}/people`);
  await expect(page.getByRole('region', { name: 'Where you are signed in' })).toContainText('this counter');
  await expectAccessible(page);
  await page.getByLabel('Password as it is now').fill('not that one at all');
  await page.getByLabel('New PIN').fill('7291');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('nothing was changed');
  await expect(page.getByLabel('New PIN')).toHaveValue('7291');
  await page.reload();
  await expect(page.getByRole('list', { name: 'Wrong tries' })).toContainText('password of Isolde');
  const perrin = page.getByRole('listitem').filter({ hasText: 'Perrin' });
  await perrin.getByRole('button', { name: 'Keep out' }).press('Enter');
  await expect(perrin).toContainText('kept out');
  await perrin.getByRole('button', { name: 'Let in again' }).press('Enter');
  await expect(perrin.getByRole('button', { name: 'Keep out' })).toBeVisible();
});
