import { chromium } from '@playwright/test';
import { CHROMIUM_LAUNCH } from '@brackenfell/scripts/debian';
const browser = await chromium.launch(CHROMIUM_LAUNCH);
const theme = process.argv[2] ?? 'chalk';
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
await context.addInitScript((name) => localStorage.setItem('brackenfell.settings', JSON.stringify({ theme: name })), theme);
const page = await context.newPage();
page.on('pageerror', (e) => console.log('error', e.message));
await page.goto('http://127.0.0.1:8417');
await page.getByLabel('Name').fill('Wren'); await page.getByLabel('Password').fill('bracken-and-heather'); await page.keyboard.press('Enter');
await page.getByRole('listbox', { name: 'Engines left' }).waitFor();
await page.keyboard.press('/'); await page.waitForTimeout(200); await page.keyboard.type('sh28', { delay: 60 }); await page.waitForTimeout(700); await page.keyboard.press('Enter');
await page.waitForTimeout(1500); await page.screenshot({ path: '/tmp/look/x.png' }); await page.locator('[data-tray] [aria-selected="true"]').waitFor({timeout: 3000}); await page.waitForTimeout(300);
await page.keyboard.press('+'); await page.waitForTimeout(900);
await page.getByRole('complementary', { name: 'Slip' }).getByRole('textbox', { name: 'For', exact: true }).fill('Fellside Rescue'); await page.keyboard.press('Enter');
await page.getByRole('complementary', { name: 'Slip' }).getByRole('textbox', { name: 'Vehicle', exact: true }).fill('wagon 7, CW-4499'); await page.keyboard.press('Enter'); await page.waitForTimeout(300);
await page.locator('[data-desk]').focus();
await page.keyboard.press('5'); await page.waitForTimeout(900);
await page.getByRole('button', { name: /^Lend:/ }).first().click(); await page.waitForTimeout(300);
await page.keyboard.press('Enter'); await page.waitForTimeout(500);
await page.screenshot({ path: `/tmp/look/hand-${theme}.png` });
await page.keyboard.press('='); await page.waitForTimeout(500);
await page.screenshot({ path: `/tmp/look/slips-${theme}.png` });
const slip = new URL(page.url()).searchParams.get('slip');
console.log(slip);
const phone = await context.newPage(); await phone.setViewportSize({ width: 390, height: 844 });
await phone.goto(`http://127.0.0.1:8417/work/${slip}`); await phone.waitForTimeout(1200);
await phone.getByRole('checkbox').first().check(); await phone.waitForTimeout(400);
console.log('overflow', await phone.evaluate(() => document.documentElement.scrollWidth > innerWidth));
await phone.screenshot({ path: `/tmp/look/phone-${theme}.png` });
for (const [kind, size] of [['quote','A5'],['lead-labels','label'],['part-labels','label'],['loan-note','A5']]) {
  const r = await page.evaluate(async ([slip, kind, size]) => { const a = await fetch(`/api/slips/${slip}/papers`, { method: 'POST', headers: { 'content-type': 'application/json', 'idempotency-key': crypto.randomUUID() }, body: JSON.stringify({ kind, size, units: 'both', origin: location.origin }) }); return a.json(); }, [slip, kind, size] as const);
  console.log(kind, JSON.stringify(r).slice(0, 150));
  if (r.paperId) { const b = await page.evaluate(async (id) => Array.from(new Uint8Array(await (await fetch(`/api/papers/${id}`)).arrayBuffer())), r.paperId); (await import('node:fs')).writeFileSync(`/tmp/look/${kind}.pdf`, Buffer.from(b)); }
}
await browser.close();
