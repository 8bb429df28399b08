import { useNavigate, useLocation } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { Mark } from '../controls/mark.tsx';
import { useKeys } from '../keys/keys.ts';
import { call } from '../wire/call.ts';

const SHEETS = [
  { key: '1', name: 'Engines', to: '/catalogue/engines' },
  { key: '2', name: 'By dimension', to: '/catalogue/dimensions' },
  { key: '3', name: 'References' },
  { key: '4', name: 'Imports' },
  { key: '5', name: 'Audit', to: '/catalogue/audit' },
] as const;

/** The sheets of the catalogue room, each with what it still needs. */
export function CatalogueStrip() {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const audit = useQuery({ queryKey: ['audit'], queryFn: () => call('getAudit', {}) });
  const open = audit.data?.open ?? 0;
  const needs: Record<string, string> = {
    Engines: 'by words',
    'By dimension': 'tape or gauge',
    References: 'from a part’s page',
    Imports: 'not built yet',
    Audit: audit.data?.job ? `${open} open` : 'never run',
  };
  useKeys(
    'Catalogue',
    SHEETS.flatMap((sheet) =>
      'to' in sheet ? [{ press: sheet.key, does: sheet.name, run: () => void navigate(sheet.to) }] : [],
    ),
  );
  return (
    <nav className="strip strip-five" aria-label="Sheets of the catalogue">
      {SHEETS.map((sheet) => {
        const inside = (
          <>
            <span className="num text-xs" aria-hidden="true">
              {sheet.key}
            </span>
            <b>{sheet.name}</b>
            <small>
              {sheet.name === 'Audit' && open > 0 && <Mark kind="refuse" rem={0.625} />}
              <span className="truncate">{needs[sheet.name]}</span>
            </small>
          </>
        );
        return 'to' in sheet ? (
          <button
            key={sheet.key}
            type="button"
            aria-current={pathname.startsWith(sheet.to) ? 'step' : undefined}
            onClick={() => void navigate(sheet.to)}
          >
            {inside}
          </button>
        ) : (
          <button key={sheet.key} type="button" aria-disabled="true" className="later">
            {inside}
          </button>
        );
      })}
    </nav>
  );
}
