import type { Page } from '@playwright/test';
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
import { coilOf } from '@brackenfell/demo/ignition/coils';
import { leadSetOf } from '@brackenfell/demo/ignition/leads';

const early = coilOf('ostrel-of16t', 'own', 'to Feb 2018');

/** To the next kind of part, and its tray: the one before stays until that is there. */
async function toKind(page: Page, kind: RegExp): Promise<void> {
  await page.keyboard.press('i');
  await expect(page.getByRole('tab', { name: kind })).toHaveAttribute('aria-selected', 'true');
  await expectTray(page);
}

test('a coil is asked about until the build is known, then sold with its question answered', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await ask(page, 'of16t', /Ostrel OF16T/);
  await expectTray(page);
  await toKind(page, /Coils/);
  await pickRow(page, early);
  await expect(whyPanel(page)).toContainText('Ask first');
  await expect(whyPanel(page)).toContainText('Mar 2018 on: 3 pins where 4 are asked, refused');
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('When was it built');

  // The connector's face beside the drawings: three pins.
  await page.keyboard.press('a');
  await expect(whyPanel(page)).toContainText('Can be sold');
  await expect(slipPane(page)).not.toContainText('When was it built');
  await expect(slipPane(page)).toContainText('Engine maker’s own number');

  // Revision C is sold all together, and not beside an A that stays.
  await pickRow(page, 'MS-C 2900');
  await expect(whyPanel(page)).toContainText('all coils of the engine are changed together');
  await page.keyboard.press('y');
  await expect(page.getByRole('button', { name: 'revision A', exact: true })).toBeVisible();
  await pickRow(page, 'MS-C 2900');
  await expect(whyPanel(page)).toContainText('Waits for the supervisor');
  await expect(whyPanel(page)).toContainText('Revision C beside revision A');
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('Would mix C with A');

  await counter.kill();
  await counter.start();
  await page.reload();
  await expect(page.getByRole('radio', { name: /to Feb 2018/ })).toBeChecked();
});

test('a reading that the meter cannot give is not an answer', READS, async ({ page, counter }) => {
  await signIn(page, counter);
  await ask(page, 'ow12', /Ostrel OW12/);
  await expectTray(page);
  await toKind(page, /Coils/);
  await page.keyboard.press('m');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.type('0.7');
  await expect(page.getByRole('dialog')).toContainText('0.50 Ω at 20 °C');
  await expect(page.getByRole('dialog')).toContainText('Inside what is stated');
  await pressTimes(page, 'Tab', 3);
  await page.keyboard.press('Control+A');
  await page.keyboard.type('0.1');
  await expect(page.getByRole('dialog')).toContainText('Cannot tell');
  await expectAccessible(page);
});

test('a lead set one lead short is refused, and the right one is labelled', async ({ page, counter }) => {
  await signIn(page, counter);
  await ask(page, 'hf22', /Dunmarrow HF22/);
  await expectTray(page);
  await page.keyboard.press('i');
  await toKind(page, /Leads/);
  await expect(
    page.getByRole('img', { name: `Leads of ${leadSetOf('dunmarrow-hf22', 'own')} on the engine` }),
  ).toContainText('Every route is served');
  await page.keyboard.press('l');
  await expect(page.getByRole('dialog')).toContainText('coil to cap');
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(5);
  await page.keyboard.press('Escape');
  await pickRow(page, leadSetOf('dunmarrow-hf22', 'trap'));
  await expect(whyPanel(page)).toContainText('1 lead short');
  await expect(page.getByRole('img', { name: /Leads of/ })).toContainText('Without a lead: cylinder');
  await expectAccessible(page);

  // Cap and rotor, judged as a pair on the slip.
  await toKind(page, /Caps/);
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('MS-D');
  await toKind(page, /Rotors/);
  await pickRow(page, 'HX 76.402');
  await expect(whyPanel(page)).toContainText('of another pairing');
});

test(
  'every key that a tray prints on its buttons does something there, whatever the kind of part',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    await ask(page, 'hf22', /Dunmarrow HF22/);
    await expectTray(page);
    const tabs = page.getByRole('tablist', { name: 'Kind of part' }).getByRole('tab');
    // Plugs, coil, leads, cap and rotor.
    await expect(tabs).toHaveCount(5);
    for (const tab of await tabs.all()) {
      await expect(tab).toHaveAttribute('aria-selected', 'true');
      await expectTray(page);
      const printed = await page
        .getByRole('toolbar', { name: /picked row/ })
        .locator('kbd')
        .allTextContents();
      expect(printed.length).toBeGreaterThan(4);
      await page.keyboard.press('?');
      const help = page.getByRole('dialog', { name: 'Keys and actions of this screen' });
      await expect(help).toBeVisible();
      const bound = await help.locator('li .num').allTextContents();
      expect(printed.filter((key) => !bound.includes(key))).toEqual([]);
      await page.keyboard.press('Escape');
      await expect(help).toBeHidden();
      await page.keyboard.press('i');
    }
  },
);
