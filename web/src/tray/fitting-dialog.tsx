import { useQuery } from '@tanstack/react-query';
import { Dialog } from '../controls/dialog.tsx';
import { Mark } from '../controls/mark.tsx';
import { useSettings } from '../settings/settings.ts';
import { isUnsentSlip } from '../counter/slip-outbox.ts';
import { call } from '../wire/call.ts';

interface FittingDialogProps {
  readonly engineId: string;
  readonly row: { readonly partId: string; readonly printed: string };
  readonly duty: string;
  readonly slipId: string | undefined;
  readonly onClose: () => void;
}

/** How the picked plug is fitted here, step by step, with the house rule behind each. */
export function FittingDialog({ engineId, row: { partId, printed }, duty, slipId, onClose }: FittingDialogProps) {
  const { units } = useSettings();
  const ofSlip = slipId && !isUnsentSlip(slipId) ? { slip: slipId } : {};
  const plan = useQuery({
    queryKey: ['fitting plan', engineId, partId, units, duty, slipId],
    queryFn: () =>
      call('getFittingPlan', {
        params: { engineId },
        query: { part: partId, units, ...(duty ? { duty } : {}), ...ofSlip },
      }),
    staleTime: 0,
  });
  return (
    <Dialog
      title={plan.data?.isRefused ? `Do not fit ${printed}` : `Fitting ${printed}`}
      about={plan.data?.engine ?? 'Fetching the order of work.'}
      onClose={onClose}
      wide
    >
      {plan.error && (
        <p role="alert" className="text-madder">
          {plan.error.message}
        </p>
      )}
      <ol className="grid gap-1">
        {plan.data?.steps.map(({ says, caution, rule }, i) => (
          <li key={says} className="grid grid-cols-[1.25rem_1.25rem_1fr] border-t border-hair py-1">
            <span className="num text-soft">{i + 1}</span>
            <span className="pt-0.5">
              {plan.data.isRefused ? (
                <Mark kind="refuse" label="Refused" />
              ) : (
                caution && <Mark kind="caution" label="Caution" />
              )}
            </span>
            <span>
              {says}
              {rule && (
                <span className="text-soft">
                  {' '}
                  House rule {rule.title.toLowerCase()}: {rule.choice.toLowerCase()}.
                </span>
              )}
            </span>
          </li>
        ))}
      </ol>
    </Dialog>
  );
}
