import type { DrillTopicView } from '@brackenfell/contract/drill';
import { STANDING_WORDS } from '@brackenfell/core/drill/progress';
import { TOPICS } from '@brackenfell/core/drill/topics';
import { Mark } from '../controls/mark.tsx';
import type { usePickList } from '../controls/pick-list.ts';

const STANDING_MARKS = { 'not-begun': 'not-asked', few: 'unknown', practise: 'acceptable', known: 'match' } as const;
const POINT_MARKS = ['refuse', 'acceptable', 'match'] as const;

interface TopicListProps {
  readonly topics: readonly DrillTopicView[];
  readonly list: ReturnType<typeof usePickList>;
}

/** The topics, each with how it stands by its last answers. */
export function TopicList({ topics, list }: TopicListProps) {
  return (
    <ol {...list.listProps} className="min-h-0 flex-1 overflow-auto">
      {topics.map((topic, i) => (
        <li
          key={topic.topic}
          {...list.rowProps(i)}
          className={`cursor-pointer border-b border-hair px-3 py-1.5 ${i === list.here ? 'bg-bracken-wash outline-2 -outline-offset-2 outline-bracken' : ''}`}
        >
          <span className="flex items-baseline gap-2">
            <Mark kind={STANDING_MARKS[topic.standing]} rem={0.75} />
            <b className="font-semibold">{TOPICS[topic.topic].title}</b>
            <span className="ml-auto text-soft">{STANDING_WORDS[topic.standing]}</span>
          </span>
          <span className="block text-soft">{TOPICS[topic.topic].about}</span>
          {topic.of > 0 && <Course topic={topic} />}
        </li>
      ))}
    </ol>
  );
}

/** The last answers, the latest at the right: right in time, right later, or not. */
function Course({ topic: { of, right, typicalSeconds, course } }: { topic: DrillTopicView }) {
  return (
    <span className="flex flex-wrap items-center gap-x-2">
      <span className="flex gap-px" aria-hidden="true">
        {course.map((points, i) => (
          <Mark key={i} kind={POINT_MARKS[points]!} rem={0.625} />
        ))}
      </span>
      <span className="num text-soft">
        {right} of {of} right{typicalSeconds !== null && `, ${Math.round(typicalSeconds)} s`}
      </span>
    </span>
  );
}
