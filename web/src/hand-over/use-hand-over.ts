import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../controls/toast.ts';
import type { PaperView } from '@brackenfell/contract/hand-over';
import type { Slip } from '@brackenfell/contract/slip';
import { useAfterWrites } from '../counter/use-slip-write.ts';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';
import { UNTIL_BACK, whyNotHad } from '../wire/until-back.ts';
import { useTicked } from './use-ticks.ts';

/** What a fitter leaves with, as the slip stands. */
export function useHandOver(slip: Slip | undefined) {
  const { units } = useSettings();
  const asked = useQuery({
    queryKey: ['hand-over', slip?.slipId, slip?.engineId, slip?.version, units],
    queryFn: () => call('getHandOver', { params: { slipId: slip!.slipId }, query: { units } }),
    enabled: slip !== undefined && slip.engineId !== null,
    // The slip as it stood shows while it is asked anew; another customer's never, nor another engine's.
    placeholderData: (before, query) =>
      query?.queryKey[1] === slip?.slipId && query?.queryKey[2] === slip?.engineId ? before : undefined,
    staleTime: 0,
    ...UNTIL_BACK,
  });
  return { card: useTicked(asked.data), troubled: whyNotHad(asked) };
}

const papersOf = (slipId: string | undefined) => ['papers', slipId];

/** What was printed of it, and printing once more: each paper is kept as it was. */
export function usePapers(slipId: string | undefined) {
  const { units } = useSettings();
  const queries = useQueryClient();
  const papers = useQuery({
    queryKey: papersOf(slipId),
    queryFn: () => call('listPapers', { params: { slipId: slipId! } }),
    enabled: slipId !== undefined,
  });
  const afterWrites = useAfterWrites(slipId);
  const print = useMutation({
    mutationFn: ({ kind, size }: Pick<PaperView, 'kind' | 'size'>) =>
      afterWrites(() =>
        call('printPaper', {
          params: { slipId: slipId! },
          body: {
            kind,
            size,
            units: units === 'imperial' ? 'imperial' : 'both',
            origin: window.location.origin,
          },
        }),
      ),
    onSuccess: (paper) => {
      void queries.invalidateQueries({ queryKey: papersOf(slipId) });
      openPaper(paper.paperId);
    },
    onError: (error: Error) => toast.error(`${error.message} Nothing was printed.`),
  });
  return { papers: papers.data?.papers, troubled: papers.error?.message, print };
}

/** Opens a paper as it was printed. */
export const openPaper = (paperId: string): void => {
  window.open(`/api/papers/${paperId}`, '_blank', 'noopener');
};
