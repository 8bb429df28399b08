import type { PartCard } from '@brackenfell/contract/part';
import { Mark } from '../controls/mark.tsx';

/** A number read position by position, as its maker's scheme has it, and what contradicts it. */
export function NumberPositions({ printed, decoded }: { printed: string; decoded: NonNullable<PartCard['decoded']> }) {
  return (
    <section aria-label="The number, position by position" className="pb-3">
      <h2 className="pb-1 font-semibold text-slate">The number, position by position</h2>
      <table className="w-full">
        <tbody>
          {decoded.fields.map((field) => (
            <tr key={field.title} className="border-t border-hair align-baseline">
              <td className="num py-0.5 pr-2 whitespace-pre text-soft">
                {printed.slice(0, field.from)}
                <b className="border-b-2 border-bracken font-semibold text-peat">
                  {printed.slice(field.from, field.to)}
                </b>
                {printed.slice(field.to)}
              </td>
              <td className="py-0.5">
                <span className="text-soft">{field.title}:</span>{' '}
                <span className={field.known ? '' : 'text-heather'}>{field.says}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {decoded.mismatches.length === 0 ? (
        <p className="flex items-center gap-1 pt-1 text-soft">
          <Mark kind="match" /> Nothing recorded of it contradicts its number.
        </p>
      ) : (
        decoded.mismatches.map((mismatch) => (
          <p key={mismatch.says} className="flex items-center gap-1 pt-1 text-madder">
            <Mark kind="refuse" /> {mismatch.says}
          </p>
        ))
      )}
    </section>
  );
}
