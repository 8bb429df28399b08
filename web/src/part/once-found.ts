import { useIsFetching } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { NUMBERS } from './number-field.tsx';

/** Nothing waits longer than this for a number that is looked up: nobody expects it to be sent any more. */
const DUE_MS = 30_000;

/**
 * For what is told to be sent while a number is still looked up: it is due, and whoever asked sends it once that is found. A change
 * of anything before ends it.
 */
export function useOnceFound() {
  const isLooking = useIsFetching({ queryKey: NUMBERS }) > 0;
  const [isDue, setDue] = useState(false);
  useEffect(() => {
    if (!isDue) return undefined;
    const over = setTimeout(() => setDue(false), DUE_MS);
    return () => clearTimeout(over);
  }, [isDue]);
  return { isLooking, isDue, wait: () => setDue(isLooking), end: () => setDue(false) };
}
