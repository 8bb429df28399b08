import type { EnginePlan } from '@brackenfell/core/engine-plan/engine-plan';
import { isSameSeat, saySeat, type Seat } from '@brackenfell/core/old-parts/seats';
import { PlugAsRead } from './plug-as-read.tsx';
import { isRead, readAt, sayPlug, type PlugRead } from './sign-letters.ts';

interface EngineAsReadProps {
  readonly plan: EnginePlan;
  readonly seats: readonly Seat[];
  readonly reads: readonly PlugRead[];
  readonly picked: Seat;
  /** Whether the likeliest cause is about a plug. */
  readonly isTold: (seat: Seat) => boolean;
  readonly onPick: (seat: Seat) => void;
}

/** The engine from above, each plug lying where it sat; a cylinder's two plugs one above the other. */
export function EngineAsRead({ plan, seats, reads, picked, isTold, onPick }: EngineAsReadProps) {
  const places = [...new Set(seats.map(({ place }) => place))];
  const rows = plan.banks.flatMap((bank) => places.map((place) => ({ bank, place })));
  return (
    <div className="grid gap-1 p-3" role="group" aria-label="Plugs as read, where each sat">
      {rows.map(({ bank, place }) => {
        const title = place === undefined ? bank.label : `${bank.label}: ${place}`;
        return (
          <section key={title} aria-label={title}>
            <h2 className="text-xs text-soft">{title}</h2>
            <div
              className="grid gap-1"
              style={{ gridTemplateColumns: `repeat(${Math.max(4, bank.cylinders.length)}, minmax(0, 5.5rem))` }}
            >
              {bank.cylinders.map((cylinder) => {
                const seat = place === undefined ? { cylinder } : { cylinder, place };
                const read = readAt(reads, seat);
                const isPicked = isSameSeat(seat, picked);
                return (
                  <button
                    key={cylinder}
                    type="button"
                    aria-pressed={isPicked}
                    aria-label={`Cylinder ${saySeat(seat)}: ${sayPlug(read)}`}
                    className={`grid min-w-0 grid-rows-[1.25rem_7rem_auto] border px-1 pb-1 text-left ${
                      isPicked ? 'border-2 border-bracken' : 'border-line'
                    } ${isTold(seat) ? 'bg-madder-wash' : ''}`}
                    onClick={() => onPick(seat)}
                  >
                    <b className="num font-semibold">{cylinder}</b>
                    <PlugAsRead signs={read.signs} isRead={isRead(read)} />
                    <span className="text-xs [overflow-wrap:anywhere]">{sayPlug(read)}</span>
                  </button>
                );
              })}
            </div>
          </section>
        );
      })}
    </div>
  );
}
