import type { EnginePlan } from '@brackenfell/core/engine-plan/engine-plan';
import { PlugAsRead } from './plug-as-read.tsx';
import { isRead, sayPlug, unread, type PlugRead } from './sign-letters.ts';

interface EngineAsReadProps {
  readonly plan: EnginePlan;
  readonly reads: readonly PlugRead[];
  readonly picked: number;
  /** Cylinders that the likeliest cause is about. */
  readonly told: readonly number[];
  readonly onPick: (cylinder: number) => void;
}

/** The engine from above, each plug lying where it sat. */
export function EngineAsRead({ plan, reads, picked, told, onPick }: EngineAsReadProps) {
  return (
    <div className="grid gap-1 p-3" role="group" aria-label="Plugs as read, where each sat">
      {plan.banks.map((bank) => (
        <section key={bank.label} aria-label={bank.label}>
          <h2 className="text-xs text-soft">{bank.label}</h2>
          <div
            className="grid gap-1"
            style={{ gridTemplateColumns: `repeat(${Math.max(4, bank.cylinders.length)}, minmax(0, 5.5rem))` }}
          >
            {bank.cylinders.map((cylinder) => {
              const read = reads.find((one) => one.cylinder === cylinder) ?? unread(cylinder);
              const isPicked = cylinder === picked;
              return (
                <button
                  key={cylinder}
                  type="button"
                  aria-pressed={isPicked}
                  aria-label={`Cylinder ${cylinder}: ${sayPlug(read)}`}
                  className={`grid min-w-0 grid-rows-[1.25rem_7rem_auto] border px-1 pb-1 text-left ${
                    isPicked ? 'border-2 border-bracken' : 'border-line'
                  } ${told.includes(cylinder) ? 'bg-madder-wash' : ''}`}
                  onClick={() => onPick(cylinder)}
                >
                  <b className="num font-semibold">{cylinder}</b>
                  <PlugAsRead signs={read.signs} isRead={isRead(read)} />
                  <span className="text-xs [overflow-wrap:anywhere]">{sayPlug(read)}</span>
                </button>
              );
            })}
          </div>
        </section>
      ))}
    </div>
  );
}
