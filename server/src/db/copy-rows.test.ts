import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';
import { copyRows } from './copy-rows.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

test('rows that are copied in stand there as they were, whatever signs are in them, or none of them does', async () => {
  const texts = ['plain', 'a\tb\nc\rd', '\\N', '\\\\t', 'quote " and ’', '', 'Größe 日本', '\\'];
  const kept = () =>
    counter.owner
      .selectFrom('list_row')
      .select(['line', 'number', 'broken', 'cells'])
      .where('import_id', '=', '77')
      .orderBy('line')
      .execute();
  const copy = (rows: readonly (readonly (string | number | null)[])[]) =>
    counter.db
      .transaction()
      .execute((trx) => copyRows(trx, 'list_row', ['import_id', 'line', 'number', 'broken', 'cells'], rows));
  await copy(texts.map((text, i) => [77, i, text, i % 2 ? text : null, JSON.stringify([text])]));
  expect(await kept()).toEqual(
    texts.map((text, line) => ({ line, number: text, broken: line % 2 ? text : null, cells: [text] })),
  );
  await expect(
    copy([...[90, 91].map((line) => [77, line, 'x', null, '[]']), [77, 0, 'twice', null, '[]']]),
  ).rejects.toThrow(/duplicate key/);
  await copy([]);
  expect(await kept()).toHaveLength(texts.length);
  // The connection goes on as before.
  await copy([[77, 99, 'after', null, '[]']]);
  expect((await kept()).at(-1)).toMatchObject({ line: 99, number: 'after' });
});
