import type { DrillCaseView } from '@brackenfell/contract/drill';
import { Mark, MARK_WORDS } from '../controls/mark.tsx';

/** What is held against what; once it is answered, what each amounts to. */
export function CaseRows({ shown: { rows, answer } }: { shown: DrillCaseView }) {
  return (
    <table className="w-full table-fixed">
      <colgroup>
        <col className="w-36" />
        <col className="w-1/4" />
        <col className="w-1/4" />
        <col />
      </colgroup>
      <thead className="text-left text-soft">
        <tr>
          <th scope="col" className="px-4 font-normal">
            Check
          </th>
          <th scope="col" className="font-normal">
            Asked
          </th>
          <th scope="col" className="font-normal">
            Offered
          </th>
          <th scope="col" className="font-normal">
            {answer && 'What it comes to'}
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ title, asked, has }, i) => {
          const told = answer?.rows[i];
          return (
            <tr key={title} className="border-t border-hair align-top">
              <th scope="row" className="px-4 py-0.5 text-left font-semibold">
                {title}
              </th>
              <td className="num py-0.5 pr-3">{asked}</td>
              <td className="num py-0.5 pr-3">{has}</td>
              <td className="py-0.5 pr-3">
                {told && (
                  <>
                    <Mark kind={told.outcome} rem={0.75} /> <RowTold {...told} />
                  </>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** A match says no more than that; what is not known says so itself. */
function RowTold({ outcome, says }: NonNullable<DrillCaseView['answer']>['rows'][number]) {
  if (outcome === 'match') return <span className="text-soft">match</span>;
  return outcome === 'unknown' ? says : `${MARK_WORDS[outcome]}: ${says}`;
}
