import { Choice } from '../controls/choice.tsx';
import { chosen } from './spark-inputs.ts';

interface SumChoiceProps<V extends string> {
  readonly name: string;
  readonly label: string;
  readonly options: readonly { readonly value: V; readonly says: string }[];
  /** What is typed so far, and how more of it is. */
  readonly typed: URLSearchParams;
  readonly onChoose: (name: string, value: V) => void;
  /** Beside its label, as a figure stands; below it, where its words are long. */
  readonly isBeside?: boolean;
}

/** One choice of a sum, carried by the address like its figures. */
export function SumChoice<V extends string>({
  name,
  label,
  options,
  typed,
  onChoose,
  isBeside = false,
}: SumChoiceProps<V>) {
  return (
    <Choice
      label={label}
      labelClass=""
      value={chosen(typed, name, options)}
      options={options}
      onChange={(value) => onChoose(name, value)}
      className={isBeside ? 'grid grid-cols-[1fr_8.5rem] items-center gap-2' : 'grid gap-0.5'}
    />
  );
}
