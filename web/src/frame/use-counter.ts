import { useCallback, useMemo } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useSlip } from '../slip/use-slip.ts';

/** What the counter is working on, read from the address and the slip: shared by all stages. */
export function useCounter() {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const slipId = search.get('slip') ?? undefined;
  const slip = useSlip(slipId);
  const engineId = slip.data?.engineId ?? search.get('engine') ?? undefined;
  // The address tells what was taken in hand last; the slip remembers it when the address says nothing.
  const inHand = search.get('inHand') ?? slip.data?.inHand?.partId ?? undefined;

  const build = slip.data?.build ?? search.get('build') ?? undefined;

  const staying = (slip.data ? slip.data.staying : search.get('staying')) ?? undefined;
  // A slip keeps its own duty; without one the address does.
  const duty = slip.data ? slip.data.duty : (search.get('duty') ?? '');

  /** Goes to a path keeping slip, engine, build, kind of part and part in hand, with the given changes; `null` takes one away. */
  const go = useCallback(
    (path: string, change: Record<string, string | null> = {}, options: { replace?: boolean } = {}) => {
      const next = new URLSearchParams();
      const now = new URLSearchParams(window.location.search);
      for (const name of ['slip', 'engine', 'inHand', 'part', 'build', 'staying', 'duty']) {
        const value = name in change ? change[name] : now.get(name);
        if (value) next.set(name, value);
      }
      // Another engine has other builds.
      if ('engine' in change) for (const name of ['build', 'staying']) if (!(name in change)) next.delete(name);
      for (const [name, value] of Object.entries(change)) if (value) next.set(name, value);
      void navigate(`${path}?${next.toString()}`, { replace: options.replace ?? false });
    },
    [navigate],
  );
  return useMemo(
    () => ({ slipId, slip, engineId, inHand, build, staying, duty, search, go }),
    [slipId, slip, engineId, inHand, build, staying, duty, search, go],
  );
}
