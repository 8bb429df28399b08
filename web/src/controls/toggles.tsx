import { Key } from './key.tsx';

interface TogglesProps<V extends string> {
  /** What the row is about, above it; its name to a screen reader. */
  readonly title: string;
  readonly options: readonly { readonly value: V; readonly says: string; readonly letter?: string | undefined }[];
  readonly isOn: (value: V) => boolean;
  readonly disabled?: boolean;
  readonly onChoose: (value: V) => void;
  /** The key of the row, printed beside its title: what steps through it, or what is held with a letter. */
  readonly titleKey?: string;
  /** Beside the title. */
  readonly mark?: React.ReactNode;
  /** The letters are this row's now. */
  readonly isHere?: boolean;
  /** The letters are its own all the time. */
  readonly showLetters?: boolean;
}

/** A row of things that are so or not, each put on and taken off by its button. */
export function Toggles<V extends string>({
  title,
  options,
  isOn,
  disabled = false,
  onChoose,
  titleKey,
  mark,
  isHere = false,
  showLetters = false,
}: TogglesProps<V>) {
  return (
    <div
      role="group"
      aria-label={title}
      aria-current={isHere || undefined}
      className={`border-t border-hair py-1 ${isHere ? 'bg-bracken-wash' : ''}`}
    >
      <span className="flex items-center justify-between text-xs text-slate">
        <span>
          {title} {titleKey && <Key>{titleKey}</Key>}
        </span>
        {mark}
      </span>
      <span className="flex flex-wrap gap-x-1">
        {options.map(({ value, says, letter }) => (
          <button
            key={value}
            type="button"
            disabled={disabled}
            aria-pressed={isOn(value)}
            className={`sign-option ${isOn(value) ? 'sign-on' : ''}`}
            onClick={() => onChoose(value)}
          >
            {(isHere || showLetters) && letter && <Key>{letter}</Key>} {says}
          </button>
        ))}
      </span>
    </div>
  );
}

/** One taken out of all it stands among, or put to them. */
export const toggled = <V,>(all: readonly V[], one: V): V[] =>
  all.includes(one) ? all.filter((other) => other !== one) : [...all, one];
