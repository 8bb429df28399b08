import type { OpenRow } from '@brackenfell/contract/open-tray';
import { GRADE_MEANS } from '../interchange/grade-words.ts';

/** The chain of references that led to the picked row, left to right with its grades. */
export function TrailLine({ row, showSources }: { row: OpenRow; showSources: boolean }) {
  const { trail, listed } = row.evidence;
  return (
    <div className="trail" role="group" aria-label="Trail" tabIndex={0}>
      <b className="text-xs font-semibold text-slate">Trail</b>
      {trail ? (
        <>
          <span className="num">{trail.from}</span>
          {trail.steps.map((step) => (
            <span key={`${step.to} ${step.grade}`} className="flex items-center">
              <span
                className={`hop ${step.contradicts ? 'hop-wrong' : step.grade === 'alternative' || step.grade === 'observed' ? 'hop-weak' : ''}`}
                title={`${GRADE_MEANS[step.grade]}; ${step.source}, ${step.notedOn}${step.note ? `; ${step.note}` : ''}`}
              >
                {step.grade}
                {step.contradicts && <small className="text-madder"> {step.contradicts}</small>}
                {showSources && <small className="text-soft"> {step.source}</small>}
              </span>
              <span className="num">{step.to}</span>
            </span>
          ))}
        </>
      ) : (
        <span className="text-soft">
          {row.evidence.named ? 'The engine maker’s own number.' : 'No reference leads here; found by its dimensions.'}
        </span>
      )}
      {listed && <span className="ml-3 text-slate">Listed: {listed}</span>}
    </div>
  );
}
