import { useQuery } from '@tanstack/react-query';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { Mark, VERDICT_MARK } from '../controls/mark.tsx';
import { useCounter } from '../counter/use-counter.ts';
import { call } from '../wire/call.ts';

/** Engines that references, names or listings lead to from a part: which it suits and for which it is refused. */
export function JudgedEngines({ partId }: { partId: string }) {
  const { go } = useCounter();
  const judged = useQuery({
    queryKey: ['part-engines', partId],
    queryFn: () => call('getPartEngines', { params: { partId } }),
  });
  return (
    <section aria-label="Judged for">
      <h2 className="pt-3 pb-1 font-semibold text-slate">
        {judged.data?.engines.every(({ verdict }) => verdict === 'refuse') ? 'Refused for' : 'Judged for these engines'}
      </h2>
      {judged.isPending && <p className="text-soft">Judging …</p>}
      {judged.error && <p className="text-madder">{judged.error.message}</p>}
      <ul className="max-w-xl">
        {judged.data?.engines.map((engine) => (
          <li key={engine.engineId} className="flex items-baseline gap-2 border-t border-hair py-0.5">
            <Mark kind={VERDICT_MARK[engine.verdict]} />
            <b className="w-36 flex-none font-semibold">{VERDICT_WORDS[engine.verdict]}</b>
            <button
              type="button"
              className="min-h-6 whitespace-nowrap underline decoration-line"
              onClick={() => go(`/engines/${engine.engineId}`)}
            >
              {engine.title}
            </button>
            <span className="truncate text-soft">{engine.reason}</span>
          </li>
        ))}
      </ul>
      {judged.data?.engines.length === 0 && (
        <p className="text-soft">No reference, name or listing leads to an engine.</p>
      )}
      {judged.data && judged.data.more > 0 && <p className="text-soft">and {judged.data.more} more engines</p>}
    </section>
  );
}
