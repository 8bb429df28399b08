import { afterAll, beforeAll, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { factsOfKind, formOf, toRecord, WRITTEN_RANKS } from '@brackenfell/core/facts/fact-form';
import type { RecordedFactId } from '@brackenfell/core/facts/facts';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { readHeatScales, readPartSheets } from '../catalogue/fact-store.ts';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';
import { wouldBe } from './would-be-store.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

/** A value that a fact may record, by the form it is written down in. */
const valueOf = (fact: RecordedFactId) => {
  const form = formOf(fact);
  if (form?.kind === 'choose') return fc.constantFrom<unknown>(...form.options.map(({ value }) => value));
  if (form?.kind === 'figure') return fc.integer({ min: 1, max: 120 }).map((n) => toRecord(fact, n / 2));
  return fc.constant<unknown>({ maker: 'kestrane', code: '63' });
};
const WRITTEN = factsOfKind('plug').filter((fact) => formOf(fact) !== undefined);
const added = fc.constantFrom(...WRITTEN).chain((fact) =>
  fc.record({
    fact: fc.constant(fact),
    value: valueOf(fact),
    source: fc.record({
      rank: fc.constantFrom(...WRITTEN_RANKS),
      name: fc.constantFrom('List A', 'List B', 'Sheet C'),
    }),
  }),
);

class RolledBack extends Error {}

test('a sheet as it would be is the sheet as it is once the change is written, whatever is added and withdrawn', async () => {
  const scales = await readHeatScales(counter.owner);
  const plugs = await counter.owner.selectFrom('plug_spec').select('part_id').orderBy('part_id').limit(30).execute();
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...plugs.map(({ part_id }) => part_id)),
      fc.array(added, { maxLength: 3 }),
      fc.array(fc.nat(20), { maxLength: 2 }),
      async (partId, figures, picks) => {
        const own = await counter.owner
          .selectFrom('figure')
          .select('id')
          .where('part_id', '=', partId)
          .orderBy('id')
          .execute();
        const withdrawn = [...new Set(picks.map((pick) => own[pick % own.length]!.id))];
        const before = (await readPartSheets(counter.owner, scales, [partId])).get(partId)!;
        const guessed = await wouldBe(counter.owner, scales, new Map([[partId, { added: figures, withdrawn }]]), () =>
          Promise.resolve(before),
        );
        await counter.owner
          .transaction()
          .execute(async (trx) => {
            for (const { fact, value, source } of figures)
              await trx
                .insertInto('figure')
                .values({
                  part_id: partId,
                  position_id: null,
                  attribute: fact,
                  value: JSON.stringify(value),
                  source_rank: source.rank,
                  source_name: source.name,
                  withdrawn_at: null,
                })
                .execute();
            for (const id of withdrawn)
              await trx.updateTable('figure').set({ withdrawn_at: new Date() }).where('id', '=', id).execute();
            await chooseFigures(trx, [partId], []);
            const written = (await readPartSheets(trx, scales, [partId])).get(partId)!;
            const facts = new Set([...Object.keys(written), ...Object.keys(guessed.get(partId)!)]);
            const told = (sheet: object) =>
              [...facts].sort().map((fact) => [fact, (sheet as Record<string, unknown>)[fact] ?? null]);
            expect(told(guessed.get(partId)!)).toEqual(told(written));
            throw new RolledBack();
          })
          .catch((error: unknown) => {
            if (!(error instanceof RolledBack)) throw error;
          });
      },
    ),
    { numRuns: 60 },
  );
});
