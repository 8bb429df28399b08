import type { DrillView } from '@brackenfell/contract/drill';
import { DRILL_TOPICS, TOPICS } from '@brackenfell/core/drill/topics';

/** How each of the staff stands: for who teaches them. */
export function Everybody({ people }: { readonly people: DrillView['people'] }) {
  return (
    <section
      className="mt-auto max-h-48 min-h-12 shrink-[4] overflow-auto border-t border-line"
      tabIndex={0}
      aria-label="How everybody stands"
    >
      <table className="w-full">
        <thead className="text-left text-soft">
          <tr>
            <th scope="col" className="px-4 font-normal">
              Right, of the last answers
            </th>
            {DRILL_TOPICS.map((topic) => (
              <th key={topic} scope="col" className="pr-2 font-normal">
                {TOPICS[topic].title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {people.map(({ name, topics }) => (
            <tr key={name} className="border-t border-hair">
              <th scope="row" className="px-4 py-0.5 text-left font-semibold">
                {name}
              </th>
              {topics.map(({ topic, right, of }) => (
                <td key={topic} className="num py-0.5">
                  {of === 0 ? '–' : `${right} of ${of}`}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
