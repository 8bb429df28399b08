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

interface AskedLineProps<V extends string> {
  readonly title: string;
  readonly options: readonly V[];
  readonly words: Readonly<Record<V, string>>;
  readonly on: readonly V[];
  readonly disabled: boolean;
  readonly onChoose: (value: V) => void;
}

function AskedLine<V extends string>({ title, options, words, on, disabled, onChoose }: AskedLineProps<V>) {
  return (
    <div role="group" aria-label={title} className="border-t border-hair py-1">
      <span className="text-xs text-slate">{title}</span>
      <span className="flex flex-wrap gap-x-1">
        {options.map((value) => (
          <button
            key={value}
            type="button"
            disabled={disabled}
            aria-pressed={on.includes(value)}
            className={`sign-option ${on.includes(value) ? 'sign-on' : ''}`}
            onClick={() => onChoose(value)}
          >
            {words[value]}
          </button>
        ))}
      </span>
    </div>
  );
}

const toggled = <V extends string>(all: readonly V[], one: V): V[] =>
  all.includes(one) ? all.filter((other) => other !== one) : [...all, one];

/** What is told of work that came back: how soon, how, when, what was touched. */
export function ComebackAsked({ now, mine, lastSaid, groups, onChange }: ComebackAskedProps) {
  const common = { disabled: !mine };
  return (
    <div className="grid content-start p-3" tabIndex={0} role="group" aria-label="What is told">
      <h1 className="text-verdict font-semibold">Comeback</h1>
      <p className="pb-1 text-soft">
        {lastSaid ?? 'No earlier work is known: what nobody has said counts as touched.'}
      </p>
      <AskedLine
        {...common}
        title="How soon after the work"
        options={HOW_SOON}
        words={HOW_SOON_WORDS}
        on={[now.howSoon]}
        onChoose={(howSoon) => onChange({ howSoon }, 'how soon')}
      />
      <AskedLine
        {...common}
        title="It misfires on"
        options={MISFIRES}
        words={MISFIRE_WORDS}
        on={[now.misfire]}
        onChoose={(misfire) => onChange({ misfire }, 'how it misfires')}
      />
      <AskedLine
        {...common}
        title="And most when"
        options={WHENS}
        words={WHEN_WORDS}
        on={now.when}
        onChoose={(one) => onChange({ when: toggled(now.when, one) }, 'when')}
      />
      <AskedLine
        {...common}
        title="Lamp"
        options={LAMPS}
        words={LAMP_WORDS}
        on={[now.lamp]}
        onChoose={(lamp) => onChange({ lamp }, 'the lamp')}
      />
      <AskedLine
        {...common}
        title="Touched, or not known"
        options={groups}
        words={GROUP_WORDS}
        on={groups.filter((group) => !now.untouched.includes(group))}
        onChoose={(group) => onChange({ untouched: toggled(now.untouched, group) }, 'what was touched')}
      />
      <AskedLine
        {...common}
        title="A plug fell while it was fitted"
        options={['yes', 'no']}
        words={{ yes: 'told so', no: 'no, or not known' }}
        on={[now.isToldDropped ? 'yes' : 'no']}
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
