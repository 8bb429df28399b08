import { useLocation, useNavigate } from 'react-router';
import { useKeys } from '../keys/keys.ts';

/** One sheet of a room: its key, where it is, and what stands under its name. */
export interface Sheet {
  readonly key: string;
  readonly name: string;
  readonly to: string;
  readonly needs: React.ReactNode;
}

interface SheetStripProps {
  /** Of the keys in the help. */
  readonly title: string;
  /** Of the strip to a screen reader. */
  readonly label: string;
  readonly sheets: readonly Sheet[];
}

/** The sheets of a room, each with what it still needs, under the ask line. */
export function SheetStrip({ title, label, sheets }: SheetStripProps) {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  useKeys(
    title,
    sheets.map(({ key, name, to }) => ({ press: key, does: name, run: () => void navigate(to) })),
  );
  return (
    <nav className="strip strip-sheets" aria-label={label}>
      {sheets.map(({ key, name, to, needs }) => (
        <button
          key={key}
          type="button"
          aria-current={pathname.startsWith(to) ? 'page' : undefined}
          onClick={() => void navigate(to)}
        >
          <span className="num text-xs" aria-hidden="true">
            {key}
          </span>
          <b>{name}</b>
          <small>{typeof needs === 'string' ? <span className="truncate">{needs}</span> : needs}</small>
        </button>
      ))}
    </nav>
  );
}
