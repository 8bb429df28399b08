import { useMutation, useQueryClient } from '@tanstack/react-query';
import { toast } from '../controls/toast.ts';
import type { RequestOf } from '@brackenfell/contract/endpoints';
import { addSeller } from '@brackenfell/contract/quarantine';
import { CHANNEL_WORDS, CHANNELS } from '@brackenfell/core/authenticity/prior';
import { fieldProblem, TextField, useBodyForm } from '../controls/body-form.tsx';
import { call } from '../wire/call.ts';

const EMPTY = { name: '', channel: 'wholesale' } as const;

/** Somebody that deliveries come from, before their first. */
export function NewSeller() {
  const queries = useQueryClient();
  const { register, handleSubmit, reset, formState } = useBodyForm(addSeller.body, EMPTY);
  const add = useMutation({
    mutationFn: (body: RequestOf<'addSeller'>['body']) => call('addSeller', { body }),
    onSuccess: ({ name }) => {
      toast(`${name} is added: their deliveries can be taken in.`);
      reset(EMPTY);
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ['sellers'] }),
  });
  return (
    <form
      className="flex flex-wrap items-end gap-3 pb-3"
      aria-label="A new seller"
      onSubmit={(event) => void handleSubmit((body) => add.mutate(body))(event)}
      noValidate
    >
      <TextField
        label="A new seller"
        autoComplete="off"
        error={formState.errors.name ?? fieldProblem(add.error, 'name')}
        {...register('name')}
      />
      <label className="grid gap-1">
        <span className="text-slate">Its parts come by</span>
        <select className="field" data-choice {...register('channel')}>
          {CHANNELS.map((channel) => (
            <option key={channel} value={channel}>
              {CHANNEL_WORDS[channel]}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="button-quiet" disabled={add.isPending}>
        Add
      </button>
      {add.error && !fieldProblem(add.error, 'name') && (
        <span role="alert" className="text-madder">
          {add.error.message}
        </span>
      )}
    </form>
  );
}
