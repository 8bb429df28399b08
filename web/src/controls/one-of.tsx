import { useId } from 'react';
import { RadioGroup } from 'radix-ui';

interface OneOfProps<V extends string> {
  readonly label: string;
  readonly value: V;
  readonly options: readonly { readonly value: V; readonly says: string }[];
  readonly onChange: (value: V) => void;
  readonly autoFocus?: boolean;
}

/** One of a few, all in sight: arrows move and choose. */
export function OneOf<V extends string>({ label, value, options, onChange, autoFocus = false }: OneOfProps<V>) {
  const id = useId();
  return (
    <div className="grid gap-1">
      <span id={id} className="text-slate">
        {label}
      </span>
      <RadioGroup.Root
        aria-labelledby={id}
        className="grid gap-1"
        value={value}
        onValueChange={(next) => onChange(next as V)}
      >
        {options.map((option) => (
          <label key={option.value} className="flex items-center gap-2">
            <RadioGroup.Item value={option.value} className="one-of" autoFocus={autoFocus && option.value === value}>
              <RadioGroup.Indicator className="one-of-mark" />
            </RadioGroup.Item>
            {option.says}
          </label>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
