import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { emptyOf } from '@brackenfell/core/record/form-node';
import type { CatalogueRecord, RecordKind, RecordLine } from '@brackenfell/contract/record';
import { call } from '../wire/call.ts';

export interface RecordAt {
  readonly kind: RecordKind;
  readonly key: string;
}

const keyOf = ({ kind, key }: RecordAt) => ['record', kind, key] as const;

export const useRecord = (at: RecordAt) =>
  useQuery({ queryKey: keyOf(at), queryFn: () => call('getRecord', { params: { ...at } }) });

export const useRecordForm = (kind: RecordKind) =>
  useQuery({
    queryKey: ['record-form', kind],
    queryFn: () => call('getRecordForm', { params: { kind } }),
    staleTime: Infinity,
  });

/** A record that begins from nothing, or as another stands. */
export function newLine({ kind, key }: RecordAt, form: Parameters<typeof emptyOf>[0], like?: RecordLine): RecordLine {
  const empty = emptyOf(form) as RecordLine;
  if (kind === 'engine') return { ...(like ?? { ...empty, visits: 0 }), line: 'engine', id: key } as RecordLine;
  if (kind === 'heat-scale') return { ...empty, maker: key } as RecordLine;
  return {
    line: 'numbering',
    grammar: { ...(empty as { grammar: object }).grammar, maker: key, significant: '' },
  } as RecordLine;
}

/** What a record as it is filled in would change; asked for by hand. */
export const usePreview = (at: RecordAt) =>
  useMutation({
    mutationFn: async (line: RecordLine) => ({
      line,
      found: await call('previewRecord', { params: { ...at }, body: { line } }),
    }),
  });

/** A record written, or its last change taken back. What is told of it anywhere is asked for anew. */
export function useWriteRecord(at: RecordAt) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (
      work: { readonly line: RecordLine; readonly seen: string } | { readonly undo: string },
    ): Promise<CatalogueRecord> =>
      'undo' in work
        ? call('undoRecord', { params: { ...at }, body: { entryId: work.undo } })
        : call('writeRecord', { params: { ...at }, body: work }),
    onSuccess: (record) => queries.setQueryData(keyOf(at), record),
    onSettled: async () => {
      for (const key of ['engines', 'engine', 'tray', 'slips', 'part', 'makers', 'record'])
        await queries.invalidateQueries({ queryKey: [key] });
    },
  });
}
