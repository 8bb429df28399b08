import type { OpenTray } from '@brackenfell/contract/open-tray';
import { Key } from '../controls/key.tsx';

/** The duty judged for, and the key that changes it. */
export function DutyButton({ duty, onOpen }: { readonly duty: OpenTray['duty']; readonly onOpen: () => void }) {
  return (
    <button type="button" onClick={onOpen} className="min-h-6" aria-label={`Duty: ${duty.says}`}>
      <Key>d</Key> <span className="text-soft">Duty</span> <b className="font-semibold">{duty.says}</b>
    </button>
  );
}

/** Where the duty is not standard: what both schools of each rule it touches make of it. */
export function DutyStrip({ duty }: { readonly duty: OpenTray['duty'] }) {
  if (duty.says === 'Standard') return null;
  const rules = [...new Set(duty.schools.map(({ rule }) => rule))];
  const apart = rules.filter(
    (rule) => new Set(duty.schools.filter((s) => s.rule === rule).map((s) => s.answer)).size > 1,
  );
  if (apart.length === 0) return null;
  return (
    <div className="build-question" role="group" aria-label="What the schools make of the duty">
      {apart.map((rule) => (
        <span key={rule}>
          <span className="text-soft">{rule}: </span>
          {duty.schools
            .filter((school) => school.rule === rule)
            .map((school, i) => (
              <span key={school.school} title={school.school}>
                {i > 0 && <span className="text-soft"> / </span>}
                {school.chosen ? (
                  <b className="num font-semibold underline decoration-bracken decoration-2">{school.answer}</b>
                ) : (
                  <span className="num text-soft">{school.answer}</span>
                )}
              </span>
            ))}
        </span>
      ))}
      <span className="text-soft">underlined: the shop’s rule</span>
    </div>
  );
}
