import { inBrowser, traceEvents } from './browser-trace.ts';

const MOVES = 200;

await inBrowser(async (page, context, address) => {
  await page.goto(`${address}/counter/parts?engine=aldersyke-ak23s&duty=boost:110`);
  await page.locator('[data-tray] [aria-selected="true"]').waitFor();
  await page.keyboard.press('+');
  await page.waitForTimeout(1500);
  await page.keyboard.press('4');
  for (const slider of ['Gap', 'Boost']) {
    await page.getByRole('slider', { name: slider }).focus();
    await page.waitForTimeout(1500);
    const said = { type: 'input', what: `${slider} moved by a step`, painted: 'the curves are painted' };
    await traceEvents(page, context, said, async () => {
      for (let i = 0; i < MOVES; i += 1) {
        await page.keyboard.press(i % 60 < 30 ? 'ArrowRight' : 'ArrowLeft');
        await page.waitForTimeout(60);
      }
    });
  }
});
