import type { Page } from '@playwright/test';
import type { HouseRulesView } from '@brackenfell/contract/house-rules';
import { READS, choose, expect, expectAccessible, signIn, test, toRoom } from './counter.ts';

test('blades for a gap are told by keyboard, in any unit, with what tells a gap inside its range', async ({
  page,
  counter,
}) => {
  await signIn(page, counter);
  await toRoom(page, 's');
  await expect(page.getByRole('heading', { name: 'Feelers' })).toBeVisible();
  await expect(page.getByLabel('Gap, or its range')).toBeFocused();
  await page.keyboard.type('1.05-1.15', { delay: 30 });
  const made = page.getByRole('region', { name: 'What the blades make' });
  await expect(made.getByRole('img', { name: '1.00 mm and 0.10 mm together: 1.10 mm' })).toBeVisible();
  await expect(made).toContainText('Go: it enters');
  await expect(made).toContainText('No-go: it does notthese blades make none');
  await expectAccessible(page);

  // The address carries the question; a reload answers it again.
  await page.reload();
  await expect(made).toContainText('exactly');

  // Thousandths under a millimetre heading are asked about, never taken.
  await page.getByLabel('Gap, or its range').fill('32 mm');
  await expect(page.getByRole('alert')).toContainText(/mean/);
  await expect(made).toContainText('Type a gap');
  await page.getByRole('button', { name: /thou/ }).first().click();
  await expect(made.getByRole('img').first()).toBeVisible();

  // The shop's own drawer is another: what it owns is reckoned with from then on, for everybody.
  await expect(page.getByRole('button', { name: /^Mend the list/ })).toBeVisible();
  await page.getByLabel('Gap, or its range').press('Escape');
  await page.keyboard.press('e');
  await page.getByLabel(/thousandths of an inch/).fill('18 20 32');
  await page.getByLabel(/hundredths of a millimetre/).fill('0.05 28');
  await expect(page.getByRole('alert')).toContainText('No feeler blade is 28 mm');
  await page.getByLabel(/hundredths of a millimetre/).fill('0.05');
  await page.getByRole('button', { name: 'Keep the list' }).click();
  await expect(page.getByRole('region', { name: 'Blades owned' })).toContainText('Said by Wren');
  await expect(made).toContainText('32 thou');
  await page.reload();
  await expect(made).toContainText('32 thou');
});

test(
  'a supercharged five on a smaller pulley runs out of spark at its stock gap, and the address keeps the sum',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    await toRoom(page, 's');
    await expect(page.getByRole('heading', { name: 'Feelers' })).toBeVisible();
    await page.getByLabel('Gap, or its range').press('Escape');
    await page.keyboard.press('2');
    const estimate = page.getByRole('region', { name: 'The estimate' });
    await expect(estimate).toContainText('Compression ratio');
    const typed = [
      ['Gap, or its range', '0.60-0.70'],
      ['Compression ratio', '8.8'],
      ['Rated speed, rpm', '6500'],
      [/^Boost/, '110'],
      [/^Primary at 20/, '0.5'],
      ['Primary, mH', '2.5'],
      ['Peak current, A', '7'],
      ['Rated voltage, kV', '32'],
    ] as const;
    for (const [label, figure] of typed) {
      await page.getByLabel(label).focus();
      await page.keyboard.type(figure, { delay: 20 });
    }
    await expect(estimate.getByRole('heading')).toContainText('Runs out before it is worn: at 0.70 mm 29% in hand new');
    await expect(estimate).toContainText('No gap of this range keeps 30%');
    await expect(estimate.getByRole('img', { name: /Drawn for torque peak/ })).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Rated voltage, kV').fill('38');
    await page.getByLabel('Primary, mH').fill('2.8');
    await page.getByLabel('Peak current, A').fill('7.5');
    await expect(estimate).toContainText('The widest that keeps 30%');
    await page.reload();
    await expect(estimate).toContainText('The widest that keeps 30%');
    await page.getByLabel('Compression ratio').fill('88');
    await expect(estimate.getByRole('alert')).toContainText('Cannot be: Compression ratio');
  },
);

const answer = (page: Page, name: string) => page.getByRole('region', { name });

test(
  'three sums of a phone call are answered within ten keys each, from anywhere',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    const press = async (keys: string) => {
      for (const key of keys.split(' ')) await page.keyboard.press(key === '_' ? ' ' : key);
    };
    // What is 32 thou? In the ask line, without leaving anything.
    await press('/ 3 2 t h o u');
    await expect(page.getByText('0.81 mm', { exact: false }).first()).toBeVisible();
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    // Which blades make 1.1?
    await press(', s 1 . 1');
    await expect(answer(page, 'What the blades make')).toContainText('1.00 + 0.10 mm');
    await page.getByLabel('Gap, or its range').press('Escape');
    // How tight is an M14, if nobody says? The table answers by itself.
    await press('3');
    await expect(answer(page, 'How far it is tightened')).toContainText('aim 22.5 N·m');
  },
);

test(
  'a torque that can hardly be meant is asked back: swapped units, millimetres, a pair that is none',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    await page.goto(`${counter.address}/sums/torque`);
    const engine = page.getByRole('textbox', { name: 'engine maker' });
    await engine.fill('25 N·m / 25 lbf·ft');
    await expect(page.getByRole('alert')).toContainText('are not the same torque');
    await engine.fill('14 mm');
    await expect(page.getByRole('alert')).toContainText('mm does not measure a plug torque');
    await expect(answer(page, 'How far it is tightened')).toContainText('General table');
    await engine.fill('18 Nm');
    await page.getByRole('textbox', { name: 'plug maker' }).fill('18 lbf ft');
    await expect(answer(page, 'How far it is tightened')).toContainText('which unit does each mean?');
    // Greased, and rounded up: the slips multiply.
    await page.getByRole('textbox', { name: 'Wrench was set to' }).fill('20 Nm');
    await choose(page, page.getByRole('combobox', { name: 'On the thread' }), 'anti-seize');
    await expect(answer(page, 'On this thread')).toContainText('As set it clamps 171% of what is meant. Too much');
    await page.getByRole('textbox', { name: 'Its scale' }).fill('5-50 Nm');
    await page.getByRole('textbox', { name: 'Drive to grip mark, mm' }).fill('300');
    await page.getByRole('textbox', { name: 'Extension in line, mm' }).fill('50');
    await expect(answer(page, 'The wrench')).toContainText('Set to 10.0 N·m: on its scale.');
    await expectAccessible(page);
    // What is typed here is no engine in hand: the ask line answers as ever.
    await page.getByRole('textbox', { name: 'Extension in line, mm' }).press('Escape');
    await page.keyboard.press('/');
    await page.keyboard.type('kn419g63dr', { delay: 45 });
    await expect(page.getByRole('option', { name: /KN 419G-63DR/ }).first()).toBeVisible();
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    await page.reload();
    await expect(answer(page, 'The wrench')).toContainText('Set to 10.0 N·m');
    await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
    await page.getByRole('button', { name: 'Copy as text' }).click();
    await expect(page.getByText('Copied as text.')).toBeVisible();
    expect(await page.evaluate(() => navigator.clipboard.readText())).toMatch(/^Torque\n18.0 N·m/);
    await expect(page.getByRole('note')).toHaveCount(0);
    // In a shop that tightens by angle it says so, and where that cannot be asked, that it cannot.
    await page.route('**/api/house-rules', async (route) => {
      const answer = await route.fetch();
      const house = (await answer.json()) as HouseRulesView;
      const rules = house.rules.map((one) => (one.rule === 'tightening' ? { ...one, chosen: 'angle' } : one));
      await route.fulfill({ json: { ...house, rules } });
    });
    await page.reload();
    await expect(page.getByRole('note')).toContainText('House rule here: by angle from finger-tight');
    await page.unroute('**/api/house-rules');
    await page.route('**/api/house-rules', (route) => route.fulfill({ status: 500, json: {} }));
    await page.reload();
    await expect(page.getByRole('note')).toContainText('could not be asked');
  },
);

test(
  'a set’s wear, and the small sums, are answered with their guards and carried by the address',
  READS,
  async ({ page, counter }) => {
    await signIn(page, counter);
    // The V4's nickel plugs: half a turn of the calendar left, its life the shorter of the two.
    await page.goto(
      `${counter.address}/sums/wear?material=nickel&gap=0.75-0.85&found=0.93&delivered=0.8&ran=12000+km&life=18000+km&interval=20000+km`,
    );
    const left = answer(page, 'What is left');
    await expect(left.getByRole('heading').first()).toContainText('6 000 km left');
    await expect(left).toContainText('It grew by 0.108 mm for 10 000 km; usual is 0.100 mm');
    await expect(left).toContainText('longer than this plug lives');
    await page.getByRole('textbox', { name: 'Run since' }).fill('');
    await expect(left).toContainText('History unknown: by the gap found it has run about 13 000 km, an estimate.');
    await page.getByRole('textbox', { name: 'Gap as fitted' }).fill('');
    await expect(left).toContainText('History unknown: due now');
    await expectAccessible(page);

    await page.goto(`${counter.address}/sums/convert?kind=reach&figure=14`);
    const sums = answer(page, 'Conversions and small sums');
    await expect(answer(page, 'One figure')).toContainText('is it the length from the seat, or across the thread?');
    await choose(page, page.getByRole('combobox', { name: 'It measures a' }), 'gap');
    await page.getByRole('textbox', { name: 'As it is told' }).fill('0.70-0.75 mm');
    // 0.75 mm as an upper limit is 29 thou, not 30.
    await expect(answer(page, 'One figure')).toContainText('28–29 thou');
    await page.getByRole('textbox', { name: 'Across the flats' }).fill('5/8 in');
    await expect(answer(page, 'Socket for a hex')).toContainText('16 mm, the same as 5/8 in');
    await page.getByRole('textbox', { name: 'Each cylinder' }).fill('12 11.8 9 bar');
    await expect(answer(page, 'Compression')).toContainText('Lowest over highest 75%: usable.');
    await page.getByRole('textbox', { name: 'A set, £' }).fill('37.60');
    await page.getByRole('textbox', { name: 'A set lasts' }).fill('20 000 km');
    await expect(answer(page, 'Cost over a distance')).toContainText(
      'Parts to 60 000 km: £112.80, 3 sets, the first now.',
    );
    await expectAccessible(page);
    await page.reload();
    await expect(sums).toContainText('£112.80');
  },
);
