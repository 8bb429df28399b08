import { useCallback, useMemo } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { forgetSaid } from './said-shelf.ts';
import { useSaidUnsent } from './use-unsent.ts';
import { useSlip } from './use-slip.ts';
import { forgetCounter } from './last-address.ts';

/** What the counter is working on, read from the address and the slip: shared by all stages. */
export function useCounter() {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const slipId = search.get('slip') ?? undefined;
  const slip = useSlip(slipId);
  // What was said here stands at once, whether the server has it or not.
  const said = useSaidUnsent(slipId);
  const ofSlip = 'engineId' in said ? said.engineId : slip.data?.engineId;
  const engineId = ofSlip ?? search.get('engine') ?? undefined;
  // The address tells what was taken in hand last; the slip remembers it when the address says nothing.
  const inHand = search.get('inHand') ?? slip.data?.inHand?.partId ?? undefined;

  // What was only asked about joins the tray beside what is in hand, and never takes its place.
  const asked = search.get('asked') ?? undefined;

  const build = ('build' in said ? said.build : slip.data?.build) ?? search.get('build') ?? undefined;

  const known = { ...slip.data, ...said };
  const staying = ('staying' in known ? known.staying : search.get('staying')) ?? undefined;
  // A slip keeps its own duty; without one the address does.
  const duty = ('duty' in known ? known.duty : search.get('duty')) ?? '';

  /** Goes to a path keeping slip, engine, build, kind of part and part in hand, with the given changes; `null` takes one away. */
  const go = useCallback(
    (path: string, change: Record<string, string | null> = {}, options: { replace?: boolean } = {}) => {
      const next = new URLSearchParams();
      const now = new URLSearchParams(window.location.search);
      for (const name of ['slip', 'engine', 'inHand', 'asked', 'part', 'build', 'staying', 'duty']) {
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
  /** A clean desk for the next customer: nothing of the last one is left, in the address or behind it. */
  const clear = useCallback(() => {
    forgetSaid(null);
    forgetCounter();
    void navigate('/counter/engine');
  }, [navigate]);
  return useMemo(
    () => ({ slipId, slip, engineId, ofSlip, inHand, asked, build, staying, duty, search, go, clear }),
    [slipId, slip, engineId, ofSlip, inHand, asked, build, staying, duty, search, go, clear],
  );
}
