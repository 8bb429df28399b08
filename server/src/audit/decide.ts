import { chooseFigures } from '../catalogue/figure-store.ts';
import type { Writing } from '../db/database.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { editReference, withdrawFigures } from '../interchange/edit-reference.ts';
import { saysOf } from './show-finding.ts';
import { keepDecision, markUndone, readRivalFigures, type FindingRow } from './store.ts';

interface Decision {
  readonly action: 'accept' | 'note' | 'cut' | 'choose';
  readonly note: string;
  readonly edgeId?: string | undefined;
  readonly figureId?: string | undefined;
}

/** Carries a decision out; what it cannot do is said, and nothing of it is kept. */
export async function decide(
  trx: Writing,
  row: FindingRow,
  body: Decision,
  staffId: string,
): Promise<Trouble | undefined> {
  const keep = { subject: row.subject, action: body.action, note: body.note, staffId };
  switch (body.action) {
    case 'note':
      if (body.note === '') return trouble('invalid-request', 'Write the note.', { note: 'must not be empty' });
      await keepDecision(trx, keep);
      return undefined;
    case 'accept':
      await keepDecision(trx, keep);
      return undefined;
    case 'cut': {
      if (body.edgeId === undefined || !row.edge_ids.includes(body.edgeId))
        return trouble('invalid-request', 'Name one of the references of this contradiction.', {
          edgeId: 'must be one of its references',
        });
      const done = await editReference(trx, { edgeId: body.edgeId, staffId, cut: true });
      if (!done) return trouble('changed-meanwhile', 'Somebody has cut this reference already.');
      await keepDecision(trx, { ...keep, edgeId: body.edgeId });
      return undefined;
    }
    case 'choose': {
      const rivals = await readRivalFigures(trx, row.part_id, saysOf(row)[0] ?? '');
      if (!rivals.some(({ id }) => id === body.figureId))
        return trouble('invalid-request', 'Choose one of the figures that stand.', {
          figureId: 'must be one of the figures',
        });
      const others = rivals.filter(({ id }) => id !== body.figureId).map(({ id }) => id);
      await chooseFigures(trx, await withdrawFigures(trx, { figureIds: others, staffId, withdrawn: true }), []);
      await keepDecision(trx, { ...keep, figureIds: others });
      return undefined;
    }
  }
}

/** Takes a decision back with all it did; undefined when it was not standing. Gives the contradiction's subject. */
export async function takeBack(trx: Writing, decisionId: string, staffId: string) {
  const undone = await markUndone(trx, decisionId, staffId);
  if (!undone) return undefined;
  if (undone.edge_id !== null) await editReference(trx, { edgeId: undone.edge_id, staffId, cut: false });
  if (undone.figure_ids.length > 0) {
    const parts = await withdrawFigures(trx, { figureIds: undone.figure_ids, staffId, withdrawn: false });
    await chooseFigures(trx, parts, []);
  }
  return undone;
}
