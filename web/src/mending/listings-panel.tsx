import { useState } from 'react';
import { printDate } from '@brackenfell/core/words/moments';
import type { Mending, MendingChange } from '@brackenfell/contract/mending';
import { WouldChange } from '../consequences/would-change.tsx';
import { TextField } from '../controls/body-form.tsx';
import { Trouble } from '../controls/trouble.tsx';
import { useEngines } from '../engine/use-engine.ts';
import { MendForm } from './mend-form.tsx';
import { MendPanel } from './mend-panel.tsx';
import { useConsequences } from './use-mending.ts';
import { SourceField } from './source-field.tsx';

/** Who offers a part for which engines: a listing is a statement, and never more than that. */
export const ListingsPanel = ({ mending: { partId, listings } }: { readonly mending: Mending }) => (
  <MendPanel
    partId={partId}
    label="Listings"
    heading="Listed for"
    empty="Nobody lists it for an engine."
    adds="Add a listing"
    rows={listings.map((one) => ({
      key: one.listingId,
      line: (
        <>
          <b className="font-semibold">{one.engine}</b>
          {one.place !== null && <span>{one.place}</span>}
          {sayBuilt(one) !== '' && <span className="num">{sayBuilt(one)}</span>}
          <span className="text-soft">
            {one.source}, {printDate(one.statedOn)}
          </span>
        </>
      ),
      away: {
        asks: `Take ${one.engine} off …`,
        sure: 'Take it off; it can be taken back',
        change: { what: 'unlist', listingId: one.listingId },
      },
    }))}
    form={(onDone) => <ListingForm partId={partId} onDone={onDone} />}
  />
);

const sayBuilt = ({ builtFrom, builtTo }: Mending['listings'][number]): string =>
  builtFrom === null && builtTo === null ? '' : `built ${builtFrom ?? ''}–${builtTo ?? ''}`;

function ListingForm({ partId, onDone }: { readonly partId: string; readonly onDone: () => void }) {
  const engines = useEngines('');
  const [engineId, setEngineId] = useState('');
  const [source, setSource] = useState('');
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const change: MendingChange | undefined =
    engineId === '' || source.trim().length < 2
      ? undefined
      : {
          what: 'listing',
          engineId,
          place: null,
          source: source.trim(),
          builtFrom: from === '' ? null : from,
          builtTo: to === '' ? null : to,
        };
  const would = useConsequences(partId, change);
  return (
    <MendForm
      partId={partId}
      label="A listing"
      says="Record the listing"
      change={change}
      isReady={would.data !== undefined}
      onDone={onDone}
    >
      <div className="flex flex-wrap items-start gap-3">
        <label className="grid gap-1">
          <span className="text-slate">engine</span>
          <select
            className="field"
            data-choice
            autoFocus
            value={engineId}
            onChange={(event) => setEngineId(event.target.value)}
          >
            <option value="">choose</option>
            {engines.data?.engines.map((one) => (
              <option key={one.engineId} value={one.engineId}>
                {one.maker} {one.code}
              </option>
            ))}
          </select>
        </label>
        <SourceField value={source} onChange={setSource} />
        <TextField
          label="built from, if told"
          type="month"
          value={from}
          onChange={(event) => setFrom(event.target.value)}
        />
        <TextField label="built to, if told" type="month" value={to} onChange={(event) => setTo(event.target.value)} />
      </div>
      <Trouble error={would.error} />
      {would.data && <WouldChange found={would.data} />}
    </MendForm>
  );
}
