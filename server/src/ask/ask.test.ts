import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { checkDigit } from '@brackenfell/core/part-numbers/barcode';
import type { AlikeAnswer, AskAnswer } from '@brackenfell/contract/ask';
import { openTestCounter, partIdOf, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const ask = async (q: string): Promise<AskAnswer> =>
  (await (await counter.as('specialist')).get('/api/ask').query({ q }).expect(200)).body as AskAnswer;
/** What the page is told is worth asking for after the answer; undefined where it is told of nothing. */
async function alike(q: string): Promise<AlikeAnswer['parts'] | undefined> {
  if (!(await ask(q)).hasAlike) return undefined;
  const agent = await counter.as('specialist');
  return ((await agent.get('/api/ask/alike').query({ q }).expect(200)).body as AlikeAnswer).parts;
}

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
    expect((await ask('40-61-118-340')).parts[0]).toMatchObject({
      kind: 'oe-number',
      succession: { kind: 'replaced', says: 'superseded by 40-61-118-552', to: [{ printed: '40-61-118-552' }] },
    });
  });

  test('finds engines and vehicles by words, and a year means built then', async () => {
    expect((await ask('skerrow sc20')).engines[0]).toMatchObject({ engineId: 'skerrow-sc20' });
    expect((await ask('haulm 2012')).vehicles.map((v) => v.title)).toEqual(['Skerrow Haulm 2.0']);
    expect((await ask('haulm 2019')).vehicles).toEqual([]);
  });

  test('words that name an engine are no number, however alike some number is; a mistyped number is still looked for', async () => {
    const part_id = await partIdOf(counter, 'KN 419G-63DR');
    await counter.owner
      .insertInto('part_name')
      .values({
        ...{ part_id, maker_id: 'kestrane', kind: 'box', printed: 'XX HAULM' },
        ...{ normal_form: 'XXHAULM', fold_key: 'XXHAULM' },
      })
      .execute();
    expect((await ask('haulm')).vehicles.length).toBeGreaterThan(0);
    expect(await alike('haulm')).toBeUndefined();
    await counter.owner.deleteFrom('part_name').where('printed', '=', 'XX HAULM').execute();
    expect((await alike('kestrane 19g6 3xx'))!.map(({ printed }) => printed)).toContain('19G63DR');
  });

  test('a name that belongs to several parts shows all of them, never one silently', async () => {
    const ids = await counter.db
      .selectFrom('part_name')
      .select(['part_id', 'maker_id'])
      .where('kind', '=', 'catalogue')
      .limit(2)
      .execute();
    const shared = {
      kind: 'box' as const,
      printed: 'EX 777',
      normal_form: 'EX777',
      fold_key: 'EX777',
    };
    await counter.owner
      .insertInto('part_name')
      .values(ids.map((part) => ({ ...shared, ...part })))
      .execute();
    const { parts } = await ask('ex 777');
    expect(parts).toHaveLength(2);
    expect(parts.every((part) => part.sharedBy === 2)).toBe(true);
  });

  test.each([
    ['a character left out', 'KN 419-63DR', 'one-edit', 'G left out'],
    ['a character too many', 'KN 4419G-63DR', 'one-edit', 'one 4 too many'],
    ['a wrong character', 'KN 419G-93DR', 'one-edit', '9 where it has 6'],
    ['two characters swapped', 'KN 491G-63DR', 'one-edit', '19 the other way round'],
    ['one illegible character', 'KN 4?9G-63DR', 'wildcard', 'fits what is legible'],
    ['two illegible characters', 'KN 4?9G-6?DR', 'wildcard', 'fits what is legible'],
    ['an illegible run', 'KN*G-63DR', 'wildcard', 'fits what is legible'],
  ])('finds a number with %s and says what it did about it', async (_, q, stage, how) => {
    const found = (await ask(q)).parts.find((part) => part.printed === 'KN 419G-63DR');
    expect(found).toMatchObject({ stage, how });
  });

  test('a worn 1 that could be a 7 is the likelier slip and stands first', async () => {
    const { parts } = await ask('KN 479G-63DR');
    const edits = parts.filter((part) => part.stage === 'one-edit').map((part) => part.printed);
    expect(edits[0]).toBe('KN 419G-63DR');
  });

  test('a maker’s name in the question leaves only that maker’s numbers', async () => {
    const { parts, onlyOf } = await ask('Tamsel 500 2?6');
    expect(onlyOf).toEqual(['Tamsel']);
    expect(parts).toEqual([]);
    const named = await ask('tamsel TS 500 2?6');
    expect(named.parts.map((part) => part.maker)).toEqual(named.parts.map(() => 'Tamsel'));
    expect(named.parts.length).toBeGreaterThan(0);
  });

  test('a carton’s ITF-14 answers for the article inside it', async () => {
    const name = await counter.db
      .selectFrom('part_name')
      .select('printed')
      .where('kind', '=', 'barcode')
      .limit(1)
      .executeTakeFirstOrThrow();
    const body = `1${name.printed.slice(0, 12)}`;
    expect((await ask(body + checkDigit(body))).parts[0]).toMatchObject({
      printed: name.printed,
      stage: 'exact',
      how: 'the article inside the carton',
    });
  });

  test('with the engine on the slip a near reading that suits its hole stands before one that does not', async () => {
    const agent = await counter.as('specialist');
    const q = { q: 'KN 4119G-63DR', engine: 'skerrow-sc20' };
    const { parts } = (await agent.get('/api/ask').query(q).expect(200)).body as AskAnswer;
    const suits = parts.filter((part) => part.stage === 'one-edit').map((part) => part.suitsEngine === true);
    expect(suits).toEqual([...suits].sort((a, b) => Number(b) - Number(a)));
  });

  test('a gap is told in the other units, and an unlikely one is asked about', async () => {
    expect((await ask('0.8 mm')).measures).toEqual([{ of: 'gap', says: '0.80 mm = 31 thou = 0.031 in' }]);
    const odd = await ask('0.8 in');
    expect(odd.measures).not.toContainEqual(expect.objectContaining({ of: 'gap' }));
    expect((await ask('60 mm')).remark).toMatch(/not a usual gap/);
  });

  test('only where nothing is near are numbers asked for that are merely alike, and they say so', async () => {
    expect((await ask('KN 419G-99XX9')).parts).toEqual([]);
    const parts = (await alike('KN 419G-99XX9'))!;
    expect(parts.length).toBeGreaterThan(0);
    expect(new Set(parts.map(({ stage, how }) => `${stage}: ${how}`))).toEqual(new Set(['looser: only alike']));
    expect(new Set(parts.map(({ partId }) => partId)).size).toBe(parts.length);
  });

  test.each(['KN 4', 'KN 4?9G-63'])('%s is not enough to be alike by, whoever asks for it', async (q) => {
    const agent = await counter.as('specialist');
    expect(((await agent.get('/api/ask/alike').query({ q }).expect(200)).body as AlikeAnswer).parts).toEqual([]);
  });

  test('where fewer than three surer ones answer, those alone are the answer, and what is alike is worth asking for', async () => {
    expect((await ask('KN 42GG-63DR')).parts.map(({ stage }) => stage)).toEqual(['fold', 'one-edit']);
    expect((await alike('KN 42GG-63DR'))!.length).toBeGreaterThan(0);
  });

  test('a beginning is answered by what begins so, and by nothing that is merely alike', async () => {
    const { parts } = await ask('KN 426G-63D');
    expect(parts.map(({ printed, stage }) => [printed, stage])).toEqual([['KN 426G-63DR', 'prefix']]);
    expect(await alike('KN 426G-63D')).toBeUndefined();
  });

  test('what only look-alikes answer to follows what is as written, with a star too', async () => {
    const { parts } = await ask('KN 419*');
    expect(parts.length).toBeGreaterThan(3);
    const worn = await ask('KN 4I9G-6*');
    expect(worn.parts.length).toBeGreaterThan(0);
  });

  test('finds a batch by the code on its box, whatever the separators, held ones first', async () => {
    for (const q of ['F4-0431', 'f4 0431'])
      expect((await ask(q)).batches).toEqual([
        expect.objectContaining({ code: 'F4-0431', printed: 'IVX-C19-F10', seller: 'Fellpost Online', state: 'open' }),
      ]);
    expect((await ask('T26 11 015')).batches[0]).toMatchObject({ state: 'held' });
    expect((await ask('F4-04')).batches).toEqual([]);
  });

  test('suggestions while typing hold the sure readings and no slips of the finger', async () => {
    const agent = await counter.as('specialist');
    const quick = await agent.get('/api/ask').query({ q: 'KN 491G-63DR', quick: 'yes' }).expect(200);
    expect((quick.body as AskAnswer).parts).toEqual([]);
  });

  test('answers nothing with nothing, and says when too little is legible', async () => {
    expect(await ask('zzzzzz')).toMatchObject({ parts: [], engines: [], vehicles: [], slips: [] });
    expect((await ask('K?*')).remark).toMatch(/at least 2 characters/);
    expect((await ask('–')).remark).toMatch(/no letter or digit/);
  });
});
