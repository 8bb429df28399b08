import { randomUUID } from 'node:crypto';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import pg from 'pg';
import { demoStaff } from '@brackenfell/demo/staff';
import { startServer, stopServer, type RunningServer } from '@brackenfell/scripts/server-process';

const TEMPLATE = 'template_world';

/** Rows of a statement, in the database that makes others or in the one named. */
async function asSuper(statement: string, database?: string): Promise<readonly unknown[]> {
  const at = new URL(process.env.BRACKENFELL_TEST_SUPER_URL!);
  if (database !== undefined) at.pathname = database;
  const client = new pg.Client({ connectionString: at.href });
  await client.connect();
  try {
    return (await client.query<Record<string, unknown>>(statement)).rows;
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

  /** How often anything has been written by somebody signed in: each such call leaves a receipt. */
  async written(): Promise<unknown> {
    return await asSuper('select count(*) from request_receipt', this.#database);
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

/** A journey that writes nothing, and is held to that: it is walked at a counter where others read too. */
export const READS = { tag: '@reads' } as const;

/** Counters opened ahead: the next one while a journey is walked, and one that stands for all who only read. */
class CountersAhead {
  #next: Promise<Counter> | undefined;
  #standing: Promise<Counter> | undefined;

  standing(): Promise<Counter> {
    return (this.#standing ??= openCounter());
  }

  async take(): Promise<Counter> {
    const taken = await (this.#next ?? openCounter());
    this.#next = openCounter();
    // Whether it opened is heard by who takes it.
    this.#next.catch(() => undefined);
    return taken;
  }

  async close(): Promise<void> {
    await (await this.#next)?.close();
    await (await this.#standing)?.close();
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
  counter: async ({ ahead }, use, { tags }) => {
    if (tags.includes(READS.tag)) {
      const standing = await ahead.standing();
      const before = await standing.written();
      await use(standing);
      expect(await standing.written(), 'a journey that reads has written').toEqual(before);
      return;
    }
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

/** The comma and a room's letter, sent as one: however long the machine stands still, their times stay a finger's apart. */
export async function toRoom(page: Page, letter: 'c' | 'k' | 'q' | 'g' | 's' | 'h' | 'd'): Promise<void> {
  await Promise.all([page.keyboard.press(','), page.keyboard.press(letter)]);
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

export { expectAccessible } from './accessible.ts';
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
