import type { OpenMatter } from '@brackenfell/contract/open-matter';
import type { Slip } from '@brackenfell/contract/slip';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { MATTER_ACTS } from '../counter/use-open-matter.ts';

/** What is still open on a slip, each with the button that goes to its answer, and what the customer is told. */
interface OpenListProps {
  readonly slip: Slip;
  readonly onAnswer: (matter: OpenMatter) => void;
}

export function OpenList({ slip, onAnswer }: OpenListProps) {
  const open = slip.open.filter(({ kind }) => kind !== 'nothing-sold');
  const toTell = slip.lines.filter((line) => line.kind === 'sale' && line.verdict === 'sell-with-advice');
  if (open.length + toTell.length === 0) return null;
  const printedOf = (lineId: string | null) => slip.lines.find((line) => line.lineId === lineId)?.printed;
  return (
    <section className="border-b border-line px-3 py-2" aria-label="Still open">
      <h3 className="text-xs font-semibold text-slate">{open.length > 0 ? 'Still open' : 'To tell'}</h3>
      <ul>
        {open.map((matter, i) => (
          <li key={`${matter.lineId} ${matter.kind} ${matter.says}`} className="grid grid-cols-[1.125rem_1fr] pt-1">
            <span className="pt-0.5">
              <Mark
                kind={matter.kind === 'refused' || matter.kind === 'batch-held' ? 'refuse' : 'unknown'}
                label="Open"
              />
            </span>
            <span>
              <span className="num font-semibold">{printedOf(matter.lineId)}</span>: {matter.says}{' '}
              <button type="button" className="button-plain" onClick={() => onAnswer(matter)}>
                {MATTER_ACTS[matter.kind]} {i === 0 && <Key>.</Key>}
              </button>
            </span>
          </li>
        ))}
        {toTell.map((line) => (
          <li key={line.lineId} className="grid grid-cols-[1.125rem_1fr] pt-1">
            <span className="pt-0.5">
              <Mark kind="acceptable" label="To tell" />
            </span>
            <span>
              <span className="num font-semibold">{line.printed}</span>: tell the customer. {line.reason}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
