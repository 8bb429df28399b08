import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { counted, printCount } from '@brackenfell/core/words/counted';
import { useEngines } from '../engine/use-engine.ts';
import { NewEngine } from '../record/new-engine.tsx';
import { useMayMend } from '../session/use-session.ts';

/** The engines of the catalogue, narrowed by words; each opens its page. */
export function EngineList() {
  const [words, setWords] = useState('');
  const engines = useEngines(useDeferredValue(words));
  const mayMend = useMayMend();
  return (
    <main className="desk-main col-span-2" aria-label="Engines of the catalogue">
      <div className="flex items-center gap-4 border-b border-line px-4 py-2">
        <h1 className="text-verdict font-semibold">
          {engines.data
            ? `${printCount(engines.data.engines.length)} of ${counted(engines.data.total, 'engine')}`
            : 'Engines'}
        </h1>
        <label className="ml-auto flex items-center gap-2 text-slate">
          Narrow by words
          <input
            className="field w-64"
            value={words}
            maxLength={120}
            placeholder="make, model, year, code"
            onChange={(event) => setWords(event.target.value)}
          />
        </label>
      </div>
      {engines.error && (
        <p role="alert" className="p-3 text-madder">
          {engines.error.message}
        </p>
      )}
      <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="region" aria-label="List of engines">
        <table className="w-full">
          <thead className="text-left text-soft">
            <tr>
              {['Engine', 'What it is', 'Thread', 'Reach', 'Seat', 'Gap', 'Vehicles'].map((head) => (
                <th key={head} className="px-3 py-1 font-normal">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {engines.data?.engines.map((engine) => (
              <tr key={engine.engineId} className="border-t border-hair">
                <td className="px-3 py-1 whitespace-nowrap">
                  <Link className="font-semibold underline decoration-line" to={`/engines/${engine.engineId}`}>
                    {engine.maker} <span className="num">{engine.code}</span>
                  </Link>
                </td>
                <td className="px-3">{engine.summary}</td>
                <td className="num px-3">{engine.thread}</td>
                <td className="num px-3 whitespace-nowrap">{engine.reach}</td>
                <td className="px-3">{engine.seat}</td>
                <td className="num px-3">{engine.gap}</td>
                <td className="num px-3">{engine.vehicles.length}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {engines.isPending && <p className="p-4 text-soft">Fetching the engines …</p>}
        {engines.data && words.trim() === '' && engines.data.total > engines.data.engines.length && (
          <p className="p-4 text-soft">The commonest here; words narrow to any other.</p>
        )}
        {engines.data?.engines.length === 0 && (
          <p className="p-4">
            {words.trim() === ''
              ? 'No engine is in this catalogue yet. A whole catalogue is taken in under Imports; here one is made by hand.'
              : `No engine answers to all of “${words}”.`}
          </p>
        )}
      </div>
      {mayMend && engines.data && <NewEngine like={engines.data.engines} />}
    </main>
  );
}
