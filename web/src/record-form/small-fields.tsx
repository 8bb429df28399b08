import { use, useId, useState } from 'react';
import { readFigure, readRow } from '@brackenfell/core/record/read-typed-part';
import { sayChoice } from '@brackenfell/core/record/say-key';
import { stable } from '@brackenfell/core/words/stable';
import { FormContext, type Of } from './form-about.ts';

/** A field under its name, with what is amiss of it. */
export function Labelled({
  label,
  path,
  children,
}: {
  readonly label: string;
  readonly path: string;
  readonly children: (id: string, wrong: string | undefined) => React.ReactNode;
}) {
  const id = useId();
  const wrong = use(FormContext).wrong[path];
  return (
    <span className="grid content-start gap-1">
      <label className="text-slate" htmlFor={id}>
        {label}
      </label>
      {children(id, wrong)}
      {wrong !== undefined && (
        <span id={`${id}-wrong`} className="max-w-64 text-madder">
          {wrong}
        </span>
      )}
    </span>
  );
}

export const asText = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? String(value) : '';

const describedBy = (id: string, wrong: string | undefined) =>
  wrong === undefined ? {} : { 'aria-invalid': true, 'aria-describedby': `${id}-wrong` };

/**
 * What was typed stands in the field as it was typed (*1.0* on the way to *1.05*) for as long as it reads as the value; a value
 * that has changed otherwise is printed.
 */
function useTyped(value: unknown, read: (typed: string) => unknown, print: (value: unknown) => string) {
  const [typed, setTyped] = useState(() => print(value));
  const isStill = stable(typed === '' ? undefined : read(typed)) === stable(value);
  return [isStill ? typed : print(value), setTyped] as const;
}

export function TypedField({ node, label, path, value, isOptional = false, set }: Of<'text' | 'number'>) {
  const isNumber = node.of === 'number';
  const read = (typed: string) => (isNumber ? readFigure(typed) : typed);
  const [text, setText] = useTyped(value, read, asText);
  return (
    <Labelled label={label} path={path}>
      {(id, wrong) => (
        <input
          id={id}
          className={`field ${isNumber ? 'num w-24' : node.longest > 60 && text.length > 24 ? 'w-96' : 'w-56'}`}
          {...describedBy(id, wrong)}
          inputMode={isNumber ? 'decimal' : undefined}
          maxLength={isNumber ? 20 : node.longest}
          placeholder={!isNumber && node.pattern?.startsWith('^\\d{4}-') ? 'as in 2016-08' : undefined}
          value={text}
          onChange={({ target }) => {
            setText(target.value);
            set(target.value === '' && (isOptional || isNumber) ? undefined : read(target.value));
          }}
        />
      )}
    </Labelled>
  );
}

export function ChosenField({ node, label, path, value, isOptional = false, set }: Of<'flag' | 'choice'>) {
  const { figures } = use(FormContext);
  const all = node.of === 'flag' ? [true, false] : node.options;
  const isFact = all.some((one) => String(one) in figures);
  const options = isFact ? all.filter((one) => one === value || String(one) in figures) : all;
  const say = (one: string | number | boolean) =>
    typeof one === 'boolean' ? (one ? 'yes' : 'no') : (figures[one]?.label ?? sayChoice(one));
  return (
    <Labelled label={label} path={path}>
      {(id, wrong) => (
        <select
          id={id}
          className="field"
          data-choice
          {...describedBy(id, wrong)}
          value={asText(value)}
          onChange={({ target }) => set(options.find((one) => String(one) === target.value))}
        >
          {(isOptional || value === undefined) && <option value="">{isOptional ? 'not stated' : 'choose'}</option>}
          {options.map((one) => (
            <option key={String(one)} value={String(one)}>
              {say(one)}
            </option>
          ))}
        </select>
      )}
    </Labelled>
  );
}

const printRow = (value: unknown): string => (Array.isArray(value) ? value.join(' ') : asText(value));

/** Cylinders, a firing order: one line of numbers. */
export function RowOfNumbers({ label, path, value, set }: Of<'list'>) {
  const [text, setText] = useTyped(value, readRow, printRow);
  return (
    <Labelled label={`${label}, in order`} path={path}>
      {(id, wrong) => (
        <input
          id={id}
          className="field num w-56"
          {...describedBy(id, wrong)}
          maxLength={120}
          value={text}
          onChange={({ target }) => {
            setText(target.value);
            set(readRow(target.value));
          }}
        />
      )}
    </Labelled>
  );
}
