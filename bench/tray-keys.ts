import { inBrowser, traceEvents } from './browser-trace.ts';

const PRESSES = 200;

await inBrowser(async (page, context, address) => {
  await page.goto(`${address}/counter/parts?engine=skerrow-sc20`);
  await page.locator('[data-tray] [aria-selected="true"]').waitFor();
  await page.waitForTimeout(1000);
  const said = { type: 'keydown', what: 'a press of j or k', painted: 'the row is painted' };
  await traceEvents(page, context, said, async () => {
    for (let i = 0; i < PRESSES; i += 1) {
      // Down through the tray and back up, so that rows scroll in both ways.
      await page.keyboard.press(i % 100 < 50 ? 'j' : 'k');
      await page.waitForTimeout(60);
    }
  });
});
