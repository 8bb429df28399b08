import { useState } from 'react';
import { closedOff, PHASE_WORDS, WORK_PHASES } from '@brackenfell/core/fitting-plan/steps';
import { Mark } from '../controls/mark.tsx';
import { useKeys } from '../keys/keys.ts';
import type { TickedLine } from './lay-ticks.ts';
import { useTick } from './use-ticks.ts';

interface WorkListProps {
  readonly slipId: string;
  readonly line: TickedLine;
  /** The keys are the first one’s; of another plug only what is otherwise stands here. */
  readonly isFirst: boolean;
}

/** The order of work with a box to each step: ticked here or on paper, the same steps in the same order. */
export function WorkList({ slipId, line, isFirst }: WorkListProps) {
  const { lineId, steps, done } = line;
  const write = useTick(slipId);
  const tick = (stepId: string) => write(lineId, stepId, !done.has(stepId));
  const [at, pick] = useState(0);
  const picked = Math.min(at, steps.length - 1);
  const move = (by: number) => pick(Math.max(0, Math.min(steps.length - 1, picked + by)));
  const tickPicked = () => {
    const step = steps[picked];
    if (!step) return;
    tick(step.id);
    if (!done.has(step.id)) move(1);
  };
  useKeys(
    'Order of work',
    [
      { press: 'j', does: 'Next step', run: () => move(1), takeBack: () => move(-1) },
      { press: 'k', does: 'Step before', run: () => move(-1), takeBack: () => move(1) },
      { press: 'ArrowDown', printed: '↓', does: 'Next step', run: () => move(1) },
      { press: 'ArrowUp', printed: '↑', does: 'Step before', run: () => move(-1) },
      { press: 'Space', does: 'Tick the step, or take its tick back', run: tickPicked },
    ],
    { active: isFirst },
  );
  const closed = closedOff(steps, (id) => done.has(id));
  return (
    <>
      {!isFirst && (
        <h2 className="px-3 pt-3 text-lead font-semibold">
          Otherwise for <span className="num">{line.printed}</span>
        </h2>
      )}
      {WORK_PHASES.map((phase) => {
        const own = steps.filter((step) => step.phase === phase);
        return own.length === 0 ? null : (
          <section key={phase} aria-label={PHASE_WORDS[phase]} className="set-up-panel">
            <h2 className="text-lead font-semibold">{PHASE_WORDS[phase]}</h2>
            <ol>
              {own.map(({ id, says, caution, isQuestion, rule }) => (
                <li
                  key={id}
                  className={`grid grid-cols-[1.5rem_1.25rem_1fr] border-t border-hair py-0.5 ${isFirst && steps[picked]?.id === id ? 'bg-bracken-wash' : ''}`}
                  aria-current={isFirst && steps[picked]?.id === id ? 'step' : undefined}
                >
                  <input
                    type="checkbox"
                    className="size-4"
                    aria-label={`Done: ${says}`}
                    checked={done.has(id)}
                    onChange={() => tick(id)}
                    onFocus={() => pick(steps.findIndex((step) => step.id === id))}
                  />
                  <span className="pt-0.5">
                    {(isQuestion || caution) && (
                      <Mark kind={isQuestion ? 'unknown' : 'caution'} label={isQuestion ? 'To ask' : 'Caution'} />
                    )}
                  </span>
                  <span>
                    {says}
                    {rule && (
                      <span className="block text-xs text-soft">
                        House rule {rule.title.toLowerCase()}: {rule.choice.toLowerCase()}.
                      </span>
                    )}
                    {done.has(id) && (
                      <span className="block text-xs text-soft">{done.get(id) ?? 'kept here, not sent yet'}</span>
                    )}
                  </span>
                </li>
              ))}
            </ol>
          </section>
        );
      })}
      {closed.of > 0 && (
        <p role="status" className="flex items-center gap-2 px-3 py-2">
          <Mark kind={closed.done === closed.of ? 'match' : 'unknown'} />
          {closed.done === closed.of
            ? 'Closed off: everything is back and was looked at.'
            : `Not closed off: ${closed.done} of ${closed.of} ticked.`}
        </p>
      )}
    </>
  );
}
