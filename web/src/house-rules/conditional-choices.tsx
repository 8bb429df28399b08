import { useState } from 'react';
import type { HouseRuleView } from '@brackenfell/contract/house-rules';
import { Choice } from '../controls/choice.tsx';

interface ConditionalChoicesProps {
  readonly rule: HouseRuleView;
  readonly mayChoose: boolean;
  readonly onChoose: (condition: HouseRuleView['conditions'][number]['condition'], school: string | null) => void;
}

/** Where the shop chooses otherwise than it does by default; the first that holds speaks. */
export function ConditionalChoices({ rule, mayChoose, onChoose }: ConditionalChoicesProps) {
  const first = rule.conditions[0];
  const [condition, setCondition] = useState(first?.condition);
  const [school, setSchool] = useState(rule.schools.find(({ id }) => id !== rule.chosen)!.id);
  const says = (id: string) => rule.schools.find((one) => one.id === id)?.says ?? id;
  if (rule.conditional.length === 0 && !mayChoose) return null;
  return (
    <section className="pt-3" aria-label="Otherwise where">
      <h3 className="font-semibold">Otherwise where</h3>
      {rule.conditional.length === 0 && <p className="text-soft">Nowhere yet: the rule holds for every engine.</p>}
      <ol>
        {rule.conditional.map((one) => (
          <li key={one.condition} className="flex max-w-3xl items-baseline gap-2 border-t border-hair py-1">
            <span>
              Where {one.says}: <b className="font-semibold">{says(one.school)}</b>
            </span>
            {mayChoose && (
              <button
                type="button"
                className="button-plain ml-auto"
                onClick={() => onChoose(one.condition, null)}
                aria-label={`Take back: where ${one.says}`}
              >
                Take back
              </button>
            )}
          </li>
        ))}
      </ol>
      {mayChoose && condition && (
        <form
          className="flex flex-wrap items-end gap-2 pt-1"
          onSubmit={(event) => {
            event.preventDefault();
            onChoose(condition, school);
          }}
        >
          <Choice
            label="Where"
            value={condition}
            options={rule.conditions.map((one) => ({ value: one.condition, says: one.says }))}
            onChange={setCondition}
          />
          <Choice
            label="the shop works so"
            value={school}
            options={rule.schools.map((one) => ({ value: one.id, says: one.says }))}
            onChange={setSchool}
          />
          <button type="submit" className="button-plain">
            Choose it there
          </button>
        </form>
      )}
    </section>
  );
}
