import { useQuery } from '@tanstack/react-query';
import type { ImportView } from '@brackenfell/contract/imports';
import { Choice } from '../controls/choice.tsx';
import { Trouble } from '../controls/trouble.tsx';
import { call } from '../wire/call.ts';

const NOBODY = '';

/** A maker's own list names its maker in no column: it is said here, and remembered with the columns. */
export function ListMaker({
  view,
  onMaker,
}: {
  readonly view: ImportView;
  readonly onMaker: (maker: string | null) => void;
}) {
  const makers = useQuery({ queryKey: ['makers'], queryFn: () => call('listMakers', {}) });
  if (!makers.data) return <Trouble error={makers.error} />;
  return (
    <Choice
      label="Its numbers are of"
      className="flex items-center gap-2 whitespace-nowrap"
      value={view.ofMaker ?? NOBODY}
      options={[
        { value: NOBODY, says: 'no one maker' },
        ...makers.data.makers.map(({ makerId, name }) => ({ value: makerId, says: name })),
      ]}
      onChange={(maker) => onMaker(maker === NOBODY ? null : maker)}
    />
  );
}
