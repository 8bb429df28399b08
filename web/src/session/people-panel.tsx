import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from '../controls/toast.ts';
import { ROLES, type Role } from '@brackenfell/contract/endpoint';
import { Trouble } from '../controls/trouble.tsx';
import { call } from '../wire/call.ts';
import { NewPersonForm, SecretsForm, useAfterPeople, type Person, type SecretsFor } from './person-forms.tsx';

/** Everybody who works here: what they may do, kept out or in, a new secret for who forgot it, and somebody new. */
export function PeoplePanel({ ownId }: { readonly ownId: string }) {
  const people = useQuery({ queryKey: ['people'], queryFn: () => call('listPeople', {}) });
  const [open, setOpen] = useState<{ readonly id: string; readonly as: SecretsFor }>();
  const [isAdding, setAdding] = useState(false);
  return (
    <section aria-label="Who works here">
      <h2 className="font-semibold text-slate">Who works here</h2>
      <Trouble error={people.error} />
      <ul>
        {people.data?.people.map((person) => (
          <li key={person.id} className="border-t border-hair py-1">
            <PersonRow
              person={person}
              isSelf={person.id === ownId}
              onSecrets={(as) => setOpen(open?.id === person.id ? undefined : { id: person.id, as })}
            />
            {open?.id === person.id && <SecretsForm person={person} as={open.as} onDone={() => setOpen(undefined)} />}
          </li>
        ))}
      </ul>
      <p className="text-soft">Who is kept out is signed out everywhere at once; what they wrote stays.</p>
      {isAdding ? (
        <NewPersonForm onDone={() => setAdding(false)} />
      ) : (
        <button type="button" className="button-quiet mt-2" onClick={() => setAdding(true)}>
          Add somebody
        </button>
      )}
    </section>
  );
}

interface PersonRowProps {
  readonly person: Person;
  readonly isSelf: boolean;
  /** A new password and PIN are to be given: to who forgot them, or to who becomes a supervisor. */
  readonly onSecrets: (as: SecretsFor) => void;
}

function PersonRow({ person, isSelf, onSecrets }: PersonRowProps) {
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
        onChange={({ target }) =>
          target.value === 'supervisor' ? onSecrets('supervisor') : setRole.mutate(target.value as Role)
        }
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
            onClick={() => onSecrets('forgotten')}
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
