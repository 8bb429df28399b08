import { gzipSync } from 'node:zlib';
import { inBrowser, traceEvents } from './browser-trace.ts';
import { hold } from '@brackenfell/scripts/figures';

const PRESSES = 200;

await inBrowser(async (page, context, address) => {
  // What had come when an engine could be chosen; the other rooms come while it is looked at.
  await page.addInitScript(() => {
    new MutationObserver((_, observer) => {
      if (!document.querySelector('[role="listbox"][aria-label="Engines left"]')) return;
      observer.disconnect();
      performance.mark('usable');
    }).observe(document, { childList: true, subtree: true });
  });
  await page.goto(`${address}/counter/engine`);
  await page.getByRole('listbox', { name: 'Engines left' }).waitFor();
  const scripts = await page.evaluate(() => {
    const usable = performance.getEntriesByName('usable')[0]!.startTime;
    const all = performance.getEntriesByType('resource') as PerformanceResourceTiming[];
    return all.filter(({ name, responseEnd }) => name.endsWith('.js') && responseEnd <= usable).map(({ name }) => name);
  });
  const bodies = await Promise.all(scripts.map(async (name) => (await context.request.get(name)).body()));
  const bytes = bodies.reduce((sum, body) => sum + gzipSync(body, { level: 6 }).length, 0);
  hold({
    what: 'first load: gzipped script that had come when the counter was usable',
    value: bytes / 1000,
    target: 150,
    before: 201,
    unit: 'kB',
  });

  await page.goto(`${address}/counter/parts?engine=skerrow-sc20`);
  await page.locator('[data-tray] [aria-selected="true"]').waitFor();
  await page.waitForTimeout(1000);
  const said = { type: 'keydown', what: 'a press of j or k', painted: 'the row is painted', before: 22.8 };
  await traceEvents(page, context, said, async () => {
    for (let i = 0; i < PRESSES; i += 1) {
      // Down through the tray and back up, so that rows scroll in both ways.
      await page.keyboard.press(i % 100 < 50 ? 'j' : 'k');
      await page.waitForTimeout(60);
    }
  });
});
