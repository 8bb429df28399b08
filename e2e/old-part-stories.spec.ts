import type { Page } from '@playwright/test';
import { ask, expect, expectAccessible, signIn, slipPane, test } from './counter.ts';
import { heading, openOldParts, plugs, press, stage } from './old-parts.ts';

/** The stories that are read from plugs: the same answer by keys alone and by pointer alone. */
const READ = [
  {
    tells: 'four sooty plugs of a taxi on short runs',
    engine: ['sc20g', /Skerrow SC20G/],
    keys: ['b', 'Enter', 'w', 'w', 'w', 'Shift+A'],
    marks: [1, 2, 3, 4].map((cylinder) => ({ cylinder, says: ['black soot, dry'] })),
    known: 'short cold runs',
    says: 'Likely: short cold runs',
    region: ['Do not sell yet', 'plugs'],
  },
  {
    tells: 'a coolant leak between two neighbours of the old six',
    engine: ['h6', /Dunmarrow H6/],
    keys: ['t', 'f', 'Enter', 'w', 't', 't', 't', 'Shift+B'],
    marks: [2, 3].map((cylinder) => ({ cylinder, says: ['white powder or glaze'] })),
    known: 'loses coolant',
    says: 'Likely: coolant past the head gasket',
    region: ['Do not sell yet', 'plugs'],
  },
  {
    tells: 'oil in one deep well',
    engine: ['ow12', /Ostrel OW12/],
    keys: ['t', 'a', 'j', 'd', 'j', 'j', 'j', 'j', 'b', 'Enter', 't'],
    marks: [{ cylinder: 2, says: ['with oil, on the upper thread', 'tan or grey, dry', 'oil'] }],
    known: undefined,
    says: 'Likely: cover or well seal leaks',
    region: ['May be sold', 'cover seal and boots'],
  },
  {
    tells: 'a supercharged five run hot on a smaller pulley',
    engine: ['ak23', /Aldersyke AK23S/],
    keys: ['d', 'k', 'e', 'Enter', 'w', 'w', 'w', 'w', 'Shift+F'],
    marks: [1, 2, 3, 4, 5].map((cylinder) => ({ cylinder, says: ['white with blisters', 'specks of metal'] })),
    known: 'boost raised',
    says: 'Likely: runs too hot',
    region: ['Causes, ranked', '1, 2, 3, 4, 5; every cylinder'],
  },
] as const;

async function mark(page: Page, cylinder: number, says: readonly string[]): Promise<void> {
  const signs = page.getByRole('complementary', { name: /^Cylinder \d/ });
  await plugs(page)
    .getByRole('button', { name: new RegExp(`^Cylinder ${cylinder}:`) })
    .click();
  for (const one of says)
    await (one === 'oil' ? signs.getByRole('group', { name: 'Boot and well' }) : signs)
      .getByRole('button', { name: one, exact: one === 'oil' })
      .first()
      .click();
}

test('each story of old plugs comes to its answer by keys alone', async ({ page, counter }) => {
  await signIn(page, counter);
  for (const { engine, keys, says, region } of READ) {
    await openOldParts(page, ...(engine as readonly [string, RegExp]));
    await press(page, keys);
    await expect(heading(page)).toContainText(says);
    await expect(stage(page).getByRole('region', { name: region[0] })).toContainText(region[1]);
  }
});

test('each story of old plugs comes to its answer by pointer alone', async ({ page, counter }) => {
  await signIn(page, counter);
  for (const { engine, marks, known, says, region } of READ) {
    await ask(page, ...(engine as readonly [string, RegExp]));
    await page
      .getByRole('navigation', { name: 'Stages' })
      .getByRole('button', { name: /Old parts/ })
      .click();
    // Another engine on the same slip: nothing of the last one is shown.
    await expect(heading(page)).toContainText('Nothing is read yet');
    for (const one of marks) await mark(page, one.cylinder, one.says);
    if (known) await stage(page).getByRole('button', { name: known }).click();
    await expect(heading(page)).toContainText(says);
    await expect(stage(page).getByRole('region', { name: region[0] })).toContainText(region[1]);
  }
});

test('a generator’s cap with tracks is told by keys, kept through a reload, and written on the slip', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await openOldParts(page, 'pg66', /Pellworth PG66/);
  await press(page, ['y', 'y', 'y', 'j']);
  const seen = stage(page).getByRole('region', { name: 'Cap tracks inside' });
  await expect(seen).toContainText('Then may be sold: cap and rotor');
  await expect(slipPane(page)).toContainText('Pellworth PG66');
  await page.reload();
  await expect(seen).toContainText('Let the vent breathe');
  await expectAccessible(page);
  await page.keyboard.press('Control+Enter');
  await expect(slipPane(page)).toContainText('Cap tracks inside: Let the vent breathe');
  // One key too many is taken off by its own letter.
  await press(page, ['k', 'k']);
  await expect(stage(page).getByRole('region', { name: 'Cap burnt' })).toHaveCount(0);
  // As a comeback: rain, several of them, long after; what is touched first is looked at first.
  await press(page, ['y', 'y', 'y', 'y', 'm', 'g', 'Shift+A']);
  await expect(stage(page).getByRole('img', { name: /^From above/ })).toBeVisible();
});

test('a generator’s cap and a lead on two cylinders are told by pointer alone', async ({ page, counter }) => {
  await signIn(page, counter);
  await openOldParts(page, 'pg66', /Pellworth PG66/);
  await page.getByRole('button', { name: /^Refit, coils, leads/ }).click();
  const group = (name: string) => stage(page).getByRole('group', { name, exact: true });
  await group('Cap')
    .getByRole('button', { name: /tracks inside/ })
    .click();
  await group('Lead')
    .getByRole('button', { name: /chafed through/ })
    .click();
  const lead = stage(page).getByRole('region', { name: 'Lead chafed through' });
  await lead.getByRole('button', { name: '2' }).click();
  await lead.getByRole('button', { name: '4' }).click();
  await expect(lead.getByRole('heading')).toContainText('Lead 2, 4 chafed through');
  await stage(page)
    .getByRole('button', { name: /^Write it on the slip/ })
    .click();
  await expect(slipPane(page)).toContainText('Lead 2, 4 chafed through: Reroute it');
});

test('a connector not latched is found by pointer alone, and no coil is sold for it', async ({ page, counter }) => {
  await signIn(page, counter);
  await openOldParts(page, 'as22', /Aldersyke AS22/);
  await page.getByRole('button', { name: /^Comeback/ }).click();
  await page
    .getByRole('group', { name: 'How soon after the work' })
    .getByRole('button', { name: /^at once/ })
    .click();
  await page.getByRole('group', { name: 'Touched, or not known' }).getByRole('button', { name: /coils/ }).click();
  await expect(stage(page).getByRole('img', { name: /^From above.*Next: connectors/ })).toBeVisible();
  await stage(page)
    .getByRole('button', { name: /^It was wrong/ })
    .click();
  await expect(heading(page)).toContainText('Found: connector shut and locked');
  await expect(stage(page).getByRole('region', { name: 'Not to be sold yet' })).toContainText('no part, no charge');
  await page.reload();
  await expect(heading(page)).toContainText('Found: connector shut and locked');
});

test('a cylinder with two plugs is read side by side: gap and torque out of each, and which side a sign is on', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await openOldParts(page, 'at20', /Aldersyke AT20/);
  const seat = page.getByRole('complementary', { name: /^Cylinder \d/ });
  await expect(stage(page)).toContainText('0 of 8 read');
  // Exhaust stands before intake; every exhaust plug is sooty, the intake ones are as they should be.
  for (let cylinder = 1; cylinder <= 4; cylinder += 1) await press(page, ['b', 'Enter', 't']);
  await expect(stage(page)).toContainText('8 of 8 read');
  await expect(stage(page).getByRole('region', { name: 'Causes, ranked' })).toContainText('only exhaust');
  await page.keyboard.press('ArrowLeft');
  await expect(seat).toContainText('Cylinder 4 exhaust');
  await page.keyboard.press('l');
  await page.getByLabel('Torque of cylinder 4 exhaust').fill('21');
  await page.keyboard.press('Enter');
  await expect(seat).toContainText(/Torque out\s*21\.0 N·m/);
  await page.reload();
  await plugs(page)
    .getByRole('button', { name: /^Cylinder 4 exhaust/ })
    .click();
  await expect(seat).toContainText(/Torque out\s*21\.0 N·m/);
  await expectAccessible(page);
});
