import { createContext } from 'react';
import type { FormNode } from '@brackenfell/core/record/form-node';

/** What the whole form knows: what is wrong where, which facts there are, what is not for the hand. */
export interface FormAbout {
  /** By path: `positions.1.build`. */
  readonly wrong: Readonly<Record<string, string>>;
  readonly figures: Readonly<Record<string, { readonly label: string; readonly form: FormNode }>>;
  /** Paths that are filled in by themselves. */
  readonly locked: readonly string[];
}
export const FormContext = createContext<FormAbout>({ wrong: {}, figures: {}, locked: [] });

export interface FieldProps<N extends FormNode = FormNode> {
  readonly node: N;
  readonly label: string;
  readonly path: string;
  readonly value: unknown;
  readonly isOptional?: boolean;
  /** Undefined takes the field out of the record. */
  readonly set: (value: unknown) => void;
}
export type Of<K extends FormNode['of']> = FieldProps<Extract<FormNode, { of: K }>>;

export const at = (path: string, key: string | number): string => (path === '' ? String(key) : `${path}.${key}`);

/** What is filled in at one place. */
export const isSmall = ({ of }: FormNode): boolean =>
  of === 'text' || of === 'number' || of === 'choice' || of === 'flag';
