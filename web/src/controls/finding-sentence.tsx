import { listed, wordFor } from '@brackenfell/core/words/counted';
import type { FactUsed, TrayFinding } from '@brackenfell/contract/tray';
import { Mark, MARK_WORDS } from './mark.tsx';

/** What differs first, gravest before. */
export const GRAVITY = ['refuse', 'unknown', 'caution', 'acceptable', 'match', 'not-asked'] as const;

interface FindingSentenceProps {
  readonly finding: Omit<TrayFinding, 'missing'> & { readonly title: string };
  readonly sources: readonly FactUsed[];
}

/** What a check found, in its own sentence, with what to do and where its figures come from. */
export function FindingSentence({ finding, sources }: FindingSentenceProps) {
  const { told, outcome, onlyAt, relief } = finding;
  return (
    <article className="why-item">
      <h3>
        <Mark kind={outcome} label={MARK_WORDS[outcome]} />
        <b>{finding.title}</b>
        {told.asked !== '' && (
          <span className="text-soft">
            asked <span className="num">{told.asked}</span>, has <span className="num">{told.has}</span>
          </span>
        )}
        {told.difference && (
          <b className={`num ml-auto whitespace-nowrap ${outcome === 'refuse' ? 'text-madder' : ''}`}>
            {told.difference}
          </b>
        )}
      </h3>
      <p>
        {onlyAt.length > 0 && (
          <b className="font-semibold">
            {wordFor(onlyAt.length, 'Cylinder')} {listed(onlyAt)} only.{' '}
          </b>
        )}
        {told.says} {told.toDo && <span className="text-slate">{told.toDo}</span>}
        {relief === 'listed-not-measured' && <span className="text-slate"> Does not count against it.</span>}
      </p>
      {sources.length > 0 && (
        <ul className="text-soft">
          {sources.map((use) => (
            <li key={`${use.fact} ${use.source.name}`}>
              {use.fact}: {use.source.name}
              {use.questions ? ' (raises a question only)' : ''}
            </li>
          ))}
        </ul>
      )}
    </article>
  );
}
