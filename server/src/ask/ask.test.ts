import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { AskAnswer } from '@brackenfell/contract/ask';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const ask = async (q: string): Promise<AskAnswer> =>
  (await (await counter.as('specialist')).get('/api/ask').query({ q }).expect(200)).body as AskAnswer;

describe('the ask line', () => {
  test.each(['KN 419G-63DR', 'kn419g63dr', 'kn/419g.63dr', '19G63DR', '19g 63 dr'])(
    'finds %s whatever the separators, by any of its names',
    async (q) => {
      expect((await ask(q)).parts[0]).toMatchObject({ stage: 'exact', how: '', maker: 'Kestrane' });
    },
  );

  test('reads a worn stamping and says which character it read as which', async () => {
    const [first] = (await ask('KN 42GG-63DR')).parts;
    expect(first).toMatchObject({ printed: 'KN 426G-63DR', stage: 'fold', how: 'read G as 6', differs: [5] });
  });

  test('completes a beginning, exact readings first', async () => {
    const { parts } = await ask('KN 419G-6');
    expect(parts.length).toBeGreaterThan(5);
    expect(parts.every((part) => part.stage === 'prefix' && part.printed.startsWith('KN 419G-6'))).toBe(true);
  });

  test('does not stop at an exact hit: the longer numbers follow it', async () => {
    const { parts } = await ask('KN 419G-63D');
    expect(parts.map((part) => [part.printed, part.stage])).toEqual([
      ['KN 419G-63D', 'exact'],
      ['KN 419G-63DR', 'prefix'],
    ]);
  });

  test('knows a barcode, and tells a wrong check digit', async () => {
    const names = await counter.db.selectFrom('part_name').select('printed').where('kind', '=', 'barcode').execute();
    const code = names[0]!.printed;
    expect((await ask(code)).parts[0]).toMatchObject({ stage: 'exact', nameKind: 'barcode' });
    const wrong = code.slice(0, -1) + String((Number(code.at(-1)) + 1) % 10);
    expect((await ask(wrong)).remark).toContain(`should be ${code.at(-1)!}`);
  });

  test('answers an old OE number and says what replaced it', async () => {
    expect((await ask('40-61-118-340')).parts[0]).toMatchObject({ isOeNumber: true, replacedBy: '40-61-118-552' });
  });

  test('finds engines and vehicles by words, and a year means built then', async () => {
    expect((await ask('skerrow sc20')).engines[0]).toMatchObject({ engineId: 'skerrow-sc20' });
    expect((await ask('haulm 2012')).vehicles.map((v) => v.title)).toEqual(['Skerrow Haulm 2.0']);
    expect((await ask('haulm 2019')).vehicles).toEqual([]);
  });

  test('a name that belongs to several parts shows all of them, never one silently', async () => {
    const ids = await counter.db
      .selectFrom('part_name')
      .select('part_id')
      .where('kind', '=', 'catalogue')
      .limit(2)
      .execute();
    const shared = { kind: 'box' as const, printed: 'EX 777', normal_form: 'EX777', fold_key: 'EX777' };
    await counter.owner
      .insertInto('part_name')
      .values(ids.map(({ part_id }) => ({ ...shared, part_id })))
      .execute();
    const { parts } = await ask('ex 777');
    expect(parts).toHaveLength(2);
    expect(parts.every((part) => part.sharedBy === 2)).toBe(true);
  });

  test('answers nothing with nothing, and says so of signs it cannot read yet', async () => {
    expect(await ask('zzzzzz')).toMatchObject({ parts: [], engines: [], vehicles: [], slips: [] });
    expect((await ask('KN 4?9')).remark).toMatch(/not answered yet/);
    expect((await ask('–')).remark).toMatch(/no letter or digit/);
  });
});
