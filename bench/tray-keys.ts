import { chromium } from '@playwright/test';
import { demoStaff } from '@brackenfell/demo/staff';
import { startServer, stopServer } from '@brackenfell/scripts/server-process';
import { percentile, row } from './percentiles.ts';

const PRESSES = 200;

const WITHIN_MS = 16;

interface Measured {
  /** From the key's handler to the frame that shows the new row. */
  readonly handled: number;
  /** From the key event's own time, which includes waiting for the browser to take it up. */
  readonly pressed: number;
}

const server = await startServer(process.env.BRACKENFELL_TEST_APP_URL!, 0);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-dev-shm-usage',
    '--disable-gpu',
    '--disable-background-networking',
    '--no-first-run',
  ],
});
try {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const [wren] = demoStaff;
  await context.request.post(`${server.address}/api/session`, { data: { name: wren!.name, password: wren!.password } });
  const page = await context.newPage();
  await page.goto(`${server.address}/engines/skerrow-sc20`);
  await page.locator('[data-tray] [aria-selected="true"]').waitFor();
  await page.waitForTimeout(500);
  await page.evaluate(() => {
    const measured: { handled: number; pressed: number }[] = [];
    const followed: number[] = [];
    Object.assign(window, { measured, followed });
    // The reasons of the picked row follow its highlight; how far behind is told besides.
    let pressedAt: number | undefined;
    const behind = new MessageChannel();
    behind.port1.onmessage = () => {
      if (pressedAt !== undefined) followed.push(performance.now() - pressedAt);
      pressedAt = undefined;
    };
    new MutationObserver(() => {
      requestAnimationFrame(() => {
        behind.port2.postMessage(0);
      });
    }).observe(document.querySelector('[data-why]')!, { subtree: true, childList: true, characterData: true });
    const channel = new MessageChannel();
    let started: { handled: number; pressed: number } | undefined;
    // A message posted inside the frame callback is delivered once that frame has been produced.
    channel.port1.onmessage = () => {
      if (!started) return;
      const now = performance.now();
      measured.push({ handled: now - started.handled, pressed: now - started.pressed });
      started = undefined;
    };
    window.addEventListener(
      'keydown',
      (event) => {
        started = { handled: performance.now(), pressed: event.timeStamp };
        pressedAt ??= started.handled;
        requestAnimationFrame(() => {
          channel.port2.postMessage(0);
        });
      },
      { capture: true },
    );
  });
  let requests = 0;
  page.on('request', (request) => {
    if (request.url().includes('/api/') && !/\/api\/(slips|health)/.test(request.url())) requests += 1;
  });
  for (let i = 0; i < PRESSES; i += 1) {
    // Down through the tray and back up, so that rows scroll in both ways.
    await page.keyboard.press(i % 100 < 50 ? 'j' : 'k');
    await page.waitForTimeout(40);
  }
  const { measured, followed } = await page.evaluate(() => {
    const { measured: rows, followed: reasons } = window as unknown as { measured: Measured[]; followed: number[] };
    return { measured: rows, followed: reasons };
  });
  const line = (name: string, all: readonly number[]) => {
    console.log(
      row(name, percentile(all, 0.5).toFixed(1), percentile(all, 0.95).toFixed(1), Math.max(...all).toFixed(1)),
    );
  };
  console.log(row('key to painted row, ms', 'p50', 'p95', 'worst'));
  line(
    'row, from the key’s handler',
    measured.map((m) => m.handled),
  );
  line(
    'row, from the press itself',
    measured.map((m) => m.pressed),
  );
  line('its section and reasons', followed);
  console.log(
    `presses measured: ${measured.length}, requests made meanwhile: ${requests}; rows within ${WITHIN_MS} ms of the handler: ${measured.filter((m) => m.handled <= WITHIN_MS).length}`,
  );
} finally {
  await browser.close();
  await stopServer(server);
}
