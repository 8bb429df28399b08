import { expect, test } from '@jest/globals';
import './check-uncompiled.ts';

test('what a form checks is never compiled in the page, whose policy refuses code that it makes up', async () => {
  const { config } = await import('zod/v4/core');
  expect(config().jitless).toBe(true);
});
