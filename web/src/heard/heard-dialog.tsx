import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from '../controls/toast.ts';
import type { HeardClaim } from '@brackenfell/contract/heard';
import type { Staff } from '@brackenfell/contract/session';
import { BASIS_WORDS, claimAnswersTo } from '@brackenfell/core/heard/claims';
import { Dialog } from '../controls/dialog.tsx';
import { useDraftOf } from '../controls/draft.ts';
import { OneOf } from '../controls/one-of.tsx';
import { SureButton } from '../controls/sure-button.tsx';
import { useCounter } from '../counter/use-counter.ts';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';

const BASES = [
  { value: 'check', says: BASIS_WORDS.check },
  { value: 'unknown', says: BASIS_WORDS.unknown },
] as const;

/** What customers say, each answered by a check, a sum with this engine's figures, or as not known. */
export function HeardDialog({ me, onClose }: { readonly me: Staff; readonly onClose: () => void }) {
  const { engineId } = useCounter();
  const { units } = useSettings();
  const [question, ask] = useState('');
  const [mending, mend] = useState<HeardClaim | 'new'>();
  const { data, error } = useQuery({
    queryKey: ['heard', engineId, units],
    queryFn: () => call('listClaims', { query: { units, ...(engineId ? { engine: engineId } : {}) } }),
  });
  const found = data?.claims.filter(({ says, words }) => claimAnswersTo(says, words, question.trim()));
  return (
    <Dialog
      title="Heard at the counter"
      about="Answered by a check, by a sum with the figures of the engine on the slip, or as not known."
      onClose={onClose}
      wide
    >
      <label className="grid gap-0.5 pb-2">
        <span className="text-slate">Find by its words</span>
        <input
          className="field"
          autoFocus
          value={question}
          maxLength={80}
          onChange={(event) => ask(event.target.value)}
        />
      </label>
      {error && (
        <p role="alert" className="text-madder">
          {error.message}
        </p>
      )}
      {!found && !error && <p className="text-soft">Fetching what is heard …</p>}
      {found?.length === 0 && <p className="text-soft">Nothing like it is written down yet.</p>}
      <ul tabIndex={0} aria-label="Claims and their answers">
        {found?.map((claim) => (
          <li key={claim.claimId} className="border-t border-hair py-1">
            <span className="flex items-baseline justify-between gap-2">
              <b className="font-semibold">“{claim.says}”</b>
              <span className="whitespace-nowrap text-soft">
                {BASIS_WORDS[claim.basis]}
                {claim.by && `, ${claim.by}`}
              </span>
            </span>
            <span className="block">{claim.answer}</span>
            {me.role === 'supervisor' && (
              <button
                type="button"
                className="button-quiet"
                aria-label={`Answer it otherwise: ${claim.says}`}
                onClick={() => mend(claim)}
              >
                answer it otherwise
              </button>
            )}
          </li>
        ))}
      </ul>
      {me.role === 'supervisor' &&
        (mending ? (
          <ClaimForm
            key={mending === 'new' ? 'new' : mending.claimId}
            claim={mending === 'new' ? undefined : mending}
            onClose={() => mend(undefined)}
          />
        ) : (
          <button type="button" className="button-plain mt-2" onClick={() => mend('new')}>
            Write another down
          </button>
        ))}
    </Dialog>
  );
}

interface Draft {
  readonly says: string;
  readonly answer: string;
  readonly basis: 'check' | 'unknown';
}

interface ClaimFormProps {
  readonly claim: HeardClaim | undefined;
  readonly onClose: () => void;
}

/** The shop's own answer: resting on a check, or saying that nobody knows. */
function ClaimForm({ claim, onClose }: ClaimFormProps) {
  const draft = useDraftOf<Draft>(`claim ${claim?.claimId ?? 'new'}`, {
    says: claim?.says ?? '',
    answer: claim?.answer ?? '',
    basis: claim?.basis === 'unknown' ? 'unknown' : 'check',
  });
  const { says, answer, basis } = draft.value;
  const queries = useQueryClient();
  const write = useMutation({
    mutationFn: (isTakenAway: boolean) =>
      call('saveClaim', {
        params: { claimId: claim?.claimId ?? crypto.randomUUID() },
        body: { says: says.trim(), answer: answer.trim(), basis, isTakenAway },
      }),
    onSuccess: () => {
      draft.clear();
      void queries.invalidateQueries({ queryKey: ['heard'] });
      onClose();
    },
    onError: (error: Error) => toast.error(`${error.message} Nothing was changed; what you wrote is kept.`),
  });
  const isReady = says.trim().length >= 3 && answer.trim().length >= 3 && !write.isPending;
  return (
    <form
      className="mt-2 grid gap-2 border-t border-line pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (isReady) write.mutate(false);
      }}
    >
      <label className="grid gap-0.5">
        <span className="text-slate">What is said</span>
        <input
          className="field"
          value={says}
          maxLength={120}
          onChange={(event) => draft.set({ ...draft.value, says: event.target.value })}
        />
      </label>
      <label className="grid gap-0.5">
        <span className="text-slate">What the shop answers</span>
        <textarea
          className="field h-20 py-1"
          value={answer}
          maxLength={400}
          onChange={(event) => draft.set({ ...draft.value, answer: event.target.value })}
        />
      </label>
      <OneOf
        label="It rests on"
        value={basis}
        options={BASES}
        onChange={(value) => draft.set({ ...draft.value, basis: value })}
      />
      <p className="flex flex-wrap gap-2">
        <button type="submit" className="button-act" disabled={!isReady}>
          Write it down
        </button>
        <button type="button" className="button-plain" onClick={onClose}>
          Leave it
        </button>
        {claim && (
          <SureButton asks="Take it away" sure="Take it away for everybody" onSure={() => write.mutate(true)} />
        )}
      </p>
    </form>
  );
}
