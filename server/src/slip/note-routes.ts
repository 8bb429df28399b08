import type { Express } from 'express';
import { addNote, mendNote } from '@brackenfell/contract/slip';
import type { Context } from '../context/context.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble } from '../http/trouble.ts';
import { showSlip } from './show-slip.ts';
import { addNoteRow, changeSlipRow, findNote } from './store.ts';

/** What was said or found, in words: added by anybody, mended by its author or a supervisor. */
export function slipNoteRoutes(app: Express, context: Context): void {
  serve(app, context, addNote, async ({ params, body, staff, trx }) => {
    const slip = await changeSlipRow(trx, {
      slipId: params.slipId,
      version: body.version,
      staffId: staff.id,
      action: 'note',
    });
    if (isTrouble(slip)) return slip;
    await addNoteRow(trx, { slip_id: slip.id, staff_id: staff.id, text: body.text });
    return showSlip(trx, slip.id);
  });

  serve(app, context, mendNote, async ({ params, body, staff, trx }) => {
    const slip = await changeSlipRow(trx, {
      slipId: params.slipId,
      version: body.version,
      staffId: staff.id,
      action: 'mend note',
    });
    if (isTrouble(slip)) return slip;
    const note = await findNote(trx, slip.id, params.noteId);
    if (!note) return trouble('not-found', 'The slip has no such note.');
    if (note.staff_id !== staff.id && staff.role !== 'supervisor')
      return trouble('role-not-allowed', `${note.by} wrote it: only they or a supervisor mend it.`);
    await addNoteRow(trx, { slip_id: slip.id, staff_id: staff.id, text: body.text, replaces_id: note.id });
    return showSlip(trx, slip.id);
  });
}
