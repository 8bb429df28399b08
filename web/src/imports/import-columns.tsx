import { COLUMN_UNITS, COLUMN_USE_WORDS, COLUMN_USES, isFigureUse, unitWords } from '@brackenfell/core/imports/columns';
import type { ImportView } from '@brackenfell/contract/imports';
import { upperFirst } from '@brackenfell/core/words/case';
import { Choice } from '../controls/choice.tsx';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import type { ColumnAnswer } from './use-columns.ts';

const USES = COLUMN_USES.map((value) => ({ value, says: COLUMN_USE_WORDS[value] }));
const UNITS = COLUMN_UNITS.map((value) => ({ value, says: unitWords(value) }));

interface ImportColumnsProps {
  readonly view: ImportView;
  readonly mayChange: boolean;
  readonly onColumn: (index: number, column: ImportView['columns'][number]) => void;
  readonly onAnswer: (index: number, answer: ColumnAnswer) => void;
}

/** How each column is read: what its heading says, then what its values say. */
export function ImportColumns({ view: { columns, isRemembered }, mayChange, onColumn, onAnswer }: ImportColumnsProps) {
  return (
    <section aria-label="Columns" className="px-3 py-2">
      <h2 className="text-lead font-semibold">
        Columns{' '}
        <span className="font-normal text-soft">
          {isRemembered ? 'as this supplier’s last list' : 'as the heading says, then as the values say'}
        </span>
      </h2>
      <table className="w-full">
        <thead>
          <tr className="text-left text-soft">
            <th scope="col">In the file</th>
            <th scope="col">First value</th>
            <th scope="col">Read as</th>
            <th scope="col">Unit</th>
          </tr>
        </thead>
        <tbody>
          {columns.map((column, i) => (
            <tr
              key={`${i} ${column.heading}`}
              className={`border-t border-hair align-top ${column.asked ? 'bg-bracken-wash' : ''}`}
            >
              <th scope="row" className="py-1 pr-2 text-left font-semibold [overflow-wrap:anywhere]">
                {column.heading}
              </th>
              <td className="num py-1 pr-2 [overflow-wrap:anywhere]">{column.first || '–'}</td>
              <td className="py-0.5 pr-2">
                {mayChange ? (
                  <Choice
                    label={`${column.heading}: read as`}
                    labelClass="sr-only"
                    value={column.use}
                    options={USES}
                    onChange={(use) => onColumn(i, { ...column, use, isUnitSaid: false })}
                  />
                ) : (
                  COLUMN_USE_WORDS[column.use]
                )}
              </td>
              <td className="py-0.5">
                {isFigureUse(column.use) && (
                  <>
                    {mayChange ? (
                      <Choice
                        label={`${column.heading}: unit`}
                        className="grid max-w-64 gap-1"
                        labelClass="sr-only"
                        value={column.unit ?? 'mm'}
                        options={UNITS}
                        onChange={(unit) => onColumn(i, { ...column, unit, isUnitSaid: false })}
                      />
                    ) : (
                      unitWords(column.unit ?? 'mm')
                    )}
                    {column.asked && (
                      <Asked column={column} onAnswer={mayChange ? (answer) => onAnswer(i, answer) : undefined} />
                    )}
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const bare = (value: number): string => String(Math.round(value * 1000) / 1000);

interface AskedProps {
  readonly column: ImportView['columns'][number];
  readonly onAnswer: ((answer: ColumnAnswer) => void) | undefined;
}

/** The values deny the unit: what they would be in another stands beside, and nothing is read before it is answered. */
function Asked({ column: { asked, unit = 'mm', use }, onAnswer }: AskedProps) {
  const { beyond, of, low, high, likely, likelyLowMm, likelyHighMm } = asked!;
  return (
    <div role="group" aria-label="Which unit?" className="grid gap-1 py-1">
      <p>
        <Mark kind="unknown" rem={0.75} label="Asked" />{' '}
        <b className="font-semibold">
          {beyond} of {of} values are no {use} in {unitWords(unit)}: {bare(low)} to {bare(high)}.
        </b>{' '}
        <span className="text-soft">
          As {unitWords(likely)} they are {likelyLowMm.toFixed(2)} to {likelyHighMm.toFixed(2)} mm.
        </span>
      </p>
      {onAnswer && (
        <p className="flex flex-wrap gap-2">
          <button type="button" className="button-plain" onClick={() => onAnswer('likely')}>
            <Key>a</Key> {upperFirst(unitWords(likely))}
          </button>
          <button type="button" className="button-plain" onClick={() => onAnswer('as-written')}>
            <Key>b</Key> As written, {unitWords(unit)}
          </button>
          <button type="button" className="button-plain" onClick={() => onAnswer('left-out')}>
            <Key>n</Key> Cannot tell: leave it out
          </button>
        </p>
      )}
    </div>
  );
}
