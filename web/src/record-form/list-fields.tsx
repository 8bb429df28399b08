import { use, useId, useState } from 'react';
import { emptyOf, looksLike, type FormNode } from '@brackenfell/core/record/form-node';
import { inShort } from '@brackenfell/core/record/differences';
import { sayChoice, sayKey, sayOne } from '@brackenfell/core/record/say-key';
import { at, FormContext, isSmall, type FieldProps, type FormAbout, type Of } from './form-about.ts';
import { asText, Labelled } from './small-fields.tsx';

/** Of what has parts: how a part is drawn. */
type WithParts<K extends FormNode['of']> = Of<K> & { readonly part: (props: FieldProps) => React.ReactNode };

/** Things one after another, each told in a line and opened to be filled in. */
export function ListField({ node, path, value, set, part }: WithParts<'list'>) {
  const { wrong, figures } = use(FormContext);
  const items = Array.isArray(value) ? (value as unknown[]) : [];
  const one = path === '' ? 'part' : sayOne(path.split('.').at(-1)!);
  const put = (i: number, next: unknown) => set(items.map((item, k) => (k === i ? next : item)));
  const add = (i: number) => set([...items.slice(0, i), emptyOf(node.each) ?? '', ...items.slice(i)]);
  const hands = (i: number) => (
    <span className="flex gap-1">
      <button type="button" className="button-plain" aria-label={`A ${one} before ${i + 1}`} onClick={() => add(i)}>
        Insert before
      </button>
      <button
        type="button"
        className="button-plain"
        aria-label={`Take ${one} ${i + 1} out`}
        onClick={() => set(items.filter((_, k) => k !== i))}
      >
        Take out
      </button>
    </span>
  );
  return (
    <div className="grid gap-1">
      {wrong[path] !== undefined && <p className="text-madder">{wrong[path]}</p>}
      {items.map((item, i) =>
        isSmall(node.each) || isRow(node.each) ? (
          <div
            key={i}
            className={`flex flex-wrap items-end gap-2 ${isRow(node.each) ? 'border-b border-hair pb-2' : ''}`}
            role="group"
            aria-label={`${one} ${i + 1}`}
          >
            {part({
              node: node.each,
              label: `${one} ${i + 1}`,
              path: at(path, i),
              value: item,
              set: (next) => put(i, next ?? ''),
            })}
            {hands(i)}
          </div>
        ) : (
          <Folded
            key={i}
            isWrong={isWrongIn(wrong, at(path, i))}
            line={
              <>
                <span className="num text-soft">{i + 1}</span> {summaryOf(item, figures) || `a new ${one}`}
              </>
            }
          >
            {wrong[at(path, i)] !== undefined && <p className="text-madder">{wrong[at(path, i)]}</p>}
            {part({ node: node.each, label: one, path: at(path, i), value: item, set: (next) => put(i, next) })}
            <p className="flex flex-wrap gap-1">
              {hands(i)}
              {isPlace(item) && (
                <button
                  type="button"
                  className="button-plain"
                  onClick={() =>
                    set(
                      items.map((other) =>
                        isPlace(other) && other.kind === item.kind ? { ...other, figures: item.figures } : other,
                      ),
                    )
                  }
                >
                  Ask the same at every {sayChoice(item.kind)}
                </button>
              )}
            </p>
          </Folded>
        ),
      )}
      <p>
        <button type="button" className="button-plain" onClick={() => add(items.length)}>
          Add a {one}
        </button>
      </p>
    </div>
  );
}

interface FoldedProps {
  readonly line: React.ReactNode;
  /** Something in it is amiss: it stands open. */
  readonly isWrong: boolean;
  readonly children: React.ReactNode;
}

/** Told in a line until it is opened; only then is it drawn, for an engine has hundreds of figures. */
function Folded({ line, isWrong, children }: FoldedProps) {
  const [isOpen, setOpen] = useState(false);
  const isShown = isOpen || isWrong;
  return (
    <details
      className="border border-hair bg-slip"
      open={isShown}
      onToggle={({ currentTarget, target }) => {
        if (target === currentTarget) setOpen(currentTarget.open);
      }}
    >
      <summary className="cursor-pointer px-2 py-1">
        {line}
        {isWrong && <span className="text-madder"> has something amiss</span>}
      </summary>
      {isShown && <div className="grid gap-2 p-2">{children}</div>}
    </details>
  );
}

/** A place of an engine: what is asked there is often asked at all alike. */
const isPlace = (item: unknown): item is { readonly kind: string; readonly figures: unknown } =>
  typeof item === 'object' && item !== null && 'kind' in item && 'figures' in item;

/** An item in a line while it is folded. */
function summaryOf(item: unknown, figures: FormAbout['figures']): string {
  const { fact, value, source } = (item ?? {}) as Record<string, unknown>;
  const label = figures[asText(fact)]?.label;
  return label === undefined ? inShort(item) : `${label}: ${inShort(value ?? '')}; ${asText(source)}`;
}

/** So little of it that it fits a line. */
const isRow = (node: FormNode): boolean =>
  node.of === 'group' && node.fields.length <= 4 && node.fields.every((field) => isSmall(field.node));

const isWrongIn = (wrong: FormAbout['wrong'], path: string): boolean =>
  Object.keys(wrong).some((one) => one === path || one.startsWith(`${path}.`));

/** Codes of a numbering, each with what it means. */
export function TableField({ node, label, path, value, set, part }: WithParts<'table'>) {
  const rows = Object.entries((value ?? {}) as Record<string, unknown>);
  const put = (i: number, row: readonly [string, unknown]) =>
    set(Object.fromEntries(rows.map((old, k) => (k === i ? row : old))));
  return (
    <div className="grid gap-2">
      {rows.map(([code, meaning], i) => (
        <div key={code} className="flex flex-wrap items-start gap-3 border-b border-hair pb-2">
          <CodeField code={code} others={rows.map(([one]) => one)} set={(next) => put(i, [next, meaning])} />
          {part({
            node: node.each,
            label,
            path: at(path, code),
            value: meaning,
            set: (next) => put(i, [code, next]),
          })}
          <button
            type="button"
            className="button-plain"
            aria-label={`Take code ${code} out`}
            onClick={() => set(Object.fromEntries(rows.filter((_, k) => k !== i)))}
          >
            Take out
          </button>
        </div>
      ))}
      <p>
        <button
          type="button"
          className="button-plain"
          disabled={rows.some(([code]) => code === '')}
          onClick={() => set({ ...Object.fromEntries(rows), '': emptyOf(node.each) })}
        >
          Add a code
        </button>
      </p>
    </div>
  );
}

/** A code takes its new name once it is left, and only one that no other code has: nothing goes under in between. */
function CodeField({
  code,
  others,
  set,
}: {
  readonly code: string;
  readonly others: readonly string[];
  readonly set: (code: string) => void;
}) {
  const [typed, setTyped] = useState(code);
  const isTaken = typed !== code && others.includes(typed);
  const leave = () => {
    if (typed !== code && !isTaken) set(typed);
  };
  const id = useId();
  return (
    <span className="grid content-start gap-1">
      <label className="text-slate" htmlFor={id}>
        code
      </label>
      <input
        id={id}
        className="field num w-20"
        maxLength={20}
        aria-invalid={isTaken || undefined}
        aria-describedby={isTaken ? `${id}-taken` : undefined}
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        onBlur={leave}
        onKeyDown={({ key }) => {
          if (key === 'Enter') leave();
        }}
      />
      {isTaken && (
        <span id={`${id}-taken`} className="text-madder">
          stands already
        </span>
      )}
    </span>
  );
}

/** One of several shapes: which, and then what is of it. */
export function EitherField({ node, label, path, value, isOptional = false, set, part }: WithParts<'either'>) {
  const shaped = node.options.findIndex((one) => looksLike(one, value));
  // A figure that is still being typed is no figure yet.
  const held = shaped < 0 && typeof value === 'string' ? node.options.findIndex(({ of }) => of === 'number') : shaped;
  const shape = node.options[held];
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Labelled label={label} path={`${path} shape`}>
        {(id) => (
          <select
            id={id}
            className="field"
            data-choice
            value={held < 0 ? '' : String(held)}
            onChange={({ target }) =>
              set(target.value === '' ? undefined : (emptyOf(node.options[Number(target.value)]!) ?? ''))
            }
          >
            {(held < 0 || isOptional) && <option value="">{isOptional ? 'not stated' : 'choose'}</option>}
            {node.options.map((one, i) => (
              <option key={i} value={String(i)}>
                {sayShape(one)}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      {shape && part({ node: shape, label, path, value, set: (next) => set(next ?? '') })}
    </div>
  );
}

/** What a shape is told from the others by. */
function sayShape(node: FormNode): string {
  if (node.of === 'fixed') return sayChoice(String(node.value));
  if (node.of === 'number') return 'a figure';
  if (node.of === 'text') return 'a word';
  if (node.of !== 'group') return node.of;
  const fixed = node.fields.flatMap(({ node: one }) => (one.of === 'fixed' ? [sayChoice(String(one.value))] : []));
  return fixed.join(' ') || node.fields.map(({ key }) => sayKey(key)).join(' and ');
}
