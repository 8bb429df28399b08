import { useQuery } from '@tanstack/react-query';
import { counted } from '@brackenfell/core/words/counted';
import type { ImportView } from '@brackenfell/contract/imports';
import { WouldChange } from '../consequences/would-change.tsx';
import { call } from '../wire/call.ts';

/** What a sorted list would turn of the verdicts on what is on the shelf, before it is written. */
export function ShelfVerdicts({ view: { importId, version } }: { readonly view: ImportView }) {
  const found = useQuery({
    queryKey: ['imports', importId, 'consequences', version],
    queryFn: () => call('importConsequences', { params: { importId } }),
  });
  if (found.isPending) return <p className="px-3 pb-2 text-soft">Judging what is on the shelf as it would be …</p>;
  if (found.error)
    return (
      <p role="alert" className="px-3 pb-2 text-madder">
        {found.error.message}
      </p>
    );
  const { consequences, stocked, looked } = found.data;
  if (stocked === 0) return null;
  return (
    <section aria-label="On the shelf" className="mx-3 mb-2 grid gap-1 border border-line p-2">
      <h2 className="font-semibold">
        On the shelf
        <span className="font-normal text-soft">
          {' '}
          {counted(stocked, 'part')} with other figures
          {looked < stocked ? `; the ${looked} we have most of were looked at` : ''}
        </span>
      </h2>
      <WouldChange found={consequences} showParts />
    </section>
  );
}
