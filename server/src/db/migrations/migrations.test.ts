import { readdirSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { MIGRATIONS } from './list.ts';

test('every migration in the folder is listed, in the order of its date', () => {
  const files = readdirSync(__dirname)
    .filter((file) => /^\d{4}-.*\.ts$/.test(file))
    .map((file) => file.replace('.ts', ''));
  expect(Object.keys(MIGRATIONS)).toEqual([...files].sort());
});
