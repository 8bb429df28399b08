import { useLocation, useNavigate } from 'react-router';
import { useKeys } from '../keys/keys.ts';
import { useBatches } from './use-quarantine.ts';

const SHEETS = [
  { key: '1', name: 'Batches', to: '/quarantine/batches' },
  { key: '2', name: 'Sellers', to: '/quarantine/sellers' },
  { key: '3', name: 'Receiving', to: '/quarantine/receiving' },
  { key: '4', name: 'References', to: '/quarantine/references' },
  { key: '5', name: 'Notices', to: '/quarantine/notices' },
] as const;

/** The sheets of the quarantine. */
export function QuarantineStrip() {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const batches = useBatches();
  const held = batches.data?.batches.filter(({ state }) => state === 'held').length;
  const needs: Record<string, string> = {
    Batches: held === undefined ? 'fetching' : `${held} held`,
    Sellers: 'what their batches say',
    Receiving: 'take a delivery in',
    References: 'genuine and suspect',
    Notices: batches.data ? `${batches.data.notices.length} come in` : '',
  };
  useKeys(
    'Quarantine',
    SHEETS.map((sheet) => ({ press: sheet.key, does: sheet.name, run: () => void navigate(sheet.to) })),
  );
  return (
    <nav className="strip strip-five" aria-label="Sheets of the quarantine">
      {SHEETS.map((sheet) => (
        <button
          key={sheet.key}
          type="button"
          aria-current={pathname.startsWith(sheet.to) ? 'page' : undefined}
          onClick={() => void navigate(sheet.to)}
        >
          <span className="num text-xs" aria-hidden="true">
            {sheet.key}
          </span>
          <b>{sheet.name}</b>
          <small>
            <span className="truncate">{needs[sheet.name]}</span>
          </small>
        </button>
      ))}
    </nav>
  );
}
