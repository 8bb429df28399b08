import { sayIn } from '@brackenfell/core/fitment/say';
import { saySeat, type Seat } from '@brackenfell/core/old-parts/seats';
import { SIGN_LINES, type SignId, type SignLine } from '@brackenfell/core/old-parts/signs';
import { Key } from '../controls/key.tsx';
import { TypedFigure } from '../controls/typed-figure.tsx';
import { useSettings } from '../settings/settings.ts';
import { SignLineRow } from './sign-line-row.tsx';
import type { PlugRead } from './sign-letters.ts';

/** What is measured of a plug that came out. */
const FIGURES = [
  { kind: 'gap', press: 'm', title: 'Gap found', of: ({ gapMm }: PlugRead) => gapMm },
  { kind: 'plug-torque', press: 'l', title: 'Torque out', of: ({ outNm }: PlugRead) => outNm ?? null },
] as const;
export type MeasuredKind = (typeof FIGURES)[number]['kind'];

interface PlugCardProps {
  readonly seat: Seat;
  readonly read: PlugRead;
  /** The line that the letters answer now. */
  readonly line: SignLine;
  readonly mine: boolean;
  /** What a half-typed figure is kept under, its kind and seat added. */
  readonly draft: string;
  readonly typing: MeasuredKind | undefined;
  readonly onType: (kind: MeasuredKind | undefined) => void;
  readonly onLine: (line: SignLine, sign: SignId | undefined) => void;
  readonly onRead: (read: PlugRead) => void;
}

/** One plug as it is read: its lines with their answers, and what was measured of it. */
export function PlugCard({ seat, read, line, mine, draft, typing, onType, onLine, onRead }: PlugCardProps) {
  const say = sayIn(useSettings().units);
  const at = saySeat(seat);
  return (
    <aside className="desk-card" aria-label={`Cylinder ${at}`}>
      <div className="grid content-start gap-1 p-3" tabIndex={0} role="group" aria-label="Signs of this plug">
        <h1 className="text-verdict font-semibold">Cylinder {at}</h1>
        <p className="text-soft">
          <Key>t</Key> all normal, <Key>w</Key> like the one before, <Key>Enter</Key> next
        </p>
        {SIGN_LINES.map((one) => (
          <SignLineRow
            key={one}
            line={one}
            read={read}
            isHere={one === line}
            disabled={!mine}
            onAnswer={(sign) => onLine(one, sign)}
          />
        ))}
        {FIGURES.map(({ kind, press, title, of }) => {
          const figure = of(read);
          return (
            <div key={kind} className="border-t border-hair pt-1">
              <span className="flex items-baseline gap-2">
                <span className="flex-1 text-slate">{title}</span>
                <span className="num">{figure === null ? '–' : say.quantity(kind, figure)}</span>
                {mine && typing !== kind && (
                  <button type="button" className="button-plain" onClick={() => onType(kind)}>
                    Type it <Key>{press}</Key>
                  </button>
                )}
              </span>
              {typing === kind && (
                <TypedFigure
                  key={at}
                  kind={kind}
                  draft={`${draft} ${kind} ${at}`}
                  of={`cylinder ${at}`}
                  onNote={(typed) => {
                    onRead(kind === 'gap' ? { ...read, gapMm: typed } : { ...read, outNm: typed });
                    onType(undefined);
                  }}
                  onClose={() => onType(undefined)}
                />
              )}
            </div>
          );
        })}
      </div>
    </aside>
  );
}
