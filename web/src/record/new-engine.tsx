import { useId, useState } from 'react';
import { useNavigate } from 'react-router';
import type { ResponseOf } from '@brackenfell/contract/endpoints';

interface NewEngineProps {
  /** Engines that it can begin as a copy of. */
  readonly like: ResponseOf<'listEngines'>['engines'];
}

/** Begins an engine the catalogue has not: by its key, from nothing or as another stands. */
export function NewEngine({ like }: NewEngineProps) {
  const [key, setKey] = useState('');
  const [model, setModel] = useState('');
  const navigate = useNavigate();
  const field = useId();
  const isKey = /^[a-z0-9-]{2,60}$/.test(key);
  return (
    <form
      className="flex flex-wrap items-end gap-3 border-t border-line px-4 py-2"
      aria-label="An engine that is not here"
      onSubmit={(event) => {
        event.preventDefault();
        if (isKey) void navigate(`/catalogue/records/engine/${key}${model === '' ? '' : `?like=${model}`}`);
      }}
    >
      <span className="grid gap-1">
        <label className="text-slate" htmlFor={field}>
          An engine that is not here: its key
        </label>
        <input
          id={field}
          className="field num w-56"
          maxLength={60}
          placeholder="maker and code, as in ostrel-ow12"
          value={key}
          onChange={(event) => setKey(event.target.value.toLowerCase())}
        />
      </span>
      <label className="grid gap-1">
        <span className="text-slate">filled in as</span>
        <select className="field" data-choice value={model} onChange={(event) => setModel(event.target.value)}>
          <option value="">from nothing</option>
          {like.map(({ engineId, maker, code }) => (
            <option key={engineId} value={engineId}>
              {maker} {code}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="button-plain" disabled={!isKey}>
        Fill it in
      </button>
    </form>
  );
}
