import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, type DefaultValues, type FieldValues, type UseFormReturn } from 'react-hook-form';
import type { z } from 'zod';
import { ProblemError } from '../wire/call.ts';
import { counted } from '@brackenfell/core/words/counted';

/** What is wrong with a field, in words a counter person uses. */
function sayIssue(issue: z.core.$ZodRawIssue): string | undefined {
  switch (issue.code) {
    case 'invalid_type':
      return 'Fill this in.';
    case 'too_small':
      return Number(issue.minimum) <= 1 ? 'Fill this in.' : `At least ${counted(Number(issue.minimum), 'character')}.`;
    case 'too_big':
      return `At most ${counted(Number(issue.maximum), 'character')}.`;
    default:
      return undefined;
  }
}

/** A form of what an endpoint takes: the contract's own schema says which fields are right, before anything is sent. */
export const useBodyForm = <S extends z.ZodType<FieldValues, FieldValues>>(
  schema: S,
  defaultValues: DefaultValues<z.input<S>>,
): UseFormReturn<z.input<S>, unknown, z.output<S>> =>
  useForm({ resolver: zodResolver(schema, { error: sayIssue }), defaultValues });

/** What the server said of one field. */
export function fieldProblem(error: unknown, name: string): { readonly message: string } | undefined {
  const message = error instanceof ProblemError ? error.problem.fields?.[name] : undefined;
  return message === undefined ? undefined : { message };
}

interface TextFieldProps extends React.ComponentProps<'input'> {
  readonly label: string;
  readonly error?: { readonly message?: string | undefined } | undefined;
}

/** A field with its label before it and what is wrong with it beneath. */
export function TextField({ label, error, className = '', ...input }: TextFieldProps) {
  return (
    <label className="grid gap-1">
      <span className="text-slate">{label}</span>
      <input {...input} className={`field ${className}`} aria-invalid={error !== undefined} />
      {error?.message && (
        <span role="alert" className="text-xs text-madder">
          {error.message}
        </span>
      )}
    </label>
  );
}
