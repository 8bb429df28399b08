import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { demoStaff } from '@brackenfell/demo/staff';
import { CHROMIUM_LAUNCH } from '@brackenfell/scripts/debian';
import { startServer, stopServer } from '@brackenfell/scripts/server-process';
import { hold } from '@brackenfell/scripts/figures';
import { percentile, row } from './percentiles.ts';

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

/** From the browser's own trace: what each event cost the page, and when what it changed had been painted. */
function measure(events: readonly TraceEvent[], type: string) {
  const keys = events.filter((e) => e.name === 'EventDispatch' && e.args.data?.type === type && e.dur);
  const tasks = events.filter((e) => e.name === 'ThreadControllerImpl::RunTask' && e.dur);
  const frames = events.filter((e) => e.name === 'ProxyMain::BeginMainFrame' && e.dur).sort((a, b) => a.ts - b.ts);
  const end = (e: TraceEvent) => e.ts + e.dur!;
  return keys.flatMap((key) => {
    // Handlers and React's work run in the task that delivers the event; what it changed is painted by the next frame.
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

/** Opens the application in the browser of the journeys, signed in, and hands over its page. */
export async function inBrowser(
  work: (page: Page, context: BrowserContext, address: string) => Promise<void>,
): Promise<void> {
  const server = await startServer(process.env.BRACKENFELL_TEST_APP_URL!, 0);
  const browser = await chromium.launch(CHROMIUM_LAUNCH);
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const [wren] = demoStaff;
    await context.request.post(`${server.address}/api/session`, {
      data: { name: wren!.name, password: wren!.password },
    });
    await work(await context.newPage(), context, server.address);
  } finally {
    await browser.close();
    await stopServer(server);
  }
}

interface Traced {
  /** Of the browser's events, which one is traced. */
  readonly type: string;
  readonly what: string;
  readonly painted: string;
  /** From the event to the paint with the clock's wait, p95, when the target was set. */
  readonly before?: number;
}

/** Traces the browser while something is done, and prints what each event of a type cost until it was painted. */
export async function traceEvents(
  page: Page,
  context: BrowserContext,
  { type, what, painted, before }: Traced,
  act: () => Promise<void>,
): Promise<void> {
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
  await act();
  const complete = new Promise((resolve) => tracing.once('Tracing.tracingComplete', resolve));
  await tracing.send('Tracing.end');
  await complete;

  const measured = measure(events, type);
  const line = (name: string, all: readonly number[]) => {
    console.log(
      row(name, percentile(all, 0.5).toFixed(1), percentile(all, 0.95).toFixed(1), Math.max(...all).toFixed(1)),
    );
  };
  console.log(row(`${what}, ms`, 'p50', 'p95', 'worst'));
  line(
    `work until ${painted}`,
    measured.map((m) => m.work),
  );
  line(
    'with the wait for the 60 Hz clock',
    measured.map((m) => m.painted),
  );
  line(
    'until the frame after it',
    measured.map((m) => m.followed),
  );
  hold({
    what: `${what} to the paint, p95 with the clock’s wait`,
    value: percentile(
      measured.map((m) => m.painted),
      0.95,
    ),
    target: FRAME_MS,
    before,
    unit: 'ms',
  });
  const within = measured.filter((m) => m.work <= FRAME_MS).length;
  console.log(
    `${measured.length} measured, ${within} painted with ${FRAME_MS} ms of work or less, ${requests} requests made`,
  );
}
