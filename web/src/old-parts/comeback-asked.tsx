import { LAMPS, type Lamp } from '@brackenfell/core/old-parts/comeback';
import {
  GROUP_WORDS,
  HOW_SOON,
  HOW_SOON_WORDS,
  MISFIRE_WORDS,
  MISFIRES,
  WHEN_WORDS,
  WHENS,
  type TouchedGroup,
} from '@brackenfell/core/old-parts/comeback-checks';
import { toggled, Toggles } from '../controls/toggles.tsx';
import type { ComebackKept } from './use-old-parts.ts';

const LAMP_WORDS: Readonly<Record<Lamp, string>> = {
  off: 'off',
  steady: 'steady',
  flashing: 'flashing: stop',
};

interface ComebackAskedProps {
  readonly now: ComebackKept;
  readonly mine: boolean;
  /** What the garage book knows of the last work. */
  readonly lastSaid: string | undefined;
  /** Groups the engine can have at all. */
  readonly groups: readonly TouchedGroup[];
  readonly onChange: (more: Partial<ComebackKept>, says: string) => void;
}

const worded = <V extends string>(values: readonly V[], words: Readonly<Record<V, string>>) =>
  values.map((value) => ({ value, says: words[value] }));

/** What is told of work that came back: how soon, how, when, what was touched. */
export function ComebackAsked({ now, mine, lastSaid, groups, onChange }: ComebackAskedProps) {
  const common = { disabled: !mine };
  return (
    <div className="grid content-start p-3" tabIndex={0} role="group" aria-label="What is told">
      <h1 className="text-verdict font-semibold">Comeback</h1>
      <p className="pb-1 text-soft">
        {lastSaid ?? 'No earlier work is known: what nobody has said counts as touched.'}
      </p>
      <Toggles
        {...common}
        title="How soon after the work"
        options={worded(HOW_SOON, HOW_SOON_WORDS)}
        isOn={(one) => one === now.howSoon}
        onChoose={(howSoon) => onChange({ howSoon }, 'how soon')}
      />
      <Toggles
        {...common}
        title="It misfires on"
        options={worded(MISFIRES, MISFIRE_WORDS)}
        isOn={(one) => one === now.misfire}
        onChoose={(misfire) => onChange({ misfire }, 'how it misfires')}
      />
      <Toggles
        {...common}
        title="And most when"
        options={worded(WHENS, WHEN_WORDS)}
        isOn={(one) => now.when.includes(one)}
        onChoose={(one) => onChange({ when: toggled(now.when, one) }, 'when')}
      />
      <Toggles
        {...common}
        title="Lamp"
        options={worded(LAMPS, LAMP_WORDS)}
        isOn={(one) => one === now.lamp}
        onChoose={(lamp) => onChange({ lamp }, 'the lamp')}
      />
      <Toggles
        {...common}
        title="Touched, or not known"
        options={worded(groups, GROUP_WORDS)}
        isOn={(group) => !now.untouched.includes(group)}
        onChoose={(group) => onChange({ untouched: toggled(now.untouched, group) }, 'what was touched')}
      />
      <Toggles
        {...common}
        title="A plug fell while it was fitted"
        options={[
          { value: 'yes', says: 'told so' },
          { value: 'no', says: 'no, or not known' },
        ]}
        isOn={(told) => (told === 'yes') === now.isToldDropped}
        onChoose={(told) => onChange({ isToldDropped: told === 'yes' }, 'whether a plug fell')}
      />
      <label className="grid gap-0.5 border-t border-hair py-1">
        <span className="text-xs text-slate">Code read here, or its cylinder</span>
        <input
          className="field num"
          disabled={!mine}
          key={now.code}
          defaultValue={now.code}
          maxLength={20}
          spellCheck={false}
          onBlur={(event) => {
            if (event.target.value !== now.code) onChange({ code: event.target.value }, 'the code');
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
          }}
        />
      </label>
    </div>
  );
}
