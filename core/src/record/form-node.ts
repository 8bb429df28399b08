/** What somebody fills in, as a tree. It is made from a JSON Schema, so that a form and what is accepted cannot differ. */
export type FormNode =
  | { readonly of: 'text'; readonly longest: number; readonly pattern?: string }
  | { readonly of: 'number'; readonly isWhole: boolean; readonly least?: number; readonly most?: number }
  | { readonly of: 'flag' }
  | { readonly of: 'choice'; readonly options: readonly (string | number)[] }
  /** Always the same; filled in by itself. */
  | { readonly of: 'fixed'; readonly value: string | number | boolean }
  | { readonly of: 'group'; readonly fields: readonly FormField[] }
  | { readonly of: 'list'; readonly each: FormNode; readonly least: number }
  /** By words of one’s own. */
  | { readonly of: 'table'; readonly each: FormNode }
  /** One of several shapes. */
  | { readonly of: 'either'; readonly options: readonly FormNode[] }
  /** A value whose shape is told by the fact beside it. */
  | { readonly of: 'figure' };

export interface FormField {
  readonly key: string;
  readonly node: FormNode;
  readonly isOptional: boolean;
}

/** As much of JSON Schema as records use. */
interface Schema {
  readonly $ref?: string;
  readonly $defs?: Readonly<Record<string, Schema>>;
  readonly type?: string;
  readonly const?: string | number | boolean;
  readonly enum?: readonly (string | number)[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly additionalProperties?: Schema | boolean;
  readonly items?: Schema;
  readonly minItems?: number;
  readonly maxLength?: number;
  readonly pattern?: string;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
}

const LONGEST = 300;

/** The form of a JSON Schema; throws where a schema asks for what no form can give. */
export function formNode(schema: unknown, named = (schema as Schema).$defs ?? {}): FormNode {
  const given = schema as Schema;
  const s = given.$ref === undefined ? given : (named[given.$ref.replace('#/$defs/', '')] ?? given);
  if (s.const !== undefined) return { of: 'fixed', value: s.const };
  if (s.enum) return { of: 'choice', options: s.enum };
  const either = s.oneOf ?? s.anyOf;
  if (either) return eitherOf(either.map((one) => formNode(one, named)));
  switch (s.type) {
    case 'string':
      return { of: 'text', longest: s.maxLength ?? LONGEST, ...(s.pattern ? { pattern: s.pattern } : {}) };
    case 'number':
    case 'integer':
      return {
        of: 'number',
        isWhole: s.type === 'integer',
        ...(s.minimum === undefined ? {} : { least: s.minimum }),
        ...(s.maximum === undefined ? {} : { most: s.maximum }),
      };
    case 'boolean':
      return { of: 'flag' };
    case 'array':
      return { of: 'list', each: formNode(s.items, named), least: s.minItems ?? 0 };
    case 'object':
      return s.properties
        ? {
            of: 'group',
            fields: Object.entries(s.properties).map(([key, field]) => ({
              key,
              node: isFigureValue(s, key) ? { of: 'figure' } : formNode(field, named),
              isOptional: !(s.required ?? []).includes(key),
            })),
          }
        : { of: 'table', each: formNode(s.additionalProperties, named) };
    default:
      throw new Error(`No form is made of ${JSON.stringify(schema).slice(0, 80)}.`);
  }
}

const isFigureValue = ({ properties = {} }: Schema, key: string): boolean =>
  key === 'value' && 'fact' in properties && 'rank' in properties;

/** Several fixed values are a choice among them. */
function eitherOf(options: readonly FormNode[]): FormNode {
  const fixed = options.flatMap((one) => (one.of === 'fixed' && typeof one.value !== 'boolean' ? [one.value] : []));
  return fixed.length === options.length ? { of: 'choice', options: fixed } : { of: 'either', options };
}

/** What a part of a form begins with, before anybody has filled in anything; undefined where nothing can be supposed. */
export function emptyOf(node: FormNode): unknown {
  switch (node.of) {
    case 'fixed':
      return node.value;
    case 'flag':
      return false;
    case 'text':
      return '';
    case 'choice':
    case 'number':
    case 'figure':
      return undefined;
    case 'list':
      return Array.from({ length: node.least }, () => emptyOf(node.each));
    case 'table':
      return {};
    case 'either':
      return emptyOf(node.options[0]!);
    case 'group':
      return Object.fromEntries(
        node.fields
          .filter(({ isOptional }) => !isOptional)
          .map(({ key, node: field }): [string, unknown] => [key, emptyOf(field)])
          .filter(([, value]) => value !== undefined),
      );
  }
}

/** Whether a value is of a shape, by what tells shapes apart: its kind of value, and the fixed words in it. */
export function looksLike(node: FormNode, value: unknown): boolean {
  switch (node.of) {
    case 'fixed':
      return value === node.value;
    case 'flag':
      return typeof value === 'boolean';
    case 'text':
      return typeof value === 'string';
    case 'choice':
      return node.options.includes(value as string);
    case 'number':
      return typeof value === 'number';
    case 'list':
      return Array.isArray(value);
    case 'figure':
      return true;
    case 'either':
      return node.options.some((one) => looksLike(one, value));
    case 'table':
    case 'group': {
      if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
      const fields = node.of === 'group' ? node.fields : [];
      return fields.every(
        ({ key, node: field }) => field.of !== 'fixed' || (value as Record<string, unknown>)[key] === field.value,
      );
    }
  }
}
