import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { counted } from '@brackenfell/core/words/counted';
import type { Staff } from '@brackenfell/contract/session';
import { Dialog } from '../controls/dialog.tsx';
import { Key } from '../controls/key.tsx';
import { useKeys } from '../keys/keys.ts';
import { call } from '../wire/call.ts';
import { toast } from '../controls/toast.ts';
import { useSignOut, useSwitchPerson, type BeforeItEnds } from './use-session.ts';

/** Letters that choose an answer, everywhere alike. */
export const LETTERS = 'abcdefghijklm';

interface SwitchPersonProps {
  readonly me: Staff;
  readonly beforeItEnds: BeforeItEnds;
  readonly onClose: () => void;
}

/** Hands the counter over: a letter picks the person, the PIN confirms. */
export function SwitchPerson({ me, beforeItEnds, onClose }: SwitchPersonProps) {
  const staff = useQuery({ queryKey: ['staff'], queryFn: () => call('listStaff', {}) });
  const others = (staff.data?.staff ?? []).filter((person) => person.id !== me.id);
  const [chosen, choose] = useState<Staff>();
  const [pin, setPin] = useState('');
  const switching = useSwitchPerson(beforeItEnds);
  const signOut = useSignOut(beforeItEnds);
  const navigate = useNavigate();
  useKeys(
    'Hand over the counter',
    others.map((person, i) => ({ press: LETTERS[i]!, does: person.name, run: () => choose(person) })),
    { inDialog: true, active: chosen === undefined && others.length > 0 },
  );
  return (
    <Dialog
      title="Hand over the counter"
      about="The slip and everything on the desk stay as they are."
      onClose={onClose}
    >
      {staff.isPending && <p className="text-soft">Fetching who works here …</p>}
      {staff.error && (
        <p role="alert" className="text-madder">
          {staff.error.message}
        </p>
      )}
      <ul className="grid gap-1">
        {others.map((person, i) => (
          <li key={person.id}>
            <button
              type="button"
              className={`flex min-h-8 w-full items-center gap-2 border px-2 text-left ${chosen?.id === person.id ? 'border-bracken bg-bracken-wash' : 'border-hair'}`}
              onClick={() => choose(person)}
            >
              <Key>{LETTERS[i]}</Key>
              <b className="font-semibold">{person.name}</b>
              <span className="text-soft">{person.role}</span>
            </button>
          </li>
        ))}
      </ul>
      {chosen && (
        <form
          className="mt-3 flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            switching.mutate(
              { staffId: chosen.id, pin },
              {
                onSuccess: ({ unsent }) => {
                  onClose();
                  if (unsent > 0)
                    toast(
                      `${counted(unsent, 'change')} of ${me.name} could not be sent: kept here, and sent when ${me.name} takes over again.`,
                    );
                },
              },
            );
          }}
        >
          <label className="grid flex-1 gap-1">
            <span className="text-slate">PIN of {chosen.name}</span>
            <input
              className="field num"
              type="password"
              inputMode="numeric"
              autoComplete="off"
              autoFocus
              maxLength={8}
              value={pin}
              onChange={(event) => setPin(event.target.value)}
            />
          </label>
          <button className="button-act" type="submit" disabled={switching.isPending}>
            Take over
          </button>
        </form>
      )}
      {switching.error && (
        <p role="alert" className="mt-2 text-madder">
          {switching.error.message}
        </p>
      )}
      <p className="mt-4 border-t border-hair pt-3">
        <button
          type="button"
          className="button-plain"
          onClick={() => signOut.mutate(undefined, { onSuccess: onClose })}
        >
          Sign {me.name} out
        </button>{' '}
        <button
          type="button"
          className="button-plain"
          onClick={() => {
            onClose();
            void navigate('/people');
          }}
        >
          Sign-ins, password and PIN
        </button>
      </p>
    </Dialog>
  );
}
