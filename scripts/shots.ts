import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { demoStaff } from '@brackenfell/demo/staff';
import { buildAll } from './build.ts';
import { CHROMIUM_LAUNCH, ensureChromium } from './debian.ts';
import { ROOT, scratchFolder } from './places.ts';
import { startServer, stopServer } from './server-process.ts';
import { withThrowawayDatabase } from './throwaway-database.ts';

const FOLDER = join(ROOT, 'docs/screenshots');
const SETTLE_MS = 600;

async function press(page: Page, keys: readonly string[]): Promise<void> {
  for (const key of keys) {
    await page.keyboard.press(key);
    await page.waitForTimeout(120);
  }
}

type Theme = 'chalk' | 'night';

/** Every main view in one theme or, those looked at all day, in both. */
const VIEWS: Readonly<Record<string, readonly Theme[]>> = {
  engine: ['chalk'],
  ask: ['chalk'],
  answer: ['chalk'],
  parts: ['chalk', 'night'],
  graph: ['chalk'],
  imports: ['chalk'],
  leads: ['night'],
  drill: ['chalk'],
  'old-parts': ['chalk'],
  comeback: ['night'],
  'set-up': ['chalk'],
  'hand-over': ['night'],
  work: ['chalk'],
  garage: ['chalk'],
  'house-rules': ['night'],
  audit: ['chalk'],
  proof: ['chalk'],
  mend: ['chalk'],
};

/** Pictures of every main view in one theme, from the demo data, by keyboard. */
async function shoot(page: Page, address: string, theme: Theme): Promise<void> {
  const shot = async (name: string) => {
    if (!VIEWS[name]!.includes(theme)) return;
    await page.waitForTimeout(SETTLE_MS);
    await page.screenshot({ path: join(FOLDER, `${name}-${theme}.png`) });
  };
  const [wren] = demoStaff;
  await page.goto(address);
  await page.getByLabel('Name').fill(wren!.name);
  await page.getByLabel('Password').fill(wren!.password);
  await press(page, ['Enter']);
  await page.getByRole('listbox', { name: 'Engines left' }).waitFor();
  await press(page, ['f']);
  await page.keyboard.type('skerrow petrol', { delay: 40 });
  await press(page, ['Enter', 'Escape']);
  await page.waitForTimeout(SETTLE_MS);
  await press(page, ['n']);
  await shot('engine');
  await press(page, ['/']);
  await page.keyboard.type('KN 42GG-63DR', { delay: 40 });
  await page.getByRole('option', { name: /KN 426G-63DR/ }).waitFor();
  await shot('ask');
  await press(page, ['Enter']);
  await page.getByRole('heading', { name: 'KN 426G-63DR' }).waitFor();
  const part = page.url();
  await press(page, ['/']);
  await page.keyboard.type('sc20', { delay: 40 });
  await page
    .getByRole('option', { name: /Skerrow SC20/ })
    .first()
    .waitFor();
  await press(page, ['Enter']);
  await page.locator('[data-why]').waitFor();
  await press(page, ['r']);
  await page.getByText('not sold', { exact: true }).waitFor();
  const rows = page.locator('[data-tray] [aria-selected="true"]');
  while ((await rows.getAttribute('data-row')) !== 'TS 500 231') await press(page, ['k']);
  await press(page, ['Enter']);
  await page.getByRole('button', { name: 'Take it' }).waitFor();
  await page.waitForTimeout(1500);
  await press(page, ['Space']);
  await page.getByText('One more that agrees settles it.').waitFor();
  await shot('answer');
  await press(page, ['Escape', '+']);
  await page.getByRole('region', { name: 'Still open' }).waitFor();
  while ((await rows.getAttribute('data-row')) !== 'KN 426G-63DR') await press(page, ['j']);
  await page.waitForTimeout(4000);
  await shot('parts');
  await page.goto(part);
  await page.getByRole('heading', { name: 'KN 426G-63DR' }).waitFor();
  await press(page, ['v']);
  await page.getByRole('heading', { name: /^References around/ }).waitFor();
  await press(page, ['j']);
  await shot('graph');
  await shootIgnition(page, address, shot);
  await shootProof(page, address, shot);
  await handOver(page, address, 'supervisor');
  await page.goto(`${address}/house-rules`);
  await page.getByRole('heading', { name: /Waits for the supervisor/ }).waitFor();
  await press(page, ['j', 'j', 'j']);
  await shot('house-rules');
  await handOver(page, address, 'starter');
  await page.goto(`${address}/drill`);
  await page.getByRole('listbox', { name: 'Topics' }).waitFor();
  await press(page, ['Home', 'j', 'Enter']);
  await page.getByRole('timer').waitFor();
  await press(page, ['a']);
  await page.getByRole('status', { name: 'The answer' }).waitFor();
  await shot('drill');
  await handOver(page, address, 'editor');
  await page.goto(`${address}/catalogue/audit`);
  await page.getByRole('button', { name: /Run (the audit|it again)/ }).waitFor();
  await press(page, ['Control+Enter']);
  await page.getByText(/\d+ contradictions found/).waitFor();
  await press(page, ['j', 'j', 'j']);
  await shot('audit');
  await shootImports(page, shot);
  await shootMending(page, `${address}${new URL(part).pathname}/mend`, shot);
}

/** A reach as another sheet has it, with the verdicts it would turn. */
async function shootMending(page: Page, at: string, shot: (name: string) => Promise<void>): Promise<void> {
  await page.goto(at);
  await page.getByRole('listbox', { name: 'Facts' }).waitFor();
  await press(page, ['j', 'j', 'a']);
  await page.keyboard.type('19');
  await page.getByLabel('stated by').selectOption('engine-maker');
  await page.getByLabel('where: sheet, list, page').fill('Sheet 12 of spring');
  await page.getByText(/verdicts? of \d+ would change/).waitFor();
  await shot('mend');
}

/** A supplier's list whose gaps are thousandths under a millimetre heading. */
async function shootImports(page: Page, shot: (name: string) => Promise<void>): Promise<void> {
  await page.getByRole('button', { name: /Imports/ }).click();
  await page.getByLabel('Supplier').fill('Eastgate Clearance');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^Choose a file/ }).click();
  await (
    await chooser
  ).setFiles({ name: 'eastgate-03.csv', mimeType: 'text/csv', buffer: Buffer.from(EASTGATE.join('\r\n')) });
  await page.getByText('One column asked').waitFor();
  await shot('imports');
}

const EASTGATE = [
  'Art. no;Brand;Reach mm;Gap mm;Equal to;Net;Price;EAN;Lager',
  'KN 419G-63DR;Kestrane;19,0;39;;5,20;9,95;;12',
  'KN 426G-63DR;Kestrane;26,5;43;HB/19/45.D1;5,45;;;3',
  'KX 77-1;Kestrane;19,0;35;KN 419G-63DR;6,10;11,40;2001234500104;0',
  'KX 77-2;Kestrane;14;35;KN 419G-63DR;6,10;11,40;;0',
  'HB/19/45.D1;;;31;;4,90;;2001234500014;1',
  'KN 426G-63IR;Kestrane;;41;;61,80;;;4',
  'KN 419G-63PR;Kestrane;;;;7,15;;;4',
];

/** Leads, and the blades for a gap. */
async function shootIgnition(page: Page, address: string, shot: (name: string) => Promise<void>): Promise<void> {
  const open = async (query: string) => {
    await page.goto(`${address}/counter/parts?${query}`);
    await page.locator('[data-why]').waitFor();
  };
  await open('engine=pellworth-pg66&part=lead-set');
  await press(page, ['j']);
  await shot('leads');
  await shootSetUp(page, address);
  await shot('set-up');
  await press(page, ['5']);
  await page.getByRole('region', { name: 'Options' }).waitFor();
  await shot('hand-over');
  const slipId = new URL(page.url()).searchParams.get('slip')!;
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${address}/work/${slipId}`);
  await page.getByRole('checkbox').first().check();
  await shot('work');
  await page.setViewportSize({ width: 1280, height: 800 });
  await shootOldParts(page, address, shot);
  await page.goto(`${address}/garage/vehicles?q=car+9`);
  await page.getByRole('img', { name: /History and wear/ }).waitFor();
  await shot('garage');
}

/** Two neighbours of the old six with coolant, and a taxi that came back. */
async function shootOldParts(page: Page, address: string, shot: (name: string) => Promise<void>): Promise<void> {
  await page.goto(`${address}/counter/old-parts?engine=dunmarrow-h6`);
  await page.getByText('Nothing is read yet').waitFor();
  await press(page, ['t', 'f', 'Enter', 'w', 't', 't', 't', 'ArrowLeft', 'ArrowLeft', 'ArrowLeft']);
  await page.getByRole('button', { name: 'loses coolant' }).click();
  await page.getByText('Likely: coolant past the head gasket').waitFor();
  await shot('old-parts');
  await page.goto(`${address}/counter/old-parts/comeback?engine=aldersyke-as22`);
  await page.getByText('Next: connector').waitFor();
  await press(page, ['b', 'a', 's']);
  await shot('comeback');
}

/** Six plugs on the gap desk, one of them to be opened. */
async function shootSetUp(page: Page, address: string): Promise<void> {
  await page.goto(`${address}/counter/parts?engine=skerrow-sh28`);
  await page.locator('[data-tray] [aria-selected="true"]').waitFor();
  await press(page, ['+']);
  await page.waitForTimeout(1200);
  await press(page, ['4']);
  await page.getByRole('region', { name: 'Gap', exact: true }).waitFor();
  for (const gap of ['1.04', '1.06', '0.94', '1.08']) {
    await press(page, ['m']);
    await page.keyboard.type(gap, { delay: 45 });
    await press(page, ['Enter', 'Escape']);
  }
  await page.getByText('widest gap holds up to').waitFor();
}

/** The marketplace batch of the story, half looked at. */
async function shootProof(page: Page, address: string, shot: (name: string) => Promise<void>): Promise<void> {
  await page.goto(`${address}/counter/proof`);
  await page.getByLabel('The number on the piece or its box').fill('IVX-C19-F10');
  await press(page, ['Enter']);
  await page.getByText('Batch F4-0431').waitFor();
  await press(page, ['+', '+', '+', 'a']);
  await page.getByRole('region', { name: 'Next best check' }).waitFor();
  await press(page, ['b', 'a', 'n', 'a']);
  const gauge = page.getByRole('region', { name: 'Gap, readings' });
  while (!(await gauge.isVisible())) await press(page, ['k']);
  for (let piece = 0; piece < 2; piece += 1) {
    await page.waitForTimeout(1200);
    await press(page, ['Space']);
  }
  await page.waitForTimeout(4000);
  await shot('proof');
}

/** Signs somebody of another role in instead. */
async function handOver(page: Page, address: string, as: 'supervisor' | 'starter' | 'editor'): Promise<void> {
  const person = demoStaff.find(({ role }) => role === as)!;
  await page.context().clearCookies();
  await page.goto(address);
  await page.getByLabel('Name').fill(person.name);
  await page.getByLabel('Password').fill(person.password);
  await press(page, ['Enter']);
  await page.getByRole('navigation', { name: 'Rooms' }).waitFor();
}

ensureChromium();
await buildAll(console.log);
mkdirSync(FOLDER, { recursive: true });
await withThrowawayDatabase(scratchFolder('shots', 3), async (env) => {
  const server = await startServer(env.BRACKENFELL_TEST_APP_URL!, 0);
  const browser = await chromium.launch(CHROMIUM_LAUNCH);
  try {
    for (const theme of ['chalk', 'night'] as const) {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      await context.addInitScript((name) => {
        localStorage.setItem('brackenfell.settings', JSON.stringify({ theme: name }));
      }, theme);
      await shoot(await context.newPage(), server.address, theme);
    }
  } finally {
    await browser.close();
    await stopServer(server);
  }
});
