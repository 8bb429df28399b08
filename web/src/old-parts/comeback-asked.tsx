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
  type When,
} from '@brackenfell/core/old-parts/comeback-checks';
import { toggled, Toggles } from '../controls/toggles.tsx';
import { useKeys } from '../keys/keys.ts';
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

const WHEN_KEYS = ['d', 'f', 'g'];
const GROUP_KEYS = [...'ABCDEFGHIJ'];
/** The answer after one, from the last to the first again. */
const after = <V,>(all: readonly V[], one: V): V => all[(all.indexOf(one) + 1) % all.length]!;

const worded = <V extends string>(values: readonly V[], words: Readonly<Record<V, string>>) =>
  values.map((value) => ({ value, says: words[value] }));

/** What is told of work that came back: how soon, how, when, what was touched. */
export function ComebackAsked({ now, mine, lastSaid, groups, onChange }: ComebackAskedProps) {
  const groupToggled = (group: TouchedGroup) =>
    onChange({ untouched: toggled(now.untouched, group) }, 'what was touched');
  const whenToggled = (one: When) => onChange({ when: toggled(now.when, one) }, 'when');
  useKeys(
    'What is told',
    [
      {
        press: 'h',
        does: 'How soon after the work: the next answer',
        run: () => onChange({ howSoon: after(HOW_SOON, now.howSoon) }, 'how soon'),
      },
      {
        press: 'm',
        does: 'What it misfires on: the next answer',
        run: () => onChange({ misfire: after(MISFIRES, now.misfire) }, 'how it misfires'),
      },
      { press: 'l', does: 'Lamp: the next answer', run: () => onChange({ lamp: after(LAMPS, now.lamp) }, 'the lamp') },
      {
        press: 't',
        does: 'A plug fell while it was fitted, or not',
        run: () => onChange({ isToldDropped: !now.isToldDropped }, 'whether a plug fell'),
      },
      ...WHENS.map((one, i) => ({ press: WHEN_KEYS[i]!, does: WHEN_WORDS[one], run: () => whenToggled(one) })),
      ...groups.map((group, i) => ({
        press: `Shift+${GROUP_KEYS[i]!}`,
        printed: `Shift ${GROUP_KEYS[i]!.toLowerCase()}`,
        does: `Touched, or not: ${GROUP_WORDS[group]}`,
        run: () => groupToggled(group),
      })),
    ],
    { active: mine },
  );
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
        titleKey="h"
        isOn={(one) => one === now.howSoon}
        onChoose={(howSoon) => onChange({ howSoon }, 'how soon')}
      />
      <Toggles
        {...common}
        title="It misfires on"
        options={worded(MISFIRES, MISFIRE_WORDS)}
        titleKey="m"
        isOn={(one) => one === now.misfire}
        onChoose={(misfire) => onChange({ misfire }, 'how it misfires')}
      />
      <Toggles
        {...common}
        title="And most when"
        options={WHENS.map((value, i) => ({ value, says: WHEN_WORDS[value], letter: WHEN_KEYS[i]! }))}
        showLetters
        isOn={(one) => now.when.includes(one)}
        onChoose={whenToggled}
      />
      <Toggles
        {...common}
        title="Lamp"
        options={worded(LAMPS, LAMP_WORDS)}
        titleKey="l"
        isOn={(one) => one === now.lamp}
        onChoose={(lamp) => onChange({ lamp }, 'the lamp')}
      />
      <Toggles
        {...common}
        title="Touched, or not known"
        titleKey="Shift"
        options={groups.map((value, i) => ({ value, says: GROUP_WORDS[value], letter: GROUP_KEYS[i]! }))}
        showLetters
        isOn={(group) => !now.untouched.includes(group)}
        onChoose={groupToggled}
      />
      <Toggles
        {...common}
        title="A plug fell while it was fitted"
        titleKey="t"
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
