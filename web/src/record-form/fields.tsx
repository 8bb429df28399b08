import { use } from 'react';
import { emptyOf, type FormField } from '@brackenfell/core/record/form-node';
import { sayKey } from '@brackenfell/core/record/say-key';
import { at, FormContext, isSmall, type FieldProps, type Of } from './form-about.ts';
import { EitherField, ListField, TableField } from './list-fields.tsx';
import { ChosenField, RowOfNumbers, TypedField } from './small-fields.tsx';

const part = (props: FieldProps) => <Field {...props} />;

/** One part of a record, whatever it is made of. */
export function Field(props: FieldProps) {
  const { node } = props;
  switch (node.of) {
    case 'fixed':
      return null;
    case 'text':
    case 'number':
      return <TypedField {...props} node={node} />;
    case 'flag':
    case 'choice':
      return <ChosenField {...props} node={node} />;
    case 'group':
      return <GroupField {...props} node={node} />;
    case 'list':
      return node.each.of === 'number' ? (
        <RowOfNumbers {...props} node={node} />
      ) : (
        <ListField {...props} node={node} part={part} />
      );
    case 'table':
      return <TableField {...props} node={node} part={part} />;
    case 'either':
      return <EitherField {...props} node={node} part={part} />;
    case 'figure':
      return null;
  }
}

/** Its small parts side by side, then each of the others in a box of its own. */
function GroupField({ node, label, path, value, isOptional = false, set }: Of<'group'>) {
  const { figures, locked } = use(FormContext);
  if (value === undefined && isOptional)
    return (
      <p className="flex items-center gap-2">
        <span className="text-soft">{label}: not stated</span>
        <button type="button" className="button-plain" onClick={() => set(emptyOf(node))}>
          State {label}
        </button>
      </p>
    );
  const held = (value ?? {}) as Record<string, unknown>;
  const put = (key: string, next: unknown) => {
    const { [key]: old, ...rest } = held;
    // A figure of another fact has another shape: what was there is not kept under the new name.
    const others = key === 'fact' && next !== old && 'value' in rest ? { ...rest, value: undefined } : rest;
    set(next === undefined ? others : { ...others, [key]: next });
  };
  const shaped = node.fields.map((field): FormField => {
    if (field.node.of !== 'figure') return field;
    const shape = figures[String(held.fact)];
    return { ...field, node: shape?.form ?? { of: 'fixed', value: '' } };
  });
  const shown = shaped.filter(({ key, node: { of } }) => of !== 'fixed' && !locked.includes(at(path, key)));
  const field = ({ key, node: own, isOptional: may }: FormField) => (
    <Field
      key={key}
      node={own}
      label={sayKey(key)}
      path={at(path, key)}
      value={held[key]}
      isOptional={may}
      set={(next) => put(key, next)}
    />
  );
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-3">{shown.filter(({ node: one }) => isSmall(one)).map(field)}</div>
      {shown
        .filter(({ node: one }) => !isSmall(one))
        .map((one) => (
          <fieldset key={one.key} className="border-l-2 border-hair pl-3">
            <legend className="font-semibold">{sayKey(one.key)}</legend>
            {field(one)}
          </fieldset>
        ))}
      {isOptional && !path.includes('.') && (
        <p>
          <button type="button" className="button-plain" onClick={() => set(undefined)}>
            Take {label} out
          </button>
        </p>
      )}
    </div>
  );
}
