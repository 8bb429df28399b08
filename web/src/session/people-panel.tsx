import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { ROLES, type Role } from '@brackenfell/contract/endpoint';
import type { ResponseOf, RequestOf } from '@brackenfell/contract/endpoints';
import { addPerson, resetSecrets } from '@brackenfell/contract/shop';
import { fieldProblem, TextField, useBodyForm } from '../controls/body-form.tsx';
import { call } from '../wire/call.ts';

type Person = ResponseOf<'listPeople'>['people'][number];

/** What each may do, in one line, where it is chosen. */
const ROLE_WORDS: Readonly<Record<Role, string>> = {
  specialist: 'specialist: serves, alone',
  starter: 'starter: serves, asks for a word',
  supervisor: 'supervisor: gives the word, lets others in',
  editor: 'editor: keeps the catalogue',
};

/** After a change of people: wherever they are listed. */
function useAfterPeople() {
  const queries = useQueryClient();
  return () => {
    void queries.invalidateQueries({ queryKey: ['people'] });
    void queries.invalidateQueries({ queryKey: ['staff'] });
  };
}

/** Everybody who works here: what they may do, kept out or in, a new secret for who forgot it, and somebody new. */
export function PeoplePanel({ ownId }: { readonly ownId: string }) {
  const people = useQuery({ queryKey: ['people'], queryFn: () => call('listPeople', {}) });
  const [open, setOpen] = useState<string>();
  return (
    <section aria-label="Who works here">
      <h2 className="font-semibold text-slate">Who works here</h2>
      {people.error && (
        <p role="alert" className="text-madder">
          {people.error.message}
        </p>
      )}
      <ul>
        {people.data?.people.map((person) => (
          <li key={person.id} className="border-t border-hair py-1">
            <PersonRow
              person={person}
              isSelf={person.id === ownId}
              onReset={() => setOpen(open === person.id ? undefined : person.id)}
            />
            {open === person.id && <ResetForm person={person} onDone={() => setOpen(undefined)} />}
          </li>
        ))}
      </ul>
      <p className="text-soft">Who is kept out is signed out everywhere at once; what they wrote stays.</p>
      {open === 'new' ? (
        <NewPersonForm onDone={() => setOpen(undefined)} />
      ) : (
        <button type="button" className="button-quiet mt-2" onClick={() => setOpen('new')}>
          Add somebody
        </button>
      )}
    </section>
  );
}

interface PersonRowProps {
  readonly person: Person;
  readonly isSelf: boolean;
  readonly onReset: () => void;
}

function PersonRow({ person, isSelf, onReset }: PersonRowProps) {
  const after = useAfterPeople();
  const onError = (error: Error) => toast.error(error.message);
  const setActive = useMutation({
    mutationFn: (active: boolean) => call('setStaffActive', { params: { staffId: person.id }, body: { active } }),
    onSettled: after,
    onError,
  });
  const setRole = useMutation({
    mutationFn: (role: Role) => call('changePerson', { params: { staffId: person.id }, body: { role } }),
    onSuccess: ({ name, role }) => toast(`${name} is ${role} now.`),
    onSettled: after,
    onError,
  });
  return (
    <div className="flex flex-wrap items-baseline gap-2">
      <b className="font-semibold">{person.name}</b>
      {!person.active && <span className="text-soft">kept out</span>}
      <select
        className="field ml-auto w-auto"
        data-choice
        aria-label={`What ${person.name} may do`}
        value={person.role}
        disabled={setRole.isPending}
        onChange={(event) => setRole.mutate(event.target.value as Role)}
      >
        {ROLES.map((role) => (
          <option key={role} value={role}>
            {role}
          </option>
        ))}
      </select>
      {!isSelf && (
        <>
          <button
            type="button"
            className="button-plain"
            aria-label={`New password for ${person.name}`}
            onClick={onReset}
          >
            New password
          </button>
          <button
            type="button"
            className="button-plain"
            aria-label={`${person.active ? 'Keep out' : 'Let in again'}: ${person.name}`}
            onClick={() => setActive.mutate(!person.active)}
          >
            {person.active ? 'Keep out' : 'Let in again'}
          </button>
        </>
      )}
    </div>
  );
}

const SECRET = { type: 'password', autoComplete: 'off' } as const;

function ResetForm({ person, onDone }: { readonly person: Person; readonly onDone: () => void }) {
  const { register, handleSubmit, formState } = useBodyForm(resetSecrets.body, { password: '', pin: '' });
  const reset = useMutation({
    mutationFn: (body: RequestOf<'resetSecrets'>['body']) =>
      call('resetSecrets', { params: { staffId: person.id }, body }),
    onSuccess: () => {
      toast(`${person.name} has a new password and PIN, and is signed out everywhere.`);
      onDone();
    },
  });
  return (
    <form
      className="grid max-w-80 gap-2 py-2"
      aria-label={`New password and PIN for ${person.name}`}
      onSubmit={(event) => void handleSubmit((body) => reset.mutate(body))(event)}
      noValidate
    >
      <TextField
        {...SECRET}
        autoFocus
        label="New password"
        error={formState.errors.password}
        {...register('password')}
      />
      <TextField {...SECRET} label="New PIN" error={formState.errors.pin} {...register('pin')} />
      <FormFoot error={reset.error} isPending={reset.isPending} says="Give it" onDone={onDone} />
    </form>
  );
}

function NewPersonForm({ onDone }: { readonly onDone: () => void }) {
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
      {error && (
        <p role="alert" className="text-madder">
          {error.message}
        </p>
      )}
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
