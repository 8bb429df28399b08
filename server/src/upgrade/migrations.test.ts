import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { MIGRATIONS } from '../db/migrations/list.ts';

test('every migration in the folder is listed, in the order of its date', () => {
  const files = readdirSync(join(__dirname, '../db/migrations'))
    .filter((file) => /^\d{4}-.*\.ts$/.test(file))
    .map((file) => file.replace('.ts', ''));
  expect(Object.keys(MIGRATIONS)).toEqual([...files].sort());
});
