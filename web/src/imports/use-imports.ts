import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import type { ImportState, ImportView } from '@brackenfell/contract/imports';
import type { Heap } from '@brackenfell/core/imports/sort-row';
import { call } from '../wire/call.ts';

const WORKED: readonly ImportState[] = ['reading', 'sorting', 'writing', 'taking-back'];
export const isWorked = (state: ImportState): boolean => WORKED.includes(state);

/** Lists taken in; how far they have come is told on the live line. */
export const useImports = () => useQuery({ queryKey: ['imports'], queryFn: () => call('listImports', {}) });

/** One import. What was written or taken back changes trays and parts: all are asked anew. */
export function useImport(importId: string | undefined) {
  const queries = useQueryClient();
  const view = useQuery({
    queryKey: ['imports', importId],
    queryFn: () => call('getImport', { params: { importId: importId! } }),
    enabled: importId !== undefined,
  });
  const state = view.data?.state;
  const before = useRef(state);
  useEffect(() => {
    if (before.current && isWorked(before.current) && state && !isWorked(state)) void queries.invalidateQueries();
    before.current = state;
  }, [state, queries]);
  return view;
}

/** The rows of an import as they stand, a page at a time. */
export function useImportRows({ importId, version }: ImportView, heap: Heap | undefined) {
  return useInfiniteQuery({
    queryKey: ['imports', importId, 'rows', version, heap],
    queryFn: ({ pageParam }) =>
      call('getImportRows', { params: { importId }, query: { after: pageParam, ...(heap ? { heap } : {}) } }),
    initialPageParam: 0,
    getNextPageParam: ({ rows, hasMore }) => (hasMore ? (rows.at(-1)?.line ?? 0) + 1 : undefined),
    placeholderData: (previous) => previous,
  });
}

export function useImportWrite() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (work: () => Promise<ImportView>) => work(),
    onSuccess: (view) => queries.setQueryData(['imports', view.importId], view),
    onSettled: () => queries.invalidateQueries({ queryKey: ['imports'] }),
  });
}
