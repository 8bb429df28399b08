import { gzipSync } from 'node:zlib';
import type { Response } from '@playwright/test';
import { inBrowser, traceEvents } from './browser-trace.ts';
import { hold } from '@brackenfell/scripts/figures';

const PRESSES = 200;

await inBrowser(async (page, context, address) => {
  // What is fetched until an engine can be chosen; the other rooms come while it is looked at.
  const scripts: Promise<number>[] = [];
  const gather = (response: Response) => {
    if (response.request().resourceType() === 'script')
      scripts.push(response.body().then((body) => gzipSync(body, { level: 6 }).length));
  };
  page.on('response', gather);
  await page.goto(`${address}/counter/engine`);
  await page.getByRole('listbox', { name: 'Engines left' }).waitFor();
  page.off('response', gather);
  const bytes = (await Promise.all(scripts)).reduce((sum, one) => sum + one, 0);
  hold({
    what: 'first load: gzipped script until the counter is usable',
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
