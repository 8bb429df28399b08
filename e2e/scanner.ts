import type { Page } from '@playwright/test';

/**
 * Has the page make keys as a scanner sends them, `window.scannerKeys(code)`: each bears the time at which the system had it, half
 * a millisecond after the one before, not that at which a busy page gets to make it.
 */
export const bringScanner = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const scannerKeys = (code: readonly string[]) => {
      const at = performance.now();
      return code.map((key, i) => {
        const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true });
        Object.defineProperty(event, 'timeStamp', { value: at + i / 2 });
        return event;
      });
    };
    Object.assign(window, { scannerKeys });
  });

declare global {
  interface Window {
    scannerKeys: (code: readonly string[]) => KeyboardEvent[];
  }
}
