import type { EngineCard as Card, RequirementLine } from '@brackenfell/contract/engine';
import { splitByPlace, type ByPlace } from './by-place.ts';
import type { SourceRank } from '@brackenfell/core/facts/facts';
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

const NOTE_WORDS = {
  access: 'Access',
  procedure: 'Procedure',
  fastener: 'Fastener',
  breaks: 'Breaks',
  bared: 'Bare then',
} as const;

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
  const { everywhere, byPlace } = splitByPlace(requirement);
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
        {everywhere.map((line, i) => (
          <Line
            key={line.label}
            line={line}
            startsGroup={i > 0 && everywhere[i - 1]!.group !== line.group}
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
      {byPlace && <PlaceTable byPlace={byPlace} showSources={showSources} />}
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

function Rows({ rows }: { readonly rows: NonNullable<RequirementLine['rows']> }) {
  return (
    <table className="w-full">
      <tbody>
        {rows.map((row) => (
          <tr key={row.of}>
            <th scope="row" className="pr-1 text-left font-normal whitespace-nowrap text-soft">
              {row.of}
            </th>
            <td className="text-right whitespace-nowrap">{row.value}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What differs from place to place: a column a group of places, so that nothing has to be read out of a sentence. */
function PlaceTable({ byPlace, showSources }: { readonly byPlace: ByPlace; readonly showSources: boolean }) {
  return (
    <div className="mt-2 overflow-x-auto border-t border-line pt-1" tabIndex={0} role="region" aria-label="By place">
      <table className="w-full text-xs">
        <thead>
          <tr className="text-left align-bottom text-slate">
            <th scope="col" className="font-normal">
              By place
            </th>
            {byPlace.places.map((place) => (
              <th key={place} scope="col" className="px-1 font-semibold">
                {place}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {byPlace.rows.map(({ label, values }) => (
            <tr key={label} className="border-t border-hair align-baseline">
              <th scope="row" className="pr-1 text-left font-normal text-slate">
                {label}
              </th>
              {values.map((line, i) => (
                <td
                  key={byPlace.places[i]}
                  className={`px-1 ${line?.isFigure ? 'num' : ''}`}
                  title={line?.sources.map(({ name }) => name).join(', ')}
                >
                  {line?.rows ? <Rows rows={line.rows} /> : (line?.value ?? '–')}
                  {showSources && <span className="block font-sans text-soft">{line?.sources[0]?.name}</span>}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
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
        {line.rows ? <Rows rows={line.rows} /> : line.value}
        {showSources && names && <span className="block font-sans text-soft">{names}</span>}
      </dd>
      <dd className={`spec-source num ${edge}`} title={names}>
        {letters || '–'}
      </dd>
    </div>
  );
}
