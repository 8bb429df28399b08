import { useQuery } from '@tanstack/react-query';
import type { Slip } from '@brackenfell/contract/slip';
import { openTray } from '@brackenfell/contract/open-tray';
import { MOST_EXPLAINED } from '@brackenfell/contract/tray-limits';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';
import { useServerAway } from '../wire/server-presence.ts';
import { UNTIL_BACK } from '../wire/until-back.ts';

interface TrayAsked {
  readonly kind?: PartKind;
  readonly inHand?: string | undefined;
  readonly most?: number;
  /** The engine's build, by its label. */
  readonly build?: string | undefined;
  /** What the engine is used for, as an address has it. */
  readonly duty?: string;
  /** Revision of the coils that stay. */
  readonly staying?: string | undefined;
  /** The cap or rotor that is on the slip. */
  readonly beside?: string | undefined;
  /** The slip, where something of its pieces or vehicle was read. */
  readonly slip?: Slip | undefined;
}

/** The judged tray of an engine. Moving through it asks nothing of the server: every row comes with all its reasons. */
export function useTray(
  engineId: string | undefined,
  { kind = 'plug', inHand, most = MOST_EXPLAINED, build, duty, staying, beside, slip }: TrayAsked,
) {
  const { units } = useSettings();
  const query = {
    units,
    kind,
    most,
    ...(inHand ? { inHand } : {}),
    ...(build ? { build } : {}),
    ...(duty ? { duty } : {}),
    ...(staying ? { staying } : {}),
    ...(beside ? { beside } : {}),
    ...(slip && slip.readings.length > 0 ? { slip: slip.slipId } : {}),
  };
  const readings = (slip?.readings ?? []).map(({ readingId }) => readingId).join();
  const judgedBy = [build, duty, staying, beside].join(' ');
  const isAway = useServerAway();
  const answer = useQuery({
    // A reading more judges anew.
    queryKey: ['tray', engineId, judgedBy, query, readings],
    queryFn: () => call('getTray', { params: { engineId: engineId! }, query }),
    select: openTray,
    enabled: engineId !== undefined,
    staleTime: 30_000,
    ...UNTIL_BACK,
    // What was judged otherwise stands for a moment, and not while it cannot be judged anew.
    placeholderData: (previous, before) =>
      previous?.engineId === engineId && previous?.kind === kind && (!isAway || before?.queryKey[2] === judgedBy)
        ? previous
        : undefined,
  });
  /** What it is the answer to; undefined while an answer from before still stands in its place. */
  const isAwaited = answer.isPlaceholderData || (answer.isFetching && !answer.isFetchedAfterMount);
  const asked = isAwaited ? undefined : JSON.stringify([query, readings]);
  return { ...answer, asked };
}
