import { KIND_WORDS, PART_KINDS } from '@brackenfell/core/facts/part-kinds';
import type { ImportView } from '@brackenfell/contract/imports';
import { Choice } from '../controls/choice.tsx';
import { Key } from '../controls/key.tsx';
import { notTaken, rejectedSheet } from './import-words.ts';
import { ListMaker } from './list-maker.tsx';

const WAIT = 'wait';
const NEW_KINDS = [
  { value: WAIT, says: 'nothing yet: they wait' },
  ...PART_KINDS.map((value) => ({ value, says: KIND_WORDS[value][0].toLowerCase() })),
] as const;

interface ListAnswersProps {
  readonly view: ImportView;
  readonly mayChange: boolean;
  readonly onAnswer: (answer: Partial<Pick<ImportView, 'isComplete' | 'newKind' | 'ofMaker'>>) => void;
}

/** What a person says of a list as a whole: whether it is all there is, what its new numbers are, whose they are. */
export function ListAnswers({ view, mayChange, onAnswer }: ListAnswersProps) {
  const left = notTaken(view);
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-1 px-3 pb-2">
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="size-4"
          checked={view.isComplete}
          disabled={!mayChange}
          onChange={() => onAnswer({ isComplete: !view.isComplete })}
        />
        This list is everything they have
      </label>
      {mayChange && (
        <Choice
          label="Numbers that nobody has are"
          className="flex items-center gap-2 whitespace-nowrap"
          value={view.newKind ?? WAIT}
          options={NEW_KINDS}
          onChange={(kind) => onAnswer({ newKind: kind === WAIT ? null : kind })}
        />
      )}
      {mayChange && !view.columns.some(({ use }) => use === 'maker') && (
        <ListMaker view={view} onMaker={(ofMaker) => onAnswer({ ofMaker })} />
      )}
      {left > 0 && (
        <a className="underline" href={rejectedSheet(view)} download>
          {left} not taken, as CSV with reasons <Key>r</Key>
        </a>
      )}
    </div>
  );
}
