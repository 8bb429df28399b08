import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { Dialog } from '../controls/dialog.tsx';
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

/** The supervisor's word on one line, with its reason. */
export function ReleaseDialog({ slip, line, says, ownSession, onClose }: ReleaseDialogProps) {
  const queries = useQueryClient();
  const staff = useQuery({ queryKey: ['staff'], queryFn: () => call('listStaff', {}), enabled: !ownSession });
  const supervisors = (staff.data?.staff ?? []).filter(({ role }) => role === 'supervisor');
  const [who, choose] = useState<string>();
  const [pin, setPin] = useState('');
  const [reason, setReason] = useState('');
  const staffId = who ?? supervisors[0]?.id;
  const release = useMutation({
    mutationFn: () => {
      const params = { slipId: slip.slipId, lineId: line.lineId };
      const said = { version: slip.version, reason: reason.trim() };
      return ownSession
        ? call('releaseLine', { params, body: said })
        : call('releaseLineByPin', { params, body: { ...said, staffId: staffId!, pin } });
    },
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
          event.preventDefault();
          release.mutate();
        }}
      >
        <label className="grid gap-1">
          <span className="text-slate">Why it may be sold</span>
          <input
            className="field"
            autoFocus
            value={reason}
            maxLength={300}
            onChange={(event) => setReason(event.target.value)}
          />
        </label>
        {!ownSession && (
          <div className="grid grid-cols-[1fr_8rem] gap-2">
            <label className="grid gap-1">
              <span className="text-slate">Supervisor</span>
              <select className="field" value={staffId ?? ''} onChange={(event) => choose(event.target.value)}>
                {supervisors.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
            <label className="grid gap-1">
              <span className="text-slate">PIN</span>
              <input
                className="field num"
                type="password"
                inputMode="numeric"
                autoComplete="off"
                maxLength={8}
                value={pin}
                onChange={(event) => setPin(event.target.value)}
              />
            </label>
          </div>
        )}
        <button
          type="submit"
          className="button-act justify-self-start"
          disabled={release.isPending || reason.trim().length < 3 || (!ownSession && (pin === '' || !staffId))}
        >
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
