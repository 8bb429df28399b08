import { useNavigate, useParams } from 'react-router';
import type { ImportLine } from '@brackenfell/contract/imports';
import { Mark } from '../controls/mark.tsx';
import { markOf, notTaken } from './import-words.ts';
import { printMoment } from '../controls/moment.ts';
import { usePickList } from '../controls/pick-list.ts';
import { useMayMend, useSession } from '../session/use-session.ts';
import { ImportDetail } from './import-detail.tsx';
import { TakeList } from './take-list.tsx';
import { useImport, useImports } from './use-imports.ts';

/** Suppliers’ lists: taken in, read, and what each would change; the picked one beside. */
export function ImportsPage() {
  const { data: me } = useSession();
  const mayEdit = useMayMend();
  if (me && !mayEdit)
    return (
      <main className="desk-main col-span-2 p-6" aria-label="Import">
        <p className="text-soft">Lists are taken in by an editor or a supervisor.</p>
      </main>
    );
  return <Imports />;
}

function Imports() {
  const { importId } = useParams();
  const navigate = useNavigate();
  const imports = useImports();
  const lines = imports.data?.imports ?? [];
  const shown = importId ?? lines[0]?.importId;
  const view = useImport(shown);
  const show = (id: string) => void navigate(`/catalogue/imports/${id}`, { replace: true });
  const list = usePickList({
    label: 'Lists taken in',
    row: 'list',
    count: lines.length,
    picked: lines.findIndex((line) => line.importId === shown),
    pick: (i) => show(lines[i]!.importId),
  });
  return (
    <>
      <aside className="desk-list" aria-label="Imports">
        <TakeList suppliers={imports.data?.suppliers ?? []} onTaken={show} />
        {imports.error && (
          <p role="alert" className="px-3 text-madder">
            {imports.error.message}
          </p>
        )}
        {imports.data && lines.length === 0 ? (
          <p className="p-3 text-soft">No list was taken in yet.</p>
        ) : (
          <ol {...list.listProps} className="min-h-0 flex-1 overflow-auto">
            {lines.map((line, i) => (
              <Line key={line.importId} line={line} row={list.rowProps(i)} />
            ))}
          </ol>
        )}
      </aside>
      {view.data ? (
        <ImportDetail key={view.data.importId} view={view.data} />
      ) : (
        <main className="desk-main p-6" aria-label="Import">
          <p className="text-soft" role={view.error ? 'alert' : undefined}>
            {view.error?.message ??
              'A list is shown here once it is taken in: how its columns are read, and what it would change.'}
          </p>
          <p className="max-w-prose pt-2 text-soft">
            A supplier’s list fills blanks and raises questions. It never overrides what an engine maker or a part maker
            states. A whole catalogue in the open format, as lines or as sheets in a zip, is taken in the same way by a
            shop that has none yet.
          </p>
        </main>
      )}
    </>
  );
}

function Line({ line, row }: { line: ImportLine; row: ReturnType<ReturnType<typeof usePickList>['rowProps']> }) {
  return (
    <li {...row} className="audit-line grid-cols-[0.75rem_minmax(0,1fr)]!">
      <Mark kind={markOf(line)} />
      <span className="min-w-0">
        <b className="block font-semibold [overflow-wrap:anywhere]">{line.supplier}</b>
        <span className="block text-soft [overflow-wrap:anywhere]">{line.fileName}</span>
        <span className="block text-soft">
          {printMoment(line.at)}: {line.state.replace('-', ' ')}
          {line.whole && ', a whole catalogue'}
          {line.counts && !line.whole && `, ${line.counts.new} new, ${line.counts.changed} changed`}
          {notTaken(line) > 0 && `, ${notTaken(line)} not taken`}
        </span>
      </span>
    </li>
  );
}
