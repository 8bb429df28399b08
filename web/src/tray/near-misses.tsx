import { useQuery } from '@tanstack/react-query';
import { printCount } from '@brackenfell/core/words/counted';
import { Dialog } from '../controls/dialog.tsx';
import { Mark } from '../controls/mark.tsx';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';

interface NearMissesProps {
  readonly engineId: string;
  readonly onTry: (partId: string) => void;
  readonly onClose: () => void;
}

/** Over the whole catalogue: the plugs that would do but for one check. */
export function NearMissList({ engineId, onTry, onClose }: NearMissesProps) {
  const { units } = useSettings();
  const found = useQuery({
    queryKey: ['near misses', engineId, units],
    queryFn: () => call('getNearMisses', { params: { engineId }, query: { units } }),
  });
  return (
    <Dialog
      title="Nearly fits: one check alone keeps it out"
      about={
        found.data
          ? `Of ${printCount(found.data.considered)} plugs in the catalogue. Refused all the same: this shows what to order instead, or what was mixed up.`
          : found.error
            ? 'The catalogue was not looked through.'
            : 'Looking through every plug of the catalogue.'
      }
      onClose={onClose}
      wide
    >
      {found.error && (
        <p role="alert" className="text-madder">
          {found.error.message}
        </p>
      )}
      {found.data?.byCheck.length === 0 && <p>Nothing is kept out by one check alone.</p>}
      {found.data?.byCheck.map(({ check, title, count, nearest }) => (
        <section key={check} className="pb-3" aria-label={`Kept out by ${title.toLowerCase()} alone`}>
          <h3 className="flex items-center gap-1.5 font-semibold">
            <Mark kind="refuse" /> {title} <span className="num font-normal text-soft">{printCount(count)}</span>
          </h3>
          <ul>
            {nearest.map((part) => (
              <li key={part.partId} className="flex items-baseline gap-3 border-t border-hair py-0.5">
                <button
                  type="button"
                  className="num min-h-6 whitespace-nowrap underline decoration-line"
                  onClick={() => onTry(part.partId)}
                >
                  {part.printed}
                </button>
                <span className="whitespace-nowrap text-soft">{part.maker}</span>
                <span className="truncate">{part.phrase}</span>
                <span className="num ml-auto whitespace-nowrap">{part.onHand} here</span>
              </li>
            ))}
            {count > nearest.length && <li className="text-soft">and {printCount(count - nearest.length)} more</li>}
          </ul>
        </section>
      ))}
    </Dialog>
  );
}
