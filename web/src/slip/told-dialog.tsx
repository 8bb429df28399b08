import { useQuery } from '@tanstack/react-query';
import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { Dialog } from '../controls/dialog.tsx';
import { FindingSentence, GRAVITY } from '../controls/finding-sentence.tsx';
import { printMoment } from '../controls/moment.ts';
import { call } from '../wire/call.ts';

interface ToldDialogProps {
  readonly slip: Slip;
  readonly line: SlipLine;
  readonly onClose: () => void;
}

/** What was told of a line, check by check, as it was told: today's catalogue and rules have no part in it. */
export function ToldDialog({ slip, line, onClose }: ToldDialogProps) {
  const params = { slipId: slip.slipId, lineId: line.lineId };
  const { data, error } = useQuery({
    queryKey: ['line-told', line.lineId, line.judgedAt],
    queryFn: () => call('getLineTold', { params }),
  });
  const told = GRAVITY.flatMap((outcome) => data?.told.filter((finding) => finding.outcome === outcome) ?? []);
  return (
    <Dialog title={`What was told of ${line.printed}`} onClose={onClose}>
      {line.verdict === null || line.judgedAt === null ? (
        <p className="text-soft">{line.reason}: nothing was told.</p>
      ) : (
        <p className="pb-1">
          <b className="font-semibold">{VERDICT_WORDS[line.verdict]}</b>, {printMoment(line.judgedAt)}, {line.judgedBy}.
        </p>
      )}
      {error && (
        <p role="alert" className="text-madder">
          {error.message}
        </p>
      )}
      {line.verdict !== null && !data && !error && <p className="text-soft">Fetching what was told …</p>}
      <div tabIndex={0} role="group" aria-label="Check by check">
        {told.map((finding) => (
          <FindingSentence key={`${finding.check} ${finding.caseId}`} finding={finding} sources={finding.sources} />
        ))}
      </div>
    </Dialog>
  );
}
