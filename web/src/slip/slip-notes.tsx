import { printClock } from '@brackenfell/core/words/moments';
import type { Staff } from '@brackenfell/contract/session';
import type { Slip } from '@brackenfell/contract/slip';
import { slipSheet } from '../counter/slip-sheet.ts';

/** What was said and found, with who wrote it; its author or a supervisor edits it. */
export function SlipNotes({ slip, me }: { readonly slip: Slip; readonly me: Staff }) {
  if (slip.notes.length === 0) return null;
  return (
    <section className="px-3 py-2" aria-label="Said and found">
      <h3 className="text-xs font-semibold text-slate">Said and found</h3>
      {slip.notes.map((n) => (
        <p key={n.noteId} className="grid grid-cols-[3.25rem_1fr_auto] pt-1 text-soft">
          <time className="num text-slate" dateTime={n.at}>
            {printClock(n.at)}
          </time>
          <span>
            {n.text}{' '}
            <span className="text-xs text-slate">
              {n.by}
              {n.mended ? ', edited' : ''}
            </span>
          </span>
          {(n.by === me.name || me.role === 'supervisor') && (
            <button
              type="button"
              className="button-quiet"
              aria-label={`Edit the note: ${n.text}`}
              onClick={() => slipSheet.set({ kind: 'note', noteId: n.noteId })}
            >
              edit
            </button>
          )}
        </p>
      ))}
    </section>
  );
}
