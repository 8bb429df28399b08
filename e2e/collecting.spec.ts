import { ask, expect, expectAccessible, expectTray, pickRow, signIn, slipPane, test, whyPanel } from './counter.ts';

const REACH_UNKNOWN = 'TS 500 231';

test('a reach typed once leaves the question open, two readings of the gauge settle it, and the plug is sold, by keyboard', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'sc20', /Skerrow SC20/);
  await expectTray(page);
  await pickRow(page, REACH_UNKNOWN);
  // The question opens where it stands, in the tray.
  await page.keyboard.press('Enter');
  const answer = page.getByRole('dialog', { name: `Reach: ${REACH_UNKNOWN}` });
  await expect(answer).toContainText('Two readings that agree settle it');
  await expectAccessible(page);
  await page.keyboard.press('m');
  await page.keyboard.type('19,0');
  await page.keyboard.press('Enter');
  await expect(answer).toContainText('typed by Wren');
  await expect(answer).toContainText('One more that agrees settles it.');
  await page.keyboard.press('Escape');
  await expect(whyPanel(page)).toContainText('Ask first');
  await page.keyboard.press('+');
  await expect(slipPane(page)).toContainText(REACH_UNKNOWN);

  // Collecting lists what is open; its key goes to the answer.
  await page.keyboard.press('$');
  await expect(page.getByRole('dialog', { name: /is not collected yet/ })).toContainText('Measure from the seat face');
  await expectAccessible(page);
  await page.keyboard.press('a');
  await expect(answer).toBeVisible();
  await expect(answer.getByRole('button', { name: 'Take it' })).toBeEnabled();
  await page.keyboard.press('Space');
  await expect(answer).toContainText('gauged by Wren');
  await expect(answer.getByRole('button', { name: 'Take it' })).toBeEnabled();
  await page.keyboard.press('Space');
  await expect(answer).toContainText('Two readings agree');
  await page.keyboard.press('Escape');
  await expect(slipPane(page).getByRole('region', { name: 'Still open' })).toHaveCount(0);
  await expect(slipPane(page)).toContainText('Sell');

  await page.keyboard.press('$');
  await expect(page.getByRole('dialog', { name: /Collect slip 04201/ })).toBeVisible();
  await page.keyboard.press('Control+Enter');
  // The desk is clean for the next customer.
  await expect(slipPane(page)).toContainText('No slip yet');
  await page.keyboard.press('=');
  await page.keyboard.press('o');
  await expect(page.getByRole('dialog', { name: 'Slips that are done' })).toContainText('04201');
});

for (const touch of [false, true])
  test(`a whole sale by ${touch ? 'finger' : 'mouse'} alone, with single-key commands off: question answered by the gauge, note, collected`, async ({
    page,
    counter,
  }) => {
    await signIn(page, counter);
    await page.evaluate((settings) => localStorage.setItem('brackenfell.settings', JSON.stringify(settings)), {
      singleKeys: false,
      touch,
    });
    await page.goto(`${counter.address}/counter/parts?engine=skerrow-sc20`);
    await expectTray(page);
    await page.locator('[data-tray] .tray-scroll').hover();
    await page.mouse.wheel(0, touch ? 540 : 260);
    await page.locator(`[data-row="${REACH_UNKNOWN}"]`).click();
    if (touch) {
      const row = await page.locator(`[data-row="${REACH_UNKNOWN}"]`).boundingBox();
      const button = await page.getByRole('button', { name: 'Answer its question' }).boundingBox();
      expect(Math.min(row!.height, button!.height)).toBeGreaterThanOrEqual(40);
    }
    await page.getByRole('button', { name: 'Answer its question' }).click();
    const take = page.getByRole('button', { name: 'Take it' });
    for (const done of ['One more that agrees', 'Two readings agree']) {
      await expect(take).toBeEnabled();
      await take.click();
      await expect(page.getByRole('dialog')).toContainText(done);
    }
    await page.getByRole('button', { name: 'Done' }).click();
    await page.getByRole('button', { name: /^Put on slip/ }).click();
    await expect(slipPane(page)).toContainText(REACH_UNKNOWN);
    await slipPane(page)
      .getByRole('button', { name: `One fewer ${REACH_UNKNOWN}` })
      .click();
    await expect(slipPane(page)).toContainText('3 of the 4 it takes');
    await slipPane(page).getByRole('button', { name: /^Note/ }).click();
    await page.getByLabel('What was said or found').fill('One of the four was changed last week');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(slipPane(page)).toContainText('One of the four was changed last week');
    await slipPane(page)
      .getByRole('button', { name: /^Collect/ })
      .click();
    await page.getByRole('button', { name: /^Collected, £/ }).click();
    await expect(slipPane(page)).toContainText('No slip yet');
  });

test('the tree names each row as the picked row moves, and Home, End and a number typed find their rows', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'sc20', /Skerrow SC20/);
  await expectTray(page);
  const heard = async () => {
    const id = await page.locator('[data-tray]').getAttribute('aria-activedescendant');
    return page.locator(`#${id!}`).getAttribute('aria-label');
  };
  await page.keyboard.press('j');
  await expect(page.locator('[data-tray]')).toBeFocused();
  const second = await heard();
  expect(second).toMatch(/^TS 500 226, Sell/);
  await page.keyboard.press('j');
  expect(await heard()).not.toBe(second);
  await page.keyboard.press('End');
  await expect.poll(heard).toMatch(/, Refuse: /);
  await page.keyboard.press('Home');
  await expect.poll(heard).toMatch(/, Sell: /);
  await page.keyboard.press('g');
  await page.keyboard.type('500 231', { delay: 60 });
  await page.keyboard.press('Enter');
  await expect.poll(heard).toMatch(new RegExp(`^${REACH_UNKNOWN}, Ask first`));
});
