import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import type axeOfPage from 'axe-core';
import type { ElementContext, RunOptions } from 'axe-core';
import pg from 'pg';
import { demoStaff } from '@brackenfell/demo/staff';
import { startServer, stopServer, type RunningServer } from '@brackenfell/scripts/server-process';

const TEMPLATE = 'template_world';

async function asSuper(statement: string): Promise<void> {
  const client = new pg.Client({ connectionString: process.env.BRACKENFELL_TEST_SUPER_URL! });
  await client.connect();
  try {
    await client.query(statement);
  } finally {
    await client.end();
  }
}

/** A counter of the test's own: the built application on a copy of the demo world, which can be killed and started again. */
export class Counter {
  #server: RunningServer | undefined;
  #port = 0;
  readonly #database = `journey_${randomUUID().replaceAll('-', '')}`;

  async open(): Promise<void> {
    await asSuper(`create database ${this.#database} template ${TEMPLATE} owner brackenfell_owner strategy file_copy`);
    await this.start();
  }

  async start(): Promise<void> {
    this.#server = await startServer(
      process.env.BRACKENFELL_TEST_APP_URL!.replace(TEMPLATE, this.#database),
      this.#port,
    );
    this.#port = this.#server.port;
  }

  /** Ends the server at once, as a power cut would. */
  async kill(): Promise<void> {
    const { process: child } = this.#server!;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGKILL');
    await gone;
  }

  async close(): Promise<void> {
    if (this.#server) await stopServer(this.#server);
    await asSuper(`drop database ${this.#database} with (force)`);
  }

  get address(): string {
    return `http://127.0.0.1:${this.#port}`;
  }
}

/** Keys come as from fingers: further apart than a scanner's, and each command done before the next. */
const FINGER_MS = 45;
/** The fastest typist’s; a scanner’s is under 25. */
const TYPIST_MS = 30;

/** A page whose keys come as from fingers. */
export function slowly(page: Page): Page {
  const press = page.keyboard.press.bind(page.keyboard);
  const type = page.keyboard.type.bind(page.keyboard);
  page.keyboard.type = (text, options) => type(text, { delay: TYPIST_MS, ...options });
  page.keyboard.press = async (...given) => {
    await press(...given);
    await page.waitForTimeout(FINGER_MS);
  };
  return page;
}

/** Counters opened ahead: the next one while a journey is walked. */
class CountersAhead {
  #next: Promise<Counter> | undefined;

  async take(): Promise<Counter> {
    const taken = await (this.#next ?? openCounter());
    this.#next = openCounter();
    // Whether it opened is heard by who takes it.
    this.#next.catch(() => undefined);
    return taken;
  }

  async close(): Promise<void> {
    await (await this.#next)?.close();
  }
}

async function openCounter(): Promise<Counter> {
  const counter = new Counter();
  await counter.open();
  return counter;
}

export const test = base.extend<{ counter: Counter }, { ahead: CountersAhead }>({
  page: async ({ page }, use) => {
    const clashes: string[] = [];
    page.on('console', (message) => {
      if (message.text().startsWith('Two commands share a key')) clashes.push(message.text());
    });
    await use(slowly(page));
    expect(clashes).toEqual([]);
  },
  ahead: [
    // oxlint-disable-next-line no-empty-pattern -- Playwright reads fixtures from the pattern
    async ({}, use) => {
      const ahead = new CountersAhead();
      await use(ahead);
      await ahead.close();
    },
    { scope: 'worker' },
  ],
  counter: async ({ ahead }, use) => {
    const counter = await ahead.take();
    await use(counter);
    await counter.close();
  },
});

const passwordOf = (name: string): string => demoStaff.find((person) => person.name === name)!.password;

async function expectCounter(page: Page): Promise<void> {
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
  await expect(page.getByRole('listbox', { name: 'Engines left' })).toBeVisible();
}

/** Signs a person in at the door by keyboard alone. */
export async function signInByKeys(page: Page, counter: Counter, name = 'Wren'): Promise<void> {
  await page.goto(counter.address);
  await page.getByLabel('Name').fill(name);
  await page.keyboard.press('Tab');
  await page.keyboard.type(passwordOf(name));
  await page.keyboard.press('Enter');
  await expectCounter(page);
}

/** Begins a journey behind the door, which others go through by keys. */
export async function signIn(page: Page, counter: Counter, name = 'Wren'): Promise<void> {
  const begun = await page.request.post(`${counter.address}/api/session`, {
    data: { name, password: passwordOf(name) },
  });
  expect(begun.status()).toBe(200);
  await page.goto(counter.address);
  await expectCounter(page);
}

/** Types into the ask line and takes the answer that is picked. */
export async function ask(page: Page, question: string, answer: string | RegExp): Promise<void> {
  await page.keyboard.press('/');
  // As fingers type: faster, and the closing Enter would make it a scan.
  await page.keyboard.type(question, { delay: FINGER_MS });
  await expect(page.getByRole('option', { name: answer }).first()).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Enter');
}

/** Waits until the tray is judged and shown. */
export async function expectTray(page: Page): Promise<void> {
  await expect(page.locator('[data-tray] [aria-selected="true"]')).toBeVisible();
}

/** Puts a plug of a better electrode than designed on a slip: by the house rule it waits for the supervisor. */
export async function putWhatWaits(page: Page): Promise<void> {
  await ask(page, 'hf22', /Dunmarrow HF22/);
  await expectTray(page);
  await pickRow(page, 'IVX-D12T-F09');
  await page.keyboard.press('Enter');
  await expect(slipPane(page)).toContainText('Waits for the supervisor');
}

/** Presses a key several times. */
export async function pressTimes(page: Page, key: string, times = 1): Promise<void> {
  for (let i = 0; i < times; i += 1) {
    await page.keyboard.press(key);
  }
}

/** Moves down the tray by keys until a number is picked. */
export async function pickRow(page: Page, printed: string): Promise<void> {
  const picked = page.locator('[data-tray] [aria-selected="true"]');
  for (let i = 0; i < 200; i += 1) {
    const at = await picked.getAttribute('data-row');
    if (at === printed) return;
    await pressTimes(page, 'j');
    // At the end of what is shown, the rest is asked for.
    if ((await picked.getAttribute('data-row')) === at) await pressTimes(page, 'e');
  }
  throw new Error(`${printed} was not reached with j.`);
}

export const slipPane = (page: Page) => page.getByRole('complementary', { name: 'Slip' });
export const whyPanel = (page: Page) => page.locator('[data-why]');

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

type Theme = 'chalk' | 'night';

/**
 * What of the page has words, one of each look: alike in both themes in its ink, its size, and every ground it lies on, and
 * called alike. A tray's thousand words have some forty looks, and contrast is two thirds of the time.
 */
function looksOfWords(): Element[] {
  const root = document.documentElement;
  const before = root.dataset.theme;
  const words = [...document.body.querySelectorAll('*')].filter(
    (one) =>
      // A message that is just fading out has no colours of its own.
      !one.closest('[data-sonner-toaster]') &&
      (/^(INPUT|TEXTAREA)$/.test(one.tagName) ||
        [...one.childNodes].some((node) => node.nodeType === Node.TEXT_NODE && node.textContent?.trim() !== '')),
  );
  const called = (one: Element | null) => one?.getAttribute('class');
  const looks = words.map((one) => `${called(one)} in ${called(one.parentElement)}`);
  for (const theme of ['chalk', 'night']) {
    root.dataset.theme = theme;
    const grounds = new Map<Element, string>();
    const groundsOf = (one: Element): string => {
      const known = grounds.get(one);
      if (known !== undefined) return known;
      const { backgroundColor, backgroundImage, opacity } = getComputedStyle(one);
      const under = one.parentElement ? groundsOf(one.parentElement) : '';
      const told = `${backgroundColor} ${backgroundImage} ${opacity}`;
      const all = told === 'rgba(0, 0, 0, 0) none 1' ? under : `${told} on ${under}`;
      grounds.set(one, all);
      return all;
    };
    for (const [i, one] of words.entries()) {
      const { color, fontSize, fontWeight } = getComputedStyle(one);
      looks[i] = `${looks[i]}; ${color} ${fontSize} ${fontWeight} on ${groundsOf(one)}`;
    }
  }
  if (before === undefined) delete root.dataset.theme;
  else root.dataset.theme = before;
  return [...new Map(words.map((one, i) => [looks[i]!, one])).values()];
}

/** What the screen violates: its words' contrast in both themes, which differ in their colours alone, and all else in one. */
async function violationsIn(page: Page): Promise<string[]> {
  // Read once a page: it is half a megabyte. What passes is not described: a fifth of the time.
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(AXE);
  const words = await page.evaluateHandle(looksOfWords);
  return page.evaluate(async (include) => {
    const { axe } = globalThis as unknown as { axe: typeof axeOfPage };
    const resultTypes: 'violations'[] = ['violations'];
    const exclude = ['[data-sonner-toaster]'];
    const look = async (theme: Theme, of: ElementContext, by: RunOptions) => {
      document.documentElement.dataset.theme = theme;
      const { violations } = await axe.run(of, by);
      return violations.map(
        ({ id, nodes }) =>
          `${theme}: ${id}: ${nodes
            .map(({ target, failureSummary }) => `${target.join(' ')} ${failureSummary ?? ''}`)
            .slice(0, 3)
            .join(' | ')}`,
      );
    };
    const contrast = { resultTypes, runOnly: { type: 'rule' as const, values: ['color-contrast'] } };
    return [
      ...(await look('chalk', { exclude }, { resultTypes, rules: { 'color-contrast': { enabled: false } } })),
      ...(await look('chalk', { include, exclude }, contrast)),
      ...(await look('night', { include, exclude }, contrast)),
    ];
  }, words);
}

/** No accessibility violation on the screen as it stands, in either theme. */
export async function expectAccessible(page: Page): Promise<void> {
  expect(await violationsIn(page)).toEqual([]);
}

export { expect };

/** Opens a choice and takes what it offers under these words. */
export async function choose(page: Page, field: Locator, says: string | RegExp): Promise<void> {
  await field.click();
  await page.getByRole('option', { name: says }).click();
}

/** On the set-up desk: types the gap of the plug that is picked, and gives the keys back to the desk. */
export async function typeGap(page: Page, gap: string): Promise<void> {
  await page.keyboard.press('4');
  await expect(page.getByRole('toolbar', { name: 'What to do with the picked plug' })).toBeVisible();
  await page.keyboard.press('m');
  await expect(page.getByRole('textbox', { name: /^Gap of plug 1/ })).toBeFocused();
  await page.keyboard.type(gap, { delay: FINGER_MS });
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
}
