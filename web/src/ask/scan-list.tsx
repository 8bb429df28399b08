import { counted, printCount } from '@brackenfell/core/words/counted';
import { useQuery } from '@tanstack/react-query';
import { Dialog } from '../controls/dialog.tsx';
import { call } from '../wire/call.ts';
import { useScans, type Scan } from './scans.ts';

const MOST_SHOWN = 40;

/** What the scanner sent since this window was opened, the latest first, each with the part it is. */
export function ScanList({ onClose }: { onClose: () => void }) {
  const { scans, total } = useScans();
  return (
    <Dialog title={`${counted(total, 'scan')}, ${printCount(scans.length)} different`} onClose={onClose}>
      <ol className="max-h-96 overflow-auto" tabIndex={0} aria-label="Scanned codes">
        {scans.slice(0, MOST_SHOWN).map((scan) => (
          <Line key={scan.code} scan={scan} />
        ))}
      </ol>
      {scans.length > MOST_SHOWN && <p className="text-soft">and {scans.length - MOST_SHOWN} different codes before</p>}
      {scans.length === 0 && <p className="text-soft">Nothing was scanned yet. A scan never acts as a command.</p>}
    </Dialog>
  );
}

function Line({ scan }: { scan: Scan }) {
  const answer = useQuery({
    queryKey: ['scan', scan.code],
    queryFn: () => call('ask', { query: { q: scan.code.slice(0, 120) } }),
    staleTime: 60_000,
  });
  const exact = answer.data?.parts.filter(({ stage }) => stage === 'exact') ?? [];
  return (
    <li className="flex gap-3 border-t border-hair py-0.5">
      <span className="num">{scan.code}</span>
      {scan.count > 1 && <span className="text-soft">× {scan.count}</span>}
      <span className="ml-auto text-right">
        {answer.data
          ? exact.length > 0
            ? exact.map(({ number, maker }) => `${maker} ${number}`).join(' or ')
            : (answer.data.remark ?? 'no part has this code')
          : (answer.error?.message ?? 'looking …')}
      </span>
    </li>
  );
}
