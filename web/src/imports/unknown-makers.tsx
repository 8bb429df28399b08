import { useMutation } from '@tanstack/react-query';
import { Mark } from '../controls/mark.tsx';
import { call } from '../wire/call.ts';

interface UnknownMakersProps {
  readonly makers: readonly string[];
  readonly isBusy: boolean;
  /** The list is sorted once more, now that they are known. */
  readonly onAdded: () => void;
}

/** Makers a list names and nobody here is called: added where the question stands, one by one. */
export function UnknownMakers({ makers, isBusy, onAdded }: UnknownMakersProps) {
  const add = useMutation({
    mutationFn: (name: string) => call('addMaker', { body: { name } }),
    onSuccess: onAdded,
  });
  if (makers.length === 0) return null;
  return (
    <section aria-label="Makers not known here" className="flex flex-wrap items-center gap-2 px-3 pb-2">
      <Mark kind="unknown" />
      Not known here as makers: is one misspelt, or new?
      {makers.map((name) => (
        <button
          key={name}
          type="button"
          className="button-quiet [overflow-wrap:anywhere]"
          disabled={isBusy || add.isPending}
          onClick={() => add.mutate(name)}
        >
          Add {name}
        </button>
      ))}
      {add.error && (
        <span role="alert" className="text-madder">
          {add.error.message}
        </span>
      )}
    </section>
  );
}
