import { toast } from '../controls/toast.ts';
import type { ImportView } from '@brackenfell/contract/imports';
import { call } from '../wire/call.ts';
import { useImportWrite } from './use-imports.ts';

/** What was answered about a column whose values deny its unit. */
export type ColumnAnswer = 'likely' | 'as-written' | 'left-out';

type Column = ImportView['columns'][number];

/** How an import is read is changed here; the rows are sorted anew, and the supplier’s next list is read the same way. */
export function useColumns(view: ImportView) {
  const write = useImportWrite();
  const readSo = (
    change: { columns?: readonly Column[]; isComplete?: boolean } & Partial<Pick<ImportView, 'newKind' | 'ofMaker'>>,
  ) => {
    const { columns, ...more } = change;
    write.mutate(
      () =>
        call('readImportSo', {
          params: { importId: view.importId },
          body: {
            version: view.version,
            ...more,
            ...(columns
              ? {
                  columns: columns.map(({ use, unit, isUnitSaid }) => ({
                    use,
                    ...(unit ? { unit } : {}),
                    ...(isUnitSaid ? { isUnitSaid } : {}),
                  })),
                }
              : {}),
          },
        }),
      { onError: (error) => toast.error(error.message) },
    );
  };
  const setColumn = (index: number, column: Column) =>
    readSo({
      columns: view.columns.map((one, i) =>
        i === index
          ? column
          : // One thing stands in one column.
            one.use === column.use
            ? { ...one, use: 'left-out' as const }
            : one,
      ),
    });
  const answer = (index: number, given: ColumnAnswer) => {
    const column = view.columns[index]!;
    setColumn(index, {
      ...column,
      ...(given === 'left-out'
        ? { use: 'left-out' as const }
        : given === 'likely'
          ? { unit: column.asked!.likely, isUnitSaid: true }
          : { isUnitSaid: true }),
    });
  };
  return { isBusy: write.isPending, readSo, setColumn, answer };
}
