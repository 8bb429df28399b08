import { useState } from 'react';
import { DRILL_TOPICS, TOPICS, type DrillTopic } from '@brackenfell/core/drill/topics';
import { Key } from '../controls/key.tsx';
import { usePickList } from '../controls/pick-list.ts';
import { useKeys } from '../keys/keys.ts';
import { DrillCase, DRILL_LETTERS } from './drill-case.tsx';
import { Everybody } from './everybody.tsx';
import { TopicList } from './topic-list.tsx';
import { useDealing, useDrill } from './use-drill.ts';

/** Practice: cases from the shop's own catalogue and rules, against the clock, with the reason after each. */
export function DrillPage() {
  const { data, error } = useDrill();
  const { deal, answer, isBusy } = useDealing();
  const [picked, pick] = useState<number>();
  const shown = data?.shown ?? undefined;
  const isOpen = shown?.answer === null;
  const here = picked ?? DRILL_TOPICS.indexOf(shown?.topic ?? data?.byNeed[0] ?? DRILL_TOPICS[0]);
  const list = usePickList({ label: 'Topics', row: 'topic', count: DRILL_TOPICS.length, picked: here, pick });
  const topic = DRILL_TOPICS[list.here]!;
  const give = (choice: string | null) => {
    if (isOpen && !isBusy) answer({ caseId: shown.caseId, choice });
  };
  const next = (of: DrillTopic | undefined) => {
    if (isBusy) return;
    deal(of);
    if (of === undefined) pick(undefined);
  };
  /** What is asked is answered first; another topic leaves it. */
  const isAsked = isOpen && shown.topic === topic;
  useKeys('Drill', [
    { press: 'Enter', does: 'A case of the topic picked', run: () => (isAsked ? undefined : next(topic)) },
    { press: 'm', does: 'A case of what wants practice most', run: () => next(undefined) },
  ]);
  useKeys(
    'Answers',
    [
      ...(shown?.choices ?? []).map(({ id, says }, i) => ({
        press: DRILL_LETTERS[i]!,
        does: says,
        run: () => give(id),
      })),
      { press: 'n', does: 'Cannot tell', run: () => give(null) },
    ],
    { active: isOpen },
  );
  return (
    <>
      <aside className="desk-list" aria-label="What is practised">
        <div className="border-b border-line px-3 py-2">
          <h1 className="text-verdict font-semibold">Drill</h1>
          <p className="text-soft">Cases from this shop’s catalogue and rules. Nothing here touches a slip.</p>
        </div>
        {data && <TopicList topics={data.topics} list={list} />}
        <p className="flex flex-wrap gap-2 border-t border-line px-3 py-2">
          <button
            type="button"
            className="button-act"
            disabled={isBusy || !data || isAsked}
            onClick={() => next(topic)}
          >
            <Key>Enter</Key> {TOPICS[topic].title}
          </button>
          <button type="button" className="button-plain" disabled={isBusy || !data} onClick={() => next(undefined)}>
            <Key>m</Key> What I need most
          </button>
        </p>
      </aside>
      <main className="desk-main" aria-label="Drill">
        {!data && !error && <p className="p-4 text-soft">Fetching how practice stands …</p>}
        {!data && error && (
          <p role="alert" className="p-4 text-madder">
            {error.message}
          </p>
        )}
        {data &&
          (shown ? (
            <DrillCase shown={shown} isBusy={isBusy} onAnswer={give} onNext={() => next(topic)} />
          ) : (
            <FirstUse />
          ))}
        {/* While a case is asked the room is the case's. */}
        {data && data.people.length > 0 && !isOpen && <Everybody people={data.people} />}
      </main>
    </>
  );
}

function FirstUse() {
  return (
    <div className="grid max-w-2xl content-start gap-2 p-4">
      <h2 className="text-head font-semibold">Pick a topic</h2>
      <p>
        Each case is made of what this shop has and judged by the rules that judge at the counter. Answer by letter; why
        it is so stands below at once.
      </p>
      <p className="text-soft">
        Right in its time counts two points, right later one. A topic is known when the last twenty hold nine tenths of
        what they could. A case left for another counts nothing.
      </p>
    </div>
  );
}
