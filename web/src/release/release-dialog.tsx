import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../controls/toast.ts';
import { releaseLineByPin } from '@brackenfell/contract/release';
import type { Slip } from '@brackenfell/contract/slip';
import { TextField, useBodyForm } from '../controls/body-form.tsx';
import { Choice } from '../controls/choice.tsx';
import { Dialog } from '../controls/dialog.tsx';
import { isOwnVersion } from '../counter/outbox-flow.ts';
import { useAfterWrites } from '../counter/use-slip-write.ts';
import { call, ProblemError } from '../wire/call.ts';

interface ReleaseDialogProps {
  readonly slip: { readonly slipId: string; readonly version: number };
  readonly line: { readonly lineId: string; readonly printed: string };
  /** The cautions that are let through. */
  readonly says: readonly string[];
  /** The supervisor sits here; otherwise they give their PIN at somebody else's counter. */
  readonly ownSession: boolean;
  readonly onClose: () => void;
}

/** The word as the form holds it; the slip's version is known when it is sent. */
const ByPin = releaseLineByPin.body.omit({ version: true });
const Own = ByPin.partial({ staffId: true, pin: true });

/** The supervisor's word on one line, with its reason. */
export function ReleaseDialog({ slip, line, says, ownSession, onClose }: ReleaseDialogProps) {
  const queries = useQueryClient();
  const staff = useQuery({ queryKey: ['staff'], queryFn: () => call('listStaff', {}), enabled: !ownSession });
  const supervisors = (staff.data?.staff ?? []).filter(({ role }) => role === 'supervisor');
  const { register, handleSubmit, setValue, watch, formState } = useBodyForm(ownSession ? Own : ByPin, { reason: '' });
  const { errors } = formState;
  const who = watch('staffId') ?? supervisors[0]?.id ?? '';
  const afterWrites = useAfterWrites(slip.slipId);
  /** The slip as it was seen here, or as what was written here since has made it; what a colleague made of it is looked at first. */
  const versionSeen = () => {
    const now = queries.getQueryData<Slip>(['slips', slip.slipId]);
    return now && isOwnVersion(now) ? now.version : slip.version;
  };
  const release = useMutation({
    mutationFn: ({ reason, pin = '' }: { reason: string; pin?: string | undefined }) =>
      afterWrites(() => {
        const params = { slipId: slip.slipId, lineId: line.lineId };
        const said = { version: versionSeen(), reason };
        return ownSession
          ? call('releaseLine', { params, body: said })
          : call('releaseLineByPin', { params, body: { ...said, staffId: who, pin } });
      }),
    onSuccess: (after) => {
      queries.setQueryData(['slips', after.slipId], after);
      void queries.invalidateQueries({ queryKey: ['waiting'] });
      toast(`${line.printed} is released.`);
      onClose();
    },
    onError: (error) => {
      if (error instanceof ProblemError && error.problem.code === 'changed-meanwhile')
        void queries.invalidateQueries({ queryKey: ['slips'] });
    },
  });
  return (
    <Dialog title={`Release ${line.printed}`} about="It is told with its cautions all the same." onClose={onClose}>
      <ul className="grid gap-1 pb-3">
        {says.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          if (!ownSession) setValue('staffId', who);
          void handleSubmit((said) => release.mutate(said))(event);
        }}
        noValidate
      >
        <TextField label="Why it may be sold" error={errors.reason} autoFocus maxLength={300} {...register('reason')} />
        {!ownSession && (
          <div className="grid grid-cols-[1fr_8rem] gap-2">
            <Choice
              label="Supervisor"
              value={who}
              options={supervisors.map(({ id, name }) => ({ value: id, says: name }))}
              onChange={(staffId) => setValue('staffId', staffId)}
            />
            <TextField
              label="PIN"
              error={errors.pin}
              className="num"
              type="password"
              inputMode="numeric"
              autoComplete="off"
              maxLength={8}
              {...register('pin')}
            />
          </div>
        )}
        <button type="submit" className="button-act justify-self-start" disabled={release.isPending}>
          Release
        </button>
      </form>
      {release.error && (
        <p role="alert" className="pt-2 text-madder">
          {release.error.message}
        </p>
      )}
    </Dialog>
  );
}
