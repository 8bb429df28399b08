import { expect, expectAccessible, signIn, test } from './counter.ts';

test('an engine’s gap is mended by keyboard: kept half filled in, told before it is recorded, and taken back', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Corwin');
  await page.goto(`${counter.address}/engines/skerrow-sc20`);
  await expect(page.getByRole('main', { name: 'Engine' })).toContainText('SC20');
  await page.keyboard.press('w');
  const form = page.getByRole('form', { name: 'Engine Skerrow SC20' });
  await expect(form).toBeVisible();
  await expectAccessible(page);
  await form.locator('summary', { hasText: 'plug 1 plug 1' }).focus();
  await page.keyboard.press('Enter');
  await form.locator('summary', { hasText: 'asked gap' }).focus();
  await page.keyboard.press('Enter');
  await form.getByLabel('high').focus();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('1,02');
  await expect(form.getByLabel('high')).toHaveValue('1,02');
  // Half filled in it survives a reload.
  await page.reload();
  await expect(page.getByText('is kept here until it is recorded or thrown away')).toBeVisible();
  await page.keyboard.press('Control+Enter');
  const amiss = page.getByRole('list', { name: 'What is amiss' });
  await expect(amiss).toContainText('positions 1, figures');
  await expectAccessible(page);
  // What is amiss stands open.
  await form.getByLabel('low').focus();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('0.805');
  const same = page.getByRole('button', { name: 'Ask the same at every plug' });
  await same.focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+Enter');
  const would = page.getByRole('region', { name: 'What would change' });
  await expect(would).toContainText('value, low: 1.05 → 0.805');
  await expect(would).toContainText(/verdicts? of \d+ would change|No verdict of \d+ changes/);
  await page.keyboard.press('Control+Enter');
  const history = page.getByRole('region', { name: 'What was changed' });
  await expect(history).toContainText('Corwin');
  await expect(page.getByText('is kept here until')).toHaveCount(0);
  await page.goto(`${counter.address}/engines/skerrow-sc20`);
  await expect(page.getByRole('complementary', { name: 'Requirement' })).toContainText(/0\.8\d?–1\.02/);
  await page.goBack();
  await history.getByRole('button', { name: 'Take back' }).focus();
  await page.keyboard.press('Enter');
  await expect(history.getByRole('listitem').first()).toContainText('0.805 → 1.05');
  await page.goto(`${counter.address}/engines/skerrow-sc20`);
  await expect(page.getByRole('complementary', { name: 'Requirement' })).toContainText('1.05–1.15');
});

test('by pointer: a rating too many is refused where it stands, then goes between two; a specialist sees who may', async ({
  page,
  counter,
}) => {
  await signIn(page, counter, 'Corwin');
  await page.goto(`${counter.address}/catalogue/makers`);
  await page.getByRole('link', { name: 'Heat scale of Kestrane' }).click();
  const form = page.getByRole('form', { name: 'Heat scale of Kestrane' });
  await form.getByRole('button', { name: 'Add a rating' }).click();
  const last = form.getByRole('group', { name: 'rating 8' });
  await last.getByLabel('code').fill('58');
  await last.getByLabel('heat index').fill('12.4');
  await form.getByRole('button', { name: 'Say what would change' }).click();
  await expect(page.getByRole('list', { name: 'What is amiss' })).toContainText('run from hot to cold');
  await last.getByRole('button', { name: 'Take rating 8 out' }).click();
  await form.getByRole('button', { name: 'A rating before 2' }).click();
  const second = form.getByRole('group', { name: 'rating 2' });
  await second.getByLabel('code').fill('58');
  await second.getByLabel('heat index').fill('12.4');
  await form.getByRole('button', { name: 'Say what would change' }).click();
  await expect(page.getByRole('region', { name: 'What would change' })).toContainText('ratings: 58 12.4 added');
  await form.getByRole('button', { name: 'Record it' }).click();
  await expect(page.getByRole('region', { name: 'What was changed' })).toContainText('58 12.4 added');
  await expectAccessible(page);

  // A code is renamed through the name of another, and neither goes under.
  await page.goto(`${counter.address}/catalogue/records/numbering/kestrane`);
  await page.locator('summary', { hasText: 'thread digits' }).click();
  const codes = page.getByRole('button', { name: /^Take code/ });
  await expect(codes.first()).toBeVisible();
  const before = await codes.count();
  const taken = (await codes.first().getAttribute('aria-label'))!.replace(/^Take code (.*) out$/, '$1');
  await page.getByRole('button', { name: 'Add a code' }).first().click();
  const added = codes.last().locator('xpath=..').getByLabel('code', { exact: true }).first();
  await added.fill(taken);
  await expect(page.getByText('stands already')).toBeVisible();
  await added.fill(`${taken}x`);
  await added.press('Tab');
  await expect(page.getByRole('button', { name: `Take code ${taken}x out` })).toBeVisible();
  await expect(codes).toHaveCount(before + 1);
  await page.getByRole('button', { name: 'Throw away' }).click();

  // A maker's first numbering begins from a usual shape, which says nothing in the maker's stead.
  await page.goto(`${counter.address}/catalogue/records/numbering/tamsel`);
  const shapes = page.getByRole('region', { name: 'Begin from a usual shape' });
  await expect(shapes).toBeVisible();
  await expectAccessible(page);
  await shapes.getByRole('button', { name: /^heat as a letter/ }).focus();
  await page.keyboard.press('Enter');
  await expect(shapes).toBeHidden();
  await expect(page.locator('summary', { hasText: 'Gap in tenths' })).toBeVisible();
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('list', { name: 'What is amiss' })).toContainText('text');
  await page.reload();
  await expect(page.locator('summary', { hasText: 'Gap in tenths' })).toBeVisible();
  await page.getByRole('button', { name: 'Throw away' }).click();
  await expect(shapes).toBeVisible();

  await page.goto(`${counter.address}/catalogue/engines`);
  await page.getByLabel('its key').fill('skerrow-sc29');
  await page.getByLabel('filled in as').selectOption({ label: 'Skerrow SC20' });
  await page.getByRole('button', { name: 'Fill it in' }).click();
  await page.getByLabel('code', { exact: true }).first().fill('SC29');
  await page.getByRole('button', { name: 'Say what would change' }).click();
  await expect(page.getByRole('region', { name: 'What would change' })).toContainText('It is new');
  await page.getByRole('button', { name: 'Record it' }).click();
  await expect(page.getByRole('heading', { name: 'Engine Skerrow SC29' })).toBeVisible();

  await page.context().clearCookies();
  await signIn(page, counter);
  await page.goto(`${counter.address}/catalogue/records/engine/skerrow-sc29`);
  await expect(page.getByRole('alert')).toContainText('Your role does not do this.');
});
