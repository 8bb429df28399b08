import { use, useId } from 'react';
import { sayChoice } from '@brackenfell/core/record/say-key';
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

/** Figures may have a decimal comma. What is no figure is kept as it was typed, and refused where it stands. */
const readFigure = (typed: string): number | string => {
  const plain = typed.trim().replace(',', '.');
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : typed;
};

export function TypedField({ node, label, path, value, isOptional = false, set }: Of<'text' | 'number'>) {
  const text = asText(value);
  return (
    <Labelled label={label} path={path}>
      {(id, wrong) => (
        <input
          id={id}
          className={`field ${node.of === 'number' ? 'num w-24' : node.longest > 60 && text.length > 24 ? 'w-96' : 'w-56'}`}
          {...describedBy(id, wrong)}
          inputMode={node.of === 'number' ? 'decimal' : undefined}
          maxLength={node.of === 'number' ? 20 : node.longest}
          placeholder={node.of === 'text' && node.pattern?.startsWith('^\\d{4}-') ? 'as in 2016-08' : undefined}
          value={text}
          onChange={({ target }) =>
            set(
              target.value === '' && (isOptional || node.of === 'number')
                ? undefined
                : node.of === 'number' && !/[.,]$/.test(target.value)
                  ? readFigure(target.value)
                  : target.value,
            )
          }
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

/** Cylinders, a firing order: one line of numbers. */
export function RowOfNumbers({ label, path, value, set }: Of<'list'>) {
  const text = Array.isArray(value) ? value.join(' ') : asText(value);
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
            const typed = target.value;
            const parts = typed.split(/[\s,–-]+/).filter(Boolean);
            const isDone = /\d$/.test(typed) && parts.every((one) => /^\d+$/.test(one));
            set(isDone ? parts.map(Number) : typed);
          }}
        />
      )}
    </Labelled>
  );
}
