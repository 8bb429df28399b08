import type { Express } from 'express';
import { listReferences, saveReference, type ProofReference } from '@brackenfell/contract/proof-reference';
import type { Context } from '../context/context.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { addReference, findReference, readReferenceRows, type ReferenceRow } from './reference-store.ts';

export const referenceView = (row: ReferenceRow): ProofReference => ({
  referenceId: row.id,
  makerId: row.maker_id,
  maker: row.maker,
  partKind: row.part_kind,
  generation: row.generation,
  version: row.version,
  content: row.content,
  by: row.by,
  at: row.at.toISOString(),
});

export function referenceRoutes(app: Express, context: Context): void {
  serve(app, context, listReferences, async ({ db }) => ({
    references: (await readReferenceRows(db)).map(referenceView),
  }));

  serve(app, context, saveReference, async ({ body: { basedOn, ...next }, staff, trx }) => {
    const standing = (await readReferenceRows(trx, next)).find(({ generation }) => generation === next.generation);
    if ((standing?.version ?? 0) !== basedOn)
      return trouble('changed-meanwhile', 'Another version of this reference was saved meanwhile: look at it first.');
    const id = await addReference(trx, { ...next, version: basedOn + 1, staffId: staff.id });
    if (id === undefined)
      return trouble('invalid-request', 'Choose a maker of this catalogue.', { makerId: 'no such maker' });
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'proof reference',
      subjectId: id,
      action: 'save',
      before: standing?.content,
      after: next.content,
    });
    return referenceView((await findReference(trx, id))!);
  });
}
