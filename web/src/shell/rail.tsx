import { Link, useLocation, useNavigate } from 'react-router';
import type { Staff } from '@brackenfell/contract/session';
import { Frond } from '../drawing/frond.tsx';
import { lastCounter } from '../counter/last-address.ts';

/** Rooms of the shop. */
const ROOMS = [
  { name: 'Counter', key: 'c', to: '/counter/engine' },
  { name: 'Catalogue', key: 'k', to: '/catalogue/engines' },
  { name: 'Quarantine', key: 'q', to: '/quarantine/batches' },
  { name: 'Garage book', key: 'g', to: '/garage/vehicles' },
  { name: 'Sums', key: 's', to: '/sums/feelers' },
  { name: 'Drill', key: 'd', to: '/drill' },
  { name: 'House rules', key: 'h', to: '/house-rules' },
] as const;

/** The catalogue room: its sheets, and the pages of engines and graphs it opens. */
export const isCatalogue = (pathname: string): boolean =>
  /^\/(catalogue|engines|parts\/[^/]+\/(graph|mend))/.test(pathname);

export const isQuarantine = (pathname: string): boolean => pathname.startsWith('/quarantine');

export const isGarage = (pathname: string): boolean => pathname.startsWith('/garage');

export const isSums = (pathname: string): boolean => pathname.startsWith('/sums');

const isDrill = (pathname: string): boolean => pathname.startsWith('/drill');

export function Rail({ me, onPerson }: { me: Staff; onPerson: () => void }) {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const here = isCatalogue(pathname)
    ? 'Catalogue'
    : isQuarantine(pathname)
      ? 'Quarantine'
      : pathname.startsWith('/house-rules')
        ? 'House rules'
        : isSums(pathname)
          ? 'Sums'
          : isGarage(pathname)
            ? 'Garage book'
            : isDrill(pathname)
              ? 'Drill'
              : 'Counter';
  return (
    <nav className="frame-rail" aria-label="Rooms">
      <div className="py-2">
        <Frond />
      </div>
      <ul className="flex min-h-0 w-full flex-1 flex-col">
        {ROOMS.map((room) => (
          <li key={room.name} className="rail-room" data-here={room.name === here || undefined}>
            <Link
              to={room.to}
              onClick={(event) => {
                if (room.name !== 'Counter') return;
                event.preventDefault();
                void navigate(lastCounter());
              }}
              aria-current={room.name === here ? 'page' : undefined}
              aria-label={room.name}
              title={`${room.name} (, then ${room.key})`}
            >
              <RoomName name={room.name} />
            </Link>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="num min-h-9 w-full border-t border-hair text-xs font-semibold text-soft hover:bg-bracken-wash"
        onClick={onPerson}
        aria-label={`${me.name}, ${me.role}. Hand over the counter`}
        title={`${me.name}: hand over (o)`}
      >
        {me.initials}
      </button>
    </nav>
  );
}

function RoomName({ name }: { name: string }) {
  return (
    <span className="rail-name" aria-hidden="true">
      {name}
    </span>
  );
}
