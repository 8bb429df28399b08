import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from '../controls/toast.ts';
import type { ProofReference, ProofTell } from '@brackenfell/contract/proof-reference';
import { KIND_WORDS } from '@brackenfell/core/facts/part-kinds';
import { Key } from '../controls/key.tsx';
import { usePickList } from '../controls/pick-list.ts';
import { printMoment } from '../controls/moment.ts';
import { useKeys } from '../keys/keys.ts';
import { useQuarantineWrite } from '../quarantine/use-quarantine.ts';
import { useSession } from '../session/use-session.ts';
import { call } from '../wire/call.ts';
import { PackagingDialog, type NewPackaging } from './packaging-dialog.tsx';
import { TellEditor } from './tell-editor.tsx';
import { TellPicture } from './tell-picture.tsx';

/** What genuine and suspect pieces look like, maker by maker and packaging by packaging; the editor keeps it. */
export function ReferencesPage() {
  const references = useQuery({ queryKey: ['references'], queryFn: () => call('listReferences', {}) });
  const { data: me } = useSession();
  const [picked, pick] = useState(0);
  const all = references.data?.references ?? [];
  const list = usePickList({ label: 'References', row: 'reference', count: all.length, picked, pick });
  const { here } = list;
  const reference = all[here];
  return (
    <>
      <aside className="desk-list" aria-label="References">
        <div className="border-b border-line px-3 py-2">
          <h1 className="text-verdict font-semibold">References</h1>
          <p className="text-soft">Tells are one maker’s and one packaging’s: what condemns one may clear another.</p>
          {references.error && (
            <p role="alert" className="text-madder">
              {references.error.message}
            </p>
          )}
        </div>
        <ol {...list.listProps} className="min-h-0 flex-1 overflow-auto">
          {all.map((one, i) => (
            <li
              key={`${one.makerId} ${one.partKind} ${one.generation}`}
              {...list.rowProps(i)}
              className={`cursor-pointer border-b border-hair px-3 py-1 ${i === here ? 'bg-bracken-wash outline-2 -outline-offset-2 outline-bracken' : ''}`}
            >
              <b className="font-semibold">{one.content.title}</b>
              <span className="block text-soft">
                {KIND_WORDS[one.partKind][0]}, {one.content.tells.length} tells, version {one.version}
              </span>
            </li>
          ))}
        </ol>
      </aside>
      <main className="desk-main" aria-label="Reference">
        {reference ? (
          <ReferenceDetail
            key={reference.referenceId}
            reference={reference}
            generations={all
              .filter((one) => one.makerId === reference.makerId && one.partKind === reference.partKind)
              .map((one) => one.generation)}
            mayEdit={me?.role === 'editor'}
          />
        ) : (
          <p className="p-6 text-soft">
            {references.data ? 'No reference is recorded yet.' : 'Fetching the references …'}
          </p>
        )}
      </main>
    </>
  );
}

interface ReferenceDetailProps {
  readonly reference: ProofReference;
  /** Packagings of the same maker and kind of part. */
  readonly generations: readonly string[];
  readonly mayEdit: boolean;
}

function ReferenceDetail({ reference, generations, mayEdit }: ReferenceDetailProps) {
  const [sheet, open] = useState<{ tell: ProofTell | undefined } | 'packaging'>();
  const write = useQuarantineWrite<ProofReference>();
  const { content, makerId, partKind, generation, version } = reference;
  const store = (next: { generation: string; basedOn: number; content: ProofReference['content'] }) =>
    write.mutate(() => call('saveReference', { body: { makerId, partKind, ...next } }), {
      onSuccess: (saved) => {
        open(undefined);
        toast(`Version ${saved.version} is saved. Inspections begun before keep theirs.`);
      },
    });
  const save = (tells: readonly ProofTell[]) =>
    store({ generation, basedOn: version, content: { ...content, tells: [...tells] } });
  const begin = ({ title, from, generation: next }: NewPackaging) =>
    store({ generation: next, basedOn: 0, content: { ...content, title, from, to: null } });
  const ids = content.tells.map(({ id }) => id);
  useKeys(
    'Reference',
    mayEdit
      ? [
          { press: 'n', does: 'A new tell', run: () => open({ tell: undefined }) },
          { press: 'g', does: 'A new packaging of the maker', run: () => open('packaging') },
        ]
      : [],
  );
  return (
    <div className="min-h-0 flex-1 overflow-auto p-4" tabIndex={0} role="region" aria-label={content.title}>
      <h2 className="text-head font-semibold">{content.title}</h2>
      <p className="text-soft">
        {content.from ?? 'from the beginning'} to {content.to ?? 'now'}. Version {version},{' '}
        {reference.by ? `saved by ${reference.by}, ${printMoment(reference.at)}` : 'from the shop’s past'}.{' '}
        {content.batchCode ? `Batch code: ${content.batchCode.title}.` : 'No batch code scheme is known.'}
        {!mayEdit && ' The catalogue editor keeps it.'}
      </p>
      <table className="mt-2 w-full">
        <thead className="text-left text-xs text-slate">
          <tr>
            <th className="font-normal">Tell</th>
            <th className="w-28 font-normal">Genuine</th>
            <th className="w-28 font-normal">Suspect</th>
            <th className="pl-2 font-normal">Group</th>
            <th className="pl-3 text-right font-normal">Differs if genuine</th>
            <th className="pl-3 text-right font-normal">if fake</th>
            <th className="pl-3 text-right font-normal">Minutes</th>
            {mayEdit && (
              <th>
                <span className="sr-only">Change</span>
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {content.tells.map((tell) => (
            <tr key={tell.id} className="border-t border-hair align-top">
              <td className="py-1">
                <b className="font-semibold">{tell.title}</b>
                <span className="block text-soft">{tell.look}</span>
                <span className="block text-xs text-soft">{tell.source}</span>
              </td>
              <td className="text-center text-xs">
                <TellPicture drawing={tell.drawing.genuine} genuine says={`Genuine: ${tell.genuine}`} />
                {tell.genuine}
              </td>
              <td className="text-center text-xs">
                <TellPicture drawing={tell.drawing.suspect} genuine={false} says={`Suspect: ${tell.suspect}`} />
                {tell.suspect}
              </td>
              <td className="pl-2 text-soft">
                {tell.group}
                <span className="block text-xs">{tell.aspect}</span>
              </td>
              <td className="num pl-3 text-right">{tell.differs.ifGenuine}</td>
              <td className="num pl-3 text-right">{tell.differs.ifFake}</td>
              <td className="num pl-3 text-right">{tell.minutes}</td>
              {mayEdit && (
                <td className="pl-3 text-right">
                  <button type="button" className="min-h-6 underline" onClick={() => open({ tell })}>
                    Change <span className="sr-only">{tell.title}</span>
                  </button>
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      {mayEdit && (
        <p className="flex gap-2 pt-3">
          <button type="button" className="button-plain" onClick={() => open({ tell: undefined })}>
            A new tell <Key>n</Key>
          </button>
          <button type="button" className="button-plain" onClick={() => open('packaging')}>
            A new packaging of {reference.maker} <Key>g</Key>
          </button>
          <span className="self-center text-soft">A change is a new version; the ones before are kept.</span>
        </p>
      )}
      {sheet === 'packaging' && (
        <PackagingDialog
          maker={reference.maker}
          taken={generations}
          pending={write.isPending}
          onSave={begin}
          onClose={() => open(undefined)}
        />
      )}
      {typeof sheet === 'object' && (
        <TellEditor
          tell={sheet.tell}
          taken={ids}
          pending={write.isPending}
          onSave={(next) =>
            save(
              sheet.tell ? content.tells.map((tell) => (tell.id === next.id ? next : tell)) : [...content.tells, next],
            )
          }
          onRetire={
            content.tells.length > 1 ? () => save(content.tells.filter(({ id }) => id !== sheet.tell?.id)) : undefined
          }
          onClose={() => open(undefined)}
        />
      )}
    </div>
  );
}
