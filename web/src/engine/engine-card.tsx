import type { EngineCard as Card, RequirementLine } from '@brackenfell/contract/engine';
import type { SourceRank } from '@brackenfell/core/fitment/facts';
import { Mark } from '../controls/mark.tsx';

/** One letter a source; the card's foot says what each means. */
export const SOURCE_LETTERS: Record<SourceRank, readonly [string, string]> = {
  gauged: ['G', 'gauged here'],
  'engine-maker': ['M', 'engine maker'],
  'part-maker': ['K', 'part maker’s catalogue'],
  supplier: ['L', 'supplier’s list'],
  hearsay: ['h', 'hearsay'],
  'house-rule': ['R', 'house rule'],
};

const NOTE_WORDS = { access: 'Access', procedure: 'Procedure', fastener: 'Fastener', breaks: 'Breaks' } as const;

/** What the engine asks, line by line, with where each figure comes from. */
export function EngineCard({
  engine,
  need,
  showSources,
}: {
  engine: Card;
  /** What it asks of another part than plugs, where that is what is looked at. */
  need?: Card['needs'][number] | undefined;
  showSources: boolean;
}) {
  const { requirement, oeNumbers } = need ?? engine;
  const ranks = [...new Set(requirement.flatMap((line) => line.sources.map((s) => s.rank)))];
  const unknown = requirement.filter((line) => line.question !== null);
  return (
    <section aria-label="What the engine asks" tabIndex={0} className="px-3 pt-2 pb-3">
      <h2 className="flex items-baseline gap-2 text-head font-semibold">
        {engine.maker} <span className="num">{engine.code}</span>
      </h2>
      <p className="text-xs text-soft">{engine.summary}</p>
      <ul className="grid gap-1 pt-1.5">
        {engine.cautions.map((caution) => (
          <li key={caution} className="grid grid-cols-[0.75rem_1fr] gap-1.5 text-xs">
            <span className="pt-0.5">
              <Mark kind="caution" label="Caution" />
            </span>
            {caution}
          </li>
        ))}
        {unknown.map((line) => (
          <li key={`${line.label} ${line.at.join()}`} className="grid grid-cols-[0.75rem_1fr] gap-1.5 text-xs">
            <span className="pt-0.5">
              <Mark kind="unknown" label="Not known" />
            </span>
            <span>
              <b className="font-semibold">{line.label}</b>: {line.question}
            </span>
          </li>
        ))}
      </ul>
      <dl className="spec mt-2">
        {requirement.map((line, i) => (
          <Line
            key={`${line.label} ${line.at.join()}`}
            line={line}
            startsGroup={i > 0 && requirement[i - 1]!.group !== line.group}
            showSources={showSources}
          />
        ))}
        <div className="contents">
          <dt>Quantity</dt>
          <dd className="num">
            {need
              ? `${need.quantity} in all`
              : engine.positions.length === engine.cylinders
                ? `${engine.cylinders} × 1`
                : `${engine.positions.length} in ${engine.cylinders} cylinders`}
          </dd>
          <dd className="spec-source" />
        </div>
      </dl>
      <p className="flex flex-wrap gap-x-2 pt-1 text-xs text-slate">
        {ranks.map((rank) => (
          <span key={rank}>
            <span className="num font-semibold">{SOURCE_LETTERS[rank][0]}</span> {SOURCE_LETTERS[rank][1]}
          </span>
        ))}
      </p>
      <dl className="grid grid-cols-[2rem_1fr] pt-1.5 text-xs">
        <dt className="text-slate">OE</dt>
        <dd>
          {oeNumbers.map((oe) => (
            <div key={oe.partId} className={oe.note ? 'text-soft' : ''}>
              <span className="num">{oe.printed}</span> {oe.note}
            </div>
          ))}
        </dd>
      </dl>
      {engine.notes.length > 0 && (
        <dl className="grid grid-cols-[3.75rem_1fr] gap-y-0.5 mt-2 border-t border-hair pt-1.5 text-xs">
          {engine.notes.map((note) => (
            <div key={note.says} className="contents">
              <dt className="text-slate">{NOTE_WORDS[note.about]}</dt>
              <dd>
                {note.says} {note.torque && <span className="num">{note.torque}</span>}
              </dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  );
}

function Line({
  line,
  startsGroup,
  showSources,
}: {
  line: RequirementLine;
  startsGroup: boolean;
  showSources: boolean;
}) {
  const edge = startsGroup ? 'spec-group' : '';
  const letters = [...new Set(line.sources.map((s) => SOURCE_LETTERS[s.rank][0]))].join('');
  const names = line.sources.map((s) => s.name).join(', ');
  return (
    <div className="contents">
      <dt className={edge}>{line.label}</dt>
      <dd className={`${edge} ${line.isFigure ? 'num' : ''}`}>
        {line.value}
        {line.at.length > 0 && <span className="font-sans text-soft"> at {line.at.join(', ')}</span>}
        {showSources && names && <span className="block font-sans text-soft">{names}</span>}
      </dd>
      <dd className={`spec-source num ${edge}`} title={names}>
        {letters || '–'}
      </dd>
    </div>
  );
}
