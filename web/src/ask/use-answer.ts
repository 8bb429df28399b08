import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { AlikeAnswer, AskAnswer } from '@brackenfell/contract/ask';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { call } from '../wire/call.ts';

/** Suggestions follow the typing; the full search waits until the typing rests. */
const PAUSE_MS = 40;
const REST_MS = 180;

function useSettled(text: string, pauseMs: number): string {
  const [settled, settle] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => settle(text), pauseMs);
    return () => {
      clearTimeout(timer);
    };
  }, [text, pauseMs]);
  return settled;
}

/**
 * What answers to a question: quick suggestions at once, then everything, then, where nothing is near, what is merely alike.
 * `data` may still be of fewer letters; `quick` and `full` are of this very question or left out. With `isWhole` nothing
 * more comes.
 */
export function useAnswer(text: string, engine: string | undefined, units: UnitDisplay) {
  const typed = useSettled(text, PAUSE_MS);
  const rested = useSettled(text, REST_MS);
  const onSlip = engine ? { engine } : {};
  const query = (q: string, quick: 'yes' | 'no') => ({
    queryKey: ['ask', q, quick, engine, units],
    queryFn: ({ signal }: { signal: AbortSignal }) =>
      call('ask', { query: { q, quick, units, ...onSlip } }, { signal }),
    enabled: q !== '',
  });
  const suggested = useQuery({ ...query(typed, 'yes'), placeholderData: keepPreviousData });
  const everything = useQuery(query(rested, 'no'));
  const answered = rested === text ? everything.data : undefined;
  const alike = useQuery({
    queryKey: ['ask', rested, 'alike', engine],
    queryFn: ({ signal }) => call('askAlike', { query: { q: rested, ...onSlip } }, { signal }),
    enabled: answered?.hasAlike === true,
  });
  const full = answered && withAlike(answered, answered.hasAlike ? alike.data : undefined);
  const quick = typed === text && !suggested.isPlaceholderData ? suggested.data : undefined;
  return {
    data: text === '' ? undefined : (full ?? suggested.data),
    quick,
    full,
    isWhole: answered !== undefined && (!answered.hasAlike || !alike.isPending),
    error: everything.error ?? suggested.error ?? alike.error,
  };
}

/** What is merely alike follows what is surer, each part once. */
function withAlike(answered: AskAnswer, alike: AlikeAnswer | undefined): AskAnswer {
  if (!alike) return answered;
  const surer = new Set(answered.parts.map(({ partId }) => partId));
  return { ...answered, parts: [...answered.parts, ...alike.parts.filter(({ partId }) => !surer.has(partId))] };
}
