import { useId, useLayoutEffect, useRef, type KeyboardEvent } from 'react';
import { Select } from 'radix-ui';

interface ChoiceProps<V extends string> {
  readonly label: string;
  readonly value: V;
  readonly options: readonly { readonly value: V; readonly says: string }[];
  readonly onChange: (value: V) => void;
  /** Stands where nothing is chosen yet. */
  readonly hint?: string;
  readonly autoFocus?: boolean;
  /** How label and field stand to each other. */
  readonly className?: string;
  readonly labelClass?: string;
  readonly fieldClass?: string;
}

// An item may not be called nothing, and nothing is sometimes the choice.
const PREFIX = 'is ';

/** One of several, from a list that opens: letters go to what begins with them, arrows move, Enter takes. */
export function Choice<V extends string>({
  label,
  value,
  options,
  onChange,
  hint = 'Choose',
  autoFocus = false,
  className = 'grid gap-1',
  labelClass = 'text-slate',
  fieldClass = '',
}: ChoiceProps<V>) {
  const id = useId();
  const isOne = options.some((option) => option.value === value);
  // Letters typed before what there is to choose from has been fetched choose as soon as it has.
  const typed = useRef('');
  const typeAhead = ({ key, ctrlKey, metaKey, altKey }: KeyboardEvent) => {
    if (options.length === 0 && key.length === 1 && !(ctrlKey || metaKey || altKey)) typed.current += key.toLowerCase();
  };
  useLayoutEffect(() => {
    if (typed.current === '' || options.length === 0) return;
    const found = options.find(({ says }) => says.toLowerCase().startsWith(typed.current));
    typed.current = '';
    if (found) onChange(found.value);
  });
  return (
    <div className={className}>
      <span id={id} className={labelClass}>
        {label}
      </span>
      <Select.Root
        value={isOne ? PREFIX + value : ''}
        onValueChange={(next) => onChange(next.slice(PREFIX.length) as V)}
      >
        <Select.Trigger
          className={`field choice ${fieldClass}`}
          aria-labelledby={id}
          autoFocus={autoFocus}
          onKeyDown={typeAhead}
        >
          <Select.Value placeholder={hint} />
          <Select.Icon className="choice-icon" aria-hidden>
            ▾
          </Select.Icon>
        </Select.Trigger>
        <Select.Portal>
          <Select.Content className="choice-list" position="popper" data-choice>
            <Select.Viewport>
              {options.map((option) => (
                <Select.Item key={option.value} value={PREFIX + option.value} className="choice-item">
                  <Select.ItemText>{option.says}</Select.ItemText>
                </Select.Item>
              ))}
            </Select.Viewport>
          </Select.Content>
        </Select.Portal>
      </Select.Root>
    </div>
  );
}
