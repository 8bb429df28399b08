import { counted } from '@brackenfell/core/words/counted';
import type { JudgedPiece } from '@brackenfell/core/authenticity/inspection';
import { BAND_WORDS } from '@brackenfell/core/authenticity/judge-piece';
import { printChance, sayMissing } from '@brackenfell/core/authenticity/say-conclusion';
import type { Tell } from '@brackenfell/core/authenticity/tell';
import { KeyButton } from '../controls/key-button.tsx';

const MOST_SHOWN = 4;

const sayMinutes = (minutes: number): string =>
  minutes < 1 ? `${Math.round(minutes * 60)} seconds` : counted(minutes, 'minute');

/** What to look at next, and what either answer would mean. */
export function NextCheckPanel({ piece, onGo }: { piece: JudgedPiece; onGo: (tell: Tell) => void }) {
  const [first, ...rest] = piece.next;
  const missing = sayMissing(piece);
  if (!first)
    return (
      <section aria-label="Next best check" className="px-3 py-1">
        <h2 className="text-lead font-semibold">Everything was looked at</h2>
        {missing && <p>{missing}</p>}
      </section>
    );
  const most = Math.max(...piece.next.map(({ dropBitsPerMinute }) => dropBitsPerMinute), 1e-9);
  return (
    <section aria-label="Next best check" className="px-3 py-1">
      <h2 className="flex items-baseline gap-2">
        <b className="text-lead font-semibold">Next best check</b>
        <span className="ml-auto text-xs text-soft">
          <KeyButton press="." does="Go there">
            {' '}
            go there
          </KeyButton>
        </span>
      </h2>
      <p>
        <b className="font-semibold text-bracken">{first.tell.title}</b>, {sayMinutes(first.tell.minutes)}
        {first.tell.measure ? '' : ', by eye'}. {first.tell.look}
      </p>
      <p className="text-soft">
        Genuine: {printChance(first.ifGenuineLike.chance)}, {BAND_WORDS[first.ifGenuineLike.band].toLowerCase()}.
        Differs: {printChance(first.ifDiffers.chance)}, {BAND_WORDS[first.ifDiffers.band].toLowerCase()}.
      </p>
      <table className="mt-1 w-full text-xs">
        <thead className="text-soft">
          <tr>
            <th className="text-left font-normal">then</th>
            <th className="w-10 text-right font-normal">min</th>
            <th className="w-[40%] pl-2 text-left font-normal">doubt cleared a minute</th>
          </tr>
        </thead>
        <tbody>
          {[first, ...rest].slice(0, MOST_SHOWN).map(({ tell, dropBitsPerMinute }, i) => (
            <tr key={tell.id} className={i === 0 ? 'font-semibold' : ''}>
              <th className="text-left font-[inherit]">
                <button type="button" className="min-h-5 text-left" onClick={() => onGo(tell)}>
                  {tell.title}
                </button>
              </th>
              <td className="num text-right">{tell.minutes}</td>
              <td className="pl-2">
                <span
                  className={`inline-block h-2 align-middle ${i === 0 ? 'bg-bracken' : 'bg-slate'}`}
                  style={{ width: `${Math.max(2, (dropBitsPerMinute / most) * 100)}%` }}
                />
                <span className="sr-only">{dropBitsPerMinute.toFixed(3)} bits a minute</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {missing && <p className="pt-1 text-soft">{missing}</p>}
    </section>
  );
}
