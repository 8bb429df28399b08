import { useMutation, useQueryClient } from '@tanstack/react-query';
import { toast } from '../controls/toast.ts';
import { ROLES, type Role } from '@brackenfell/contract/endpoint';
import type { RequestOf, ResponseOf } from '@brackenfell/contract/endpoints';
import { addPerson, resetSecrets } from '@brackenfell/contract/shop';
import { fieldProblem, TextField, useBodyForm } from '../controls/body-form.tsx';
import { Trouble } from '../controls/trouble.tsx';
import { call } from '../wire/call.ts';

export type Person = ResponseOf<'listPeople'>['people'][number];

/** What each may do, in one line, where it is chosen. */
const ROLE_WORDS: Readonly<Record<Role, string>> = {
  specialist: 'specialist: serves, alone',
  starter: 'starter: serves, asks for a word',
  supervisor: 'supervisor: gives the word, lets others in',
  editor: 'editor: keeps the catalogue',
};

/** After a change of people: wherever they are listed. */
export function useAfterPeople() {
  const queries = useQueryClient();
  return () => {
    void queries.invalidateQueries({ queryKey: ['people'] });
    void queries.invalidateQueries({ queryKey: ['staff'] });
  };
}

const SECRET = { type: 'password', autoComplete: 'off' } as const;

/** Why somebody gets a new password and PIN. */
export type SecretsFor = 'forgotten' | 'supervisor';

interface SecretsFormProps {
  readonly person: Person;
  readonly as: SecretsFor;
  readonly onDone: () => void;
}

/** A new password and PIN; who becomes a supervisor gets them with the role, for theirs lets others in. */
export function SecretsForm({ person, as, onDone }: SecretsFormProps) {
  const after = useAfterPeople();
  const { register, handleSubmit, formState } = useBodyForm(resetSecrets.body, { password: '', pin: '' });
  const { errors } = formState;
  const params = { staffId: person.id };
  const give = useMutation({
    mutationFn: async (secrets: RequestOf<'resetSecrets'>['body']) =>
      as === 'supervisor'
        ? call('changePerson', { params, body: { role: 'supervisor', secrets } })
        : call('resetSecrets', { params, body: secrets }),
    onSuccess: () => {
      toast(`${person.name} has a new password and PIN, and is signed out everywhere.`);
      after();
      onDone();
    },
  });
  return (
    <form
      className="grid max-w-80 gap-2 py-2"
      aria-label={as === 'supervisor' ? `${person.name} as supervisor` : `New password and PIN for ${person.name}`}
      onSubmit={(event) => void handleSubmit((secrets) => give.mutate(secrets))(event)}
      noValidate
    >
      {as === 'supervisor' && (
        <p className="text-soft">A supervisor lets others in: a password of twelve characters.</p>
      )}
      <TextField
        {...SECRET}
        autoFocus
        label="New password"
        error={errors.password ?? fieldProblem(give.error, 'password') ?? fieldProblem(give.error, 'secrets.password')}
        {...register('password')}
      />
      <TextField {...SECRET} label="New PIN" error={errors.pin} {...register('pin')} />
      <FormFoot error={give.error} isPending={give.isPending} says="Give it" onDone={onDone} />
    </form>
  );
}

/** Somebody new, with what they begin with. */
export function NewPersonForm({ onDone }: { readonly onDone: () => void }) {
  const after = useAfterPeople();
  const { register, handleSubmit, formState } = useBodyForm(addPerson.body, {
    name: '',
    initials: '',
    role: 'specialist',
    password: '',
    pin: '',
  });
  const { errors } = formState;
  const add = useMutation({
    mutationFn: (body: RequestOf<'addPerson'>['body']) => call('addPerson', { body }),
    onSuccess: ({ name }) => {
      toast(`${name} may sign in now.`);
      after();
      onDone();
    },
  });
  return (
    <form
      className="grid max-w-80 gap-2 py-2"
      aria-label="Somebody new"
      onSubmit={(event) => void handleSubmit((body) => add.mutate(body))(event)}
      noValidate
    >
      <TextField
        autoFocus
        autoComplete="off"
        label="Name to sign in with"
        error={errors.name ?? fieldProblem(add.error, 'name')}
        {...register('name')}
      />
      <TextField autoComplete="off" label="Initials" maxLength={3} error={errors.initials} {...register('initials')} />
      <label className="grid gap-1">
        <span className="text-slate">May</span>
        <select className="field" data-choice {...register('role')}>
          {ROLES.map((role) => (
            <option key={role} value={role}>
              {ROLE_WORDS[role]}
            </option>
          ))}
        </select>
      </label>
      <TextField {...SECRET} label="Password to begin with" error={errors.password} {...register('password')} />
      <TextField {...SECRET} label="PIN to begin with" error={errors.pin} {...register('pin')} />
      <FormFoot error={add.error} isPending={add.isPending} says="Add" onDone={onDone} />
    </form>
  );
}

interface FormFootProps {
  readonly error: Error | null;
  readonly isPending: boolean;
  readonly says: string;
  readonly onDone: () => void;
}

function FormFoot({ error, isPending, says, onDone }: FormFootProps) {
  return (
    <>
      <Trouble error={error} />
      <p className="flex gap-2">
        <button type="submit" className="button-act" disabled={isPending}>
          {says}
        </button>
        <button type="button" className="button-quiet" onClick={onDone}>
          Leave it
        </button>
      </p>
    </>
  );
}
