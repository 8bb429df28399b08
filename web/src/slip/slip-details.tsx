import { useState } from 'react';
import { toast } from '../controls/toast.ts';
import type { Slip } from '@brackenfell/contract/slip';
import { readDuty, sayDuty } from '@brackenfell/core/duty/duty-text';
import { meant } from '../counter/meant.ts';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useUnsent } from '../counter/use-unsent.ts';

/** Detail fields that are stored when left. */
const DETAILS = [
  { label: 'For', hint: 'name', name: 'customer', longest: 120 },
  { label: 'Phone', hint: 'to ring back', name: 'phone', longest: 40 },
  { label: 'Vehicle', hint: 'what it is, plate', name: 'vehicle', longest: 120 },
  { label: 'Came for', hint: 'why they came', name: 'cameFor', longest: 200 },
] as const;

/** Who the slip is for, what it is fitted to, and for how many engines. */
export function SlipDetails({ slip, disabled }: { slip: Slip; disabled: boolean }) {
  const write = useSlipWrite();
  const unsent = useUnsent(slip.slipId);
  const store = (body: object, says: string) =>
    write.mutate(slipCall('changeSlip', { params: { slipId: slip.slipId }, body }, says));
  return (
    <dl className="slip-details">
      {DETAILS.map(({ label, hint, name, longest }) => (
        <Detail
          key={name}
          label={label}
          hint={hint}
          stored={meant(slip, name, unsent)}
          longest={longest}
          disabled={disabled}
          store={(text) => store({ [name]: text }, `${label}: ${text}`)}
        />
      ))}
      <dt>Engine</dt>
      <dd>
        {slip.engine ?? <span className="text-ash">not chosen</span>}
        {slip.build && <span className="text-soft">, {slip.build}</span>}
      </dd>
      {slip.engineId !== null && (
        <Detail
          label="Engines"
          hint="how many such"
          stored={String(meant(slip, 'engineCount', unsent))}
          longest={2}
          disabled={disabled}
          store={(text) => {
            const count = Number(text);
            if (Number.isInteger(count) && count >= 1 && count <= 50)
              store({ engineCount: count }, `engines: ${count}`);
            else toast.error('How many such engines: a whole number from 1 to 50.');
          }}
        />
      )}
      {slip.duty !== '' && (
        <>
          <dt>Duty</dt>
          <dd>{sayDuty(readDuty(slip.duty) ?? {})}</dd>
        </>
      )}
      {slip.rules.length > 0 && (
        <>
          <dt>Rules</dt>
          <dd>
            {slip.rules.map(({ rule, title, says, reason, by }) => (
              <span key={rule} className="block" title={`${reason} (${by})`}>
                {title}: {says.toLowerCase()}
              </span>
            ))}
          </dd>
        </>
      )}
      {slip.inHand && (
        <>
          <dt>In hand</dt>
          <dd className="num">{slip.inHand.printed}</dd>
        </>
      )}
    </dl>
  );
}

interface DetailProps {
  readonly label: string;
  readonly hint: string;
  readonly stored: string;
  readonly longest: number;
  readonly disabled: boolean;
  readonly store: (text: string) => void;
}

function Detail({ label, hint, stored, longest, disabled, store }: DetailProps) {
  const [typed, setTyped] = useState<string>();
  const commit = () => {
    if (typed !== undefined && typed.trim() !== stored) store(typed.trim());
    setTyped(undefined);
  };
  return (
    <>
      <dt>{label}</dt>
      <dd>
        <input
          className="quiet-field"
          aria-label={label}
          value={typed ?? stored}
          maxLength={longest}
          disabled={disabled}
          placeholder={hint}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
            if (event.key === 'Escape') setTyped(undefined);
          }}
        />
      </dd>
    </>
  );
}
