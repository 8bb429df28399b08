import { chromium } from '@playwright/test';
import { demoStaff } from '@brackenfell/demo/staff';
import { startServer, stopServer } from '@brackenfell/scripts/server-process';
import { percentile, row } from './percentiles.ts';

const PRESSES = 200;
/** One frame of a 60 Hz screen. */
const FRAME_MS = 16;

interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly tid: number;
  /** Microseconds. */
  readonly ts: number;
  readonly dur?: number;
  readonly args: { readonly data?: { readonly type?: string } };
}

/** From the browser's own trace: what each key press cost the page, and when its row had been painted. */
function measure(events: readonly TraceEvent[]) {
  const keys = events.filter((e) => e.name === 'EventDispatch' && e.args.data?.type === 'keydown' && e.dur);
  const tasks = events.filter((e) => e.name === 'ThreadControllerImpl::RunTask' && e.dur);
  const frames = events.filter((e) => e.name === 'ProxyMain::BeginMainFrame' && e.dur).sort((a, b) => a.ts - b.ts);
  const end = (e: TraceEvent) => e.ts + e.dur!;
  return keys.flatMap((key) => {
    // Handlers and React's work run in the task that delivers the key; the row is painted by the next frame.
    const task = tasks.find((t) => t.tid === key.tid && t.ts <= key.ts && end(t) >= end(key)) ?? key;
    const frame = frames.find((f) => f.tid === key.tid && f.ts >= end(key));
    const next = frame && frames.find((f) => f.tid === key.tid && f.ts >= end(frame));
    if (!frame) return [];
    const ms = (microseconds: number) => microseconds / 1000;
    return [
      {
        work: ms(task.dur! + frame.dur!),
        painted: ms(end(frame) - key.ts),
        followed: next ? ms(end(next) - key.ts) : Number.NaN,
      },
    ];
  });
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
  await page.goto(`${server.address}/counter/parts?engine=skerrow-sc20`);
  await page.locator('[data-tray] [aria-selected="true"]').waitFor();
  await page.waitForTimeout(1000);
  let requests = 0;
  page.on('request', (request) => {
    if (request.url().includes('/api/')) requests += 1;
  });
  const tracing = await context.newCDPSession(page);
  const events: TraceEvent[] = [];
  tracing.on('Tracing.dataCollected', ({ value }) => events.push(...(value as unknown as TraceEvent[])));
  await tracing.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: { includedCategories: ['devtools.timeline', 'cc', 'toplevel'] },
  });
  for (let i = 0; i < PRESSES; i += 1) {
    // Down through the tray and back up, so that rows scroll in both ways.
    await page.keyboard.press(i % 100 < 50 ? 'j' : 'k');
    await page.waitForTimeout(60);
  }
  const complete = new Promise((resolve) => tracing.once('Tracing.tracingComplete', resolve));
  await tracing.send('Tracing.end');
  await complete;

  const measured = measure(events);
  const line = (name: string, all: readonly number[]) => {
    console.log(
      row(name, percentile(all, 0.5).toFixed(1), percentile(all, 0.95).toFixed(1), Math.max(...all).toFixed(1)),
    );
  };
  console.log(row('a press of j or k, ms', 'p50', 'p95', 'worst'));
  line(
    'work until the row is painted',
    measured.map((m) => m.work),
  );
  line(
    'with the wait for the 60 Hz clock',
    measured.map((m) => m.painted),
  );
  line(
    'until section and reasons follow',
    measured.map((m) => m.followed),
  );
  const within = measured.filter((m) => m.work <= FRAME_MS).length;
  console.log(
    `${measured.length} presses measured, ${within} painted with ${FRAME_MS} ms of work or less, ${requests} requests made`,
  );
} finally {
  await browser.close();
  await stopServer(server);
}
