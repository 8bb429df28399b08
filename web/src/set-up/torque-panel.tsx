import { Link } from 'react-router';
import type { Say } from '@brackenfell/core/fitment/say';
import { sayTorqueQuestions } from '@brackenfell/core/set-up/figures';
import { sayTurn } from '@brackenfell/core/torque/settle-turn';
import type { TorqueDesk } from '@brackenfell/core/torque/torque-desk';
import type { HeadMetal, TorqueRange } from '@brackenfell/core/quantities/general-torques';
import { Mark } from '../controls/mark.tsx';
import { TorqueBands } from './torque-bands.tsx';

const WHOSE = {
  both: 'What engine maker and plug maker have in common.',
  'engine-maker': 'The engine maker’s own; the plug maker’s is not known.',
  'plug-maker': 'The plug maker’s own; the engine maker’s is not known.',
  'general-table': 'General table, dry thread and new gasket: neither maker gives one.',
} as const;
const SETTLED = {
  newer: 'Of its own sheets the newer counts.',
  overlap: 'Of its own sheets what they share counts.',
  lower: 'Of its own sheets, which share nothing, the lower counts.',
} as const;

/** How far the plug is tightened here in words: torque or turn, for what thread, by whom, and what is odd about it. */
export function torqueWords(desk: TorqueDesk, say: Say, withThreads = true): readonly string[] {
  const { answer, compound, compoundShare, headMetal } = desk;
  const words: string[] = [];
  if (answer) {
    words.push(
      answer.conflict
        ? 'The makers’ ranges share nothing: the half of the engine maker’s that is nearer the plug maker’s.'
        : WHOSE[answer.from],
    );
    const settledBy = answer.ofEngine?.settledBy ?? answer.ofPlug?.settledBy;
    if (settledBy) words.push(SETTLED[settledBy]);
    if (answer.from === 'general-table' && headMetal === undefined)
      words.push('The head’s metal is not known: both columns stand, the lower is used.');
    if (!withThreads) return withTurn(words, desk);
    if (compound === 'dry')
      words.push(desk.onShank ? 'Threads dry; a trace of compound on the shank only.' : 'Threads dry.');
    else if (compoundShare === 1)
      words.push(
        answer.condition === 'with-compound'
          ? 'The sheet means it with compound: not cut.'
          : 'Its sheet does not say dry or with compound: not cut.',
      );
    else
      words.push(
        `With compound on the thread ${say.quantity('plug-torque', answer.aimNm * compoundShare)}, the same clamp at a third less${compound === 'by-thread' ? '; dry where it is plated' : ''}.`,
      );
  }
  return withTurn(words, desk);
}

function withTurn(words: readonly string[], { turn, method }: TorqueDesk): readonly string[] {
  if (!turn) return words;
  const governs = turn.governs.map(sayTurn).join(', ');
  const beside = turn.beside.length > 0 ? [`The engine maker says ${turn.beside.map(sayTurn).join(', ')}.`] : [];
  return [...words, method === 'wrench' ? `Without a wrench: ${governs}.` : `${governs}.`, ...beside];
}

/** Where the same torque stands by itself, to hold a wrench against. */
function torqueAddress({ lowNm, highNm }: TorqueRange, metal: HeadMetal | undefined): string {
  const engine = lowNm === highNm ? `${lowNm} Nm` : `${lowNm}-${highNm} Nm`;
  const search = new URLSearchParams({ engine, ...(metal ? { metal } : {}) });
  return `/sums/torque?${search.toString()}`;
}

interface TorquePanelProps {
  readonly desk: TorqueDesk;
  /** Of the places it holds for, where others differ. */
  readonly at: string | undefined;
  readonly say: Say;
  /** Whether the shop's rule on threads is told; a sum asks what is on them. */
  readonly withThreads?: boolean;
}

/** Sources of a torque as bands, the answer, and what is asked about them. */
export function TorquePanel({ desk, at, say, withThreads = true }: TorquePanelProps) {
  const { answer, method, compoundShare, compound } = desk;
  const share = compound === 'compound' ? compoundShare : 1;
  const questions = sayTorqueQuestions(desk);
  const byTurn = method !== 'wrench' || !answer;
  return (
    <section aria-label={at ? `Torque at ${at}` : 'Torque'} className="set-up-panel">
      <h2 className="flex flex-wrap items-baseline gap-x-2">
        <b className="text-lead font-semibold">Torque{at && ` at ${at}`}</b>
        {byTurn ? (
          <span className="font-semibold">
            {method === 'no-wrench-reaches' ? 'no wrench reaches: by turn' : answer ? 'by turn, house rule' : 'by turn'}
          </span>
        ) : (
          <span>
            aim <b className="num font-semibold">{say.quantity('plug-torque', answer.aimNm * share)}</b>, in{' '}
            <span className="num">
              {say.span('plug-torque', { low: answer.lowNm * share, high: answer.highNm * share })}
            </span>
          </span>
        )}
      </h2>
      {desk.sources.length > 0 && <TorqueBands desk={desk} say={say} />}
      <p>{torqueWords(desk, say, withThreads).join(' ')}</p>
      {questions.map((question) => (
        <p key={question} className="flex items-start gap-1.5">
          <span className="pt-0.5">
            <Mark kind="unknown" label="To ask" />
          </span>
          {question}
        </p>
      ))}
      {answer && withThreads && (
        <Link className="justify-self-start underline" to={torqueAddress(answer, desk.headMetal)}>
          Check a wrench, or a slip, as a sum
        </Link>
      )}
      <p className="text-xs text-soft">
        By hand to the seat, square to the hole; one smooth pull, one click. Too much stretches the shell and cracks the
        insulator; too little leaks and overheats.
      </p>
    </section>
  );
}
