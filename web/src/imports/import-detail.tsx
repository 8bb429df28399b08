import { Link } from 'react-router';
import { toast } from '../controls/toast.ts';
import { HEAPS, type Heap } from '@brackenfell/core/imports/sort-row';
import { counted } from '@brackenfell/core/words/counted';
import type { ImportView } from '@brackenfell/contract/imports';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { useAddress } from '../controls/use-address.ts';
import { printMoment } from '../controls/moment.ts';
import { SureButton } from '../controls/sure-button.tsx';
import { useKeys } from '../keys/keys.ts';
import { call } from '../wire/call.ts';
import { HeapBar } from './heap-bar.tsx';
import { ImportColumns } from './import-columns.tsx';
import { ImportRows } from './import-rows.tsx';
import { ListAnswers } from './list-answers.tsx';
import { UnknownMakers } from './unknown-makers.tsx';
import { WholeLines } from './whole-lines.tsx';
import { ShelfVerdicts } from './shelf-verdicts.tsx';
import { notTaken, rejectedSheet, sayImport, toWrite } from './import-words.ts';
import { useColumns } from './use-columns.ts';
import { isWorked, useImportWrite } from './use-imports.ts';

/** One list: how it is read, what it would change, and the step that writes it or takes it back. */
export function ImportDetail({ view }: { readonly view: ImportView }) {
  const { search, write: writeAddress } = useAddress();
  const heap = HEAPS.find((one) => one === search.get('heap'));
  const showHeap = (next: Heap | undefined) => writeAddress({ heap: next ?? '' });
  const { isBusy, readSo, setColumn, answer } = useColumns(view);
  const write = useImportWrite();
  const isWhole = view.whole !== null;
  const mayChange = (view.state === 'sorted' || view.state === 'failed') && view.rows > 0 && !isWhole && !isBusy;
  const mayWrite = view.state === 'sorted' && toWrite(view) > 0 && !isWhole && !isBusy && !write.isPending;
  const asked = mayChange ? view.columns.findIndex((column) => column.asked !== null) : -1;
  const { mark, says, then } = sayImport(view);
  const act = (name: 'writeImport' | 'takeBackImport') =>
    write.mutate(() => call(name, { params: { importId: view.importId }, body: { version: view.version } }), {
      onError: (error) => toast.error(error.message),
    });
  const stop = () => write.mutate(() => call('stopImport', { params: { importId: view.importId }, body: {} }));
  const isAtWork = isWorked(view.state);
  useKeys('Import', [
    ...(mayWrite
      ? [
          {
            press: 'Control+Enter',
            printed: 'Ctrl Enter',
            does: 'Write what is new and changed',
            run: () => act('writeImport'),
          },
        ]
      : []),
    ...(isAtWork ? [{ press: 'x', does: 'Stop it', run: stop }] : []),
    ...(view.counts && !isWhole
      ? [
          {
            press: 'h',
            does: 'The next heap of rows',
            run: () => showHeap(nextHeap(heap, view.counts!)),
          },
        ]
      : []),
    ...(notTaken(view) > 0
      ? [{ press: 'r', does: 'Rejected rows as CSV', run: () => window.location.assign(rejectedSheet(view)) }]
      : []),
    ...(asked >= 0
      ? [
          { press: 'a', does: 'The column is in the unit its values tell', run: () => answer(asked, 'likely') },
          { press: 'b', does: 'The column is as written', run: () => answer(asked, 'as-written') },
          { press: 'n', does: 'Leave the column out', run: () => answer(asked, 'left-out') },
        ]
      : []),
  ]);
  return (
    <main className="desk-main" aria-label="Import">
      <header className="set-up-head">
        <Mark kind={mark} rem={1.25} />
        <h1 className="text-head font-semibold" aria-live="polite">
          {says}
        </h1>
        <span className="min-w-0 flex-1 text-soft">{then}</span>
        {view.state === 'sorted' && isWhole && (
          <SureButton
            asks="Load it"
            sure="Load the whole catalogue: it is not taken back"
            onSure={() => act('writeImport')}
          />
        )}
        {view.state === 'sorted' && !isWhole && (
          <button type="button" className="button-act shrink-0" disabled={!mayWrite} onClick={() => act('writeImport')}>
            {toWrite(view) === 0 ? 'Nothing to write' : `Write ${counted(toWrite(view), 'row')}`} <Key>Ctrl Enter</Key>
          </button>
        )}
        {isAtWork && (
          <button type="button" className="button-plain shrink-0" onClick={stop}>
            Stop it <Key>x</Key>
          </button>
        )}
        {view.state === 'failed' && mayChange && (
          <button type="button" className="button-plain shrink-0" onClick={() => readSo({})}>
            Sort it again
          </button>
        )}
        {view.state === 'written' && !isWhole && (
          <SureButton asks="Take it back" sure="Take the whole list back" onSure={() => act('takeBackImport')} />
        )}
      </header>
      {isAtWork && <progress max={1} value={view.progress} aria-label="Progress of the import" />}
      <div
        className="min-h-0 flex-1 overflow-auto"
        tabIndex={0}
        role="region"
        aria-label="The list, its columns and rows"
      >
        <p className="flex flex-wrap gap-x-3 px-3 pt-2">
          <b className="font-semibold">{view.supplier}</b>
          <span className="[overflow-wrap:anywhere]">{view.fileName}</span>
          {view.form && (
            <span className="text-soft">
              {isWhole
                ? `${counted(view.rows, 'line')}, ${view.form}`
                : `${view.rows} rows, ${view.columns.length} columns, ${view.form}`}
            </span>
          )}
          <span className="text-soft">
            {printMoment(view.at)}, {view.by}
          </span>
        </p>
        {view.contradictions && (
          <p className="px-3 pt-1" role="status">
            {view.contradictions.found === null ? (
              'The audit looks for contradictions in what it brought …'
            ) : view.contradictions.found === 0 ? (
              'The audit found no contradiction in what it brought.'
            ) : (
              <>
                The audit found {counted(view.contradictions.found, 'contradiction')} in what it brought:{' '}
                <Link className="underline" to="/catalogue/audit">
                  look at them
                </Link>
              </>
            )}
          </p>
        )}
        {view.whole && <WholeLines whole={view.whole} />}
        {view.counts && !isWhole && (
          <HeapBar counts={view.counts} isComplete={view.isComplete} heap={heap} onHeap={showHeap} />
        )}
        {view.columns.length > 0 && (
          <>
            <ImportColumns view={view} mayChange={mayChange} onColumn={setColumn} onAnswer={answer} />
            <ListAnswers view={view} mayChange={mayChange} onAnswer={readSo} />
            {view.goneNumbers.length > 0 && (
              <p className="px-3 pb-2">
                Gone from their list: <span className="num">{view.goneNumbers.join(', ')}</span>
              </p>
            )}
            {mayChange && <UnknownMakers makers={view.unknownMakers} isBusy={isBusy} onAdded={() => readSo({})} />}
            {view.state === 'sorted' && (view.counts?.changed ?? 0) > 0 && <ShelfVerdicts view={view} />}
            <ImportRows view={view} heap={heap} />
          </>
        )}
      </div>
    </main>
  );
}

/** The heap after this one that holds a row; all of them after the last. */
function nextHeap(heap: Heap | undefined, counts: NonNullable<ImportView['counts']>): Heap | undefined {
  const from = heap === undefined ? 0 : HEAPS.indexOf(heap) + 1;
  return HEAPS.slice(from).find((one) => counts[one] > 0);
}
