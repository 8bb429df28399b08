import type { OpenTray } from '@brackenfell/contract/open-tray';
import { Key } from '../controls/key.tsx';

interface DutyStripProps {
  readonly duty: OpenTray['duty'];
  readonly onOpen: () => void;
}

/** The duty judged for; where it is not standard, what both schools of each rule make of it. */
export function DutyStrip({ duty, onOpen }: DutyStripProps) {
  const rules = [...new Set(duty.schools.map(({ rule }) => rule))];
  const apart = rules.filter(
    (rule) => new Set(duty.schools.filter((s) => s.rule === rule).map((s) => s.answer)).size > 1,
  );
  return (
    <div className="build-question" role="group" aria-label="Duty">
      <button type="button" onClick={onOpen} className="min-h-6">
        <Key>d</Key> <span className="text-soft">Duty</span> <b className="font-semibold">{duty.says}</b>
      </button>
      {duty.says !== 'Standard' &&
        apart.map((rule) => (
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
    </div>
  );
}
