import { SIGN_LINE_WORDS, type SignId, type SignLine } from '@brackenfell/core/old-parts/signs';
import { Mark } from '../controls/mark.tsx';
import { Toggles } from '../controls/toggles.tsx';
import { optionsOf, type PlugRead } from './sign-letters.ts';

interface SignLineRowProps {
  readonly line: SignLine;
  readonly read: PlugRead;
  /** The letters are this line's now. */
  readonly isHere: boolean;
  readonly disabled: boolean;
  readonly onAnswer: (sign: SignId | undefined) => void;
}

/** What stands for what is as it should be: no sign has that name. */
const USUAL = 'usual';

/** One line of a plug with its answers; not looked at until one is given. */
export function SignLineRow({ line, read, isHere, disabled, onAnswer }: SignLineRowProps) {
  const options = optionsOf(line);
  const isLooked = read.looked.includes(line);
  const hasSign = options.some(({ sign }) => sign !== undefined && read.signs.includes(sign));
  return (
    <Toggles<SignId | typeof USUAL>
      title={SIGN_LINE_WORDS[line]}
      options={options.map(({ sign, says, letter }) => ({ value: sign ?? USUAL, says, letter }))}
      isOn={(value) => (value === USUAL ? isLooked && !hasSign : read.signs.includes(value))}
      disabled={disabled}
      onChoose={(value) => onAnswer(value === USUAL ? undefined : value)}
      mark={!isLooked && <Mark kind="unknown" rem={0.75} label="Not looked at" />}
      isHere={isHere}
    />
  );
}
