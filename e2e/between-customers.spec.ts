import { expect, expectTray, signIn, slipPane, test, toRoom } from './counter.ts';

test('after parking nothing of the last customer is left on the desk, and the rail goes back to the slip in hand', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  const left = page.getByRole('complementary', { name: 'What is known of the engine' });
  await expect(left).toContainText('19 engines left');
  await page.keyboard.press('f');
  await page.keyboard.type('skerrow haulm 2012, the silver one', { delay: 45 });
  await page.keyboard.press('Enter');
  // What fits no engine is kept as it was said, and rules none out.
  await expect(left).toContainText('noted');
  await expect(left).toContainText('1 engine left');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Enter');
  await expectTray(page);
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('04201');

  await toRoom(page, 'k');
  await expect(page).toHaveURL(/catalogue/);
  await toRoom(page, 'c');
  await expectTray(page);
  await expect(slipPane(page)).toContainText('04201');

  await page.keyboard.press('=');
  await page.keyboard.press('p');
  await expect(left).toContainText('19 engines left');
  await expect(left).toContainText('Nothing yet');
  expect(new URL(page.url()).search).toBe('');
});
