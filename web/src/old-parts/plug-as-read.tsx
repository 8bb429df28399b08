import { useId } from 'react';
import type { SignId } from '@brackenfell/core/old-parts/signs';

interface PlugAsReadProps {
  readonly signs: readonly SignId[];
  readonly isRead: boolean;
}

const DEPOSITS = ['soot', 'white', 'blistered', 'powder', 'washed', 'crust', 'tan'] as const;
const THREADS = [15, 20, 25, 30, 35];
const EXPOSED = [30, 35];

/** Textures that tell deposits apart without their colour: dots, hatching, rings, ticks, humps. */
function Textures({ name }: { readonly name: (deposit: string) => string }) {
  return (
    <defs>
      <pattern id={name('tan')} width="5" height="5" patternUnits="userSpaceOnUse">
        <rect width="5" height="5" fill="#d9bf98" />
        <circle cx="1.4" cy="1.4" r=".7" fill="#211a15" />
        <circle cx="3.9" cy="3.9" r=".7" fill="#211a15" />
      </pattern>
      <pattern id={name('soot')} width="3.4" height="3.4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="3.4" height="3.4" fill="#26211d" />
        <path d="M0 0V3.4" stroke="#a59d95" strokeWidth=".7" />
      </pattern>
      <pattern id={name('white')} width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="#fbfaf5" />
        <path d="M0 5.5H6" stroke="#211a15" strokeWidth=".35" />
      </pattern>
      <pattern id={name('blistered')} width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" fill="#fbfaf5" />
        <circle cx="2.4" cy="2.6" r="1.8" fill="none" stroke="#211a15" strokeWidth=".9" />
        <circle cx="6.2" cy="6.2" r="1.2" fill="none" stroke="#211a15" strokeWidth=".9" />
      </pattern>
      <pattern id={name('powder')} width="7" height="6" patternUnits="userSpaceOnUse">
        <rect width="7" height="6" fill="#fbfaf5" />
        <path d="M.6 2.8l1.5-2 1.5 2zM4 5.8l1.4-1.9 1.4 1.9z" fill="#211a15" />
      </pattern>
      <pattern id={name('crust')} width="9" height="6" patternUnits="userSpaceOnUse">
        <rect width="9" height="6" fill="#b08a63" />
        <path d="M.8 4q0-3 2.4-3t2.4 3M5 6.4q0-2.4 2-2.4t2 2.4" fill="none" stroke="#211a15" strokeWidth="1" />
      </pattern>
      <pattern id={name('washed')} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" fill="#fdfdfb" />
        <path d="M2 0V7" stroke="#211a15" strokeWidth="1" />
      </pattern>
    </defs>
  );
}

const drop = (x: number, y: number, size: number): string =>
  `M${x} ${y - size * 1.5}Q${x + size} ${y - size * 0.2} ${x + size} ${y + size * 0.3}A${size} ${size} 0 0 1 ${x - size} ${y + size * 0.3}Q${x - size} ${y - size * 0.2} ${x} ${y - size * 1.5}Z`;

/** The end of a plug as it was read, always to one scale; every sign has a shape of its own, readable in grey. */
export function PlugAsRead({ signs, isRead }: PlugAsReadProps) {
  const id = useId();
  const name = (deposit: string) => `${id}-${deposit}`;
  const has = (sign: SignId) => signs.includes(sign);
  const deposit = DEPOSITS.find((one) => has(one));
  const fill = deposit ? `url(#${name(deposit)})` : 'var(--slip)';
  const line = { stroke: 'var(--peat)', strokeWidth: 1.1, strokeLinejoin: 'round' as const };
  const groundY = has('struck') ? 58.5 : has('grown') ? 63.5 : 61;
  return (
    <svg viewBox="7 -13 52 87" className="h-full w-full" aria-hidden="true">
      <Textures name={name} />
      <g opacity={isRead ? 1 : 0.45} strokeDasharray={isRead ? undefined : '3 2.4'}>
        {/* Insulator above the shell, the shell's hex, gasket, thread. */}
        <path d="M25 -11H39V6H25Z" fill="var(--slip)" {...line} />
        {has('ring') && <path d="M25 0H39V5H25Z" fill="#7a4a28" {...line} strokeWidth={0.6} />}
        {has('tracks') && (
          <path d="M28 -11l2 4-3 3 3 4-2 6M36 -11l-2 4 3 3.4-3 4 2 5.6" fill="none" {...line} strokeWidth={1.6} />
        )}
        {has('blow-by') && (
          <path d="M22 3q-3-8-9-9M22 5q-6-5-13-4M42 3q3-8 9-9M42 5q6-5 13-4" fill="none" {...line} strokeWidth={1.6} />
        )}
        <path d="M14 6H50V12H14Z" fill="var(--plug, #d4d5d0)" {...line} />
        {has('uncrushed') ? (
          <>
            <circle cx="13" cy="13.6" r="2.6" fill="var(--slip)" {...line} />
            <circle cx="51" cy="13.6" r="2.6" fill="var(--slip)" {...line} />
          </>
        ) : (
          <path d="M12 12.4H52V14H12Z" fill="var(--peat)" />
        )}
        <path d="M17 14H47V40H17Z" fill="var(--plug, #d4d5d0)" {...line} />
        {THREADS.map((y) => (
          <path key={y} d={`M15.5 ${y + 2}L48.5 ${y}`} fill="none" {...line} strokeWidth={0.8} />
        ))}
        {has('carboned') &&
          EXPOSED.map((y) => <path key={y} d={`M15.5 ${y + 1}H48.5V${y + 4.6}H15.5Z`} fill="var(--peat)" />)}
        {/* Firing end. */}
        <path d="M19 40H45L44 44H20Z" fill={fill} {...line} />
        <path d="M24 44H40L36.5 53H27.5Z" fill={fill} {...line} />
        {has('crack') && <path d="M30 44l2 3-2.6 2.4 3 3.6" fill="none" stroke="var(--madder)" strokeWidth="1.8" />}
        <path d={has('grown') ? 'M29.5 53V55Q32 58.4 34.5 55V53Z' : 'M29.5 53V58H34.5V53Z'} fill="var(--peat)" />
        <path
          d={`M41 44V${groundY}H28V${groundY + 5.5}H43Q46.5 ${groundY + 5.5} 46.5 ${groundY + 2}V44Z`}
          fill={fill}
          {...line}
        />
        {has('struck') && (
          <path d="M24 70l3-4M32 71v-4.6M40 70l-3-4" fill="none" stroke="var(--madder)" strokeWidth="1.6" />
        )}
        {has('specks') && (
          <g fill="var(--slip)" {...line} strokeWidth={0.8}>
            <path d="M26 47l1.6-1.4 1.4 1.6-1.5 1.3zM34 46l1.7-1 1 1.7-1.8 1zM31 50l1.5-1 1 1.6-1.6.8zM43 52l1.5-1 1 1.6-1.6.8z" />
          </g>
        )}
      </g>
      {/* Wet: fuel is a hollow drop, oil a full one, water a drop with a line in it. */}
      {has('fuel') && (
        <g fill="var(--slip)" {...line}>
          <path d={drop(14, 58, 3.4)} />
          <path d={drop(21, 66, 2.6)} />
          <path d={drop(52, 66, 2.8)} />
        </g>
      )}
      {has('oil-tip') && (
        <g fill="var(--peat)">
          <path d={drop(14, 58, 3.4)} />
          <path d={drop(21, 67, 2.6)} />
          <path d={drop(53, 64, 2.8)} />
        </g>
      )}
      {has('oil-thread') && (
        <g fill="var(--peat)">
          <path d={drop(11.5, 24, 3.2)} />
          <path d={drop(54.5, 27, 3.2)} />
        </g>
      )}
      {has('oil-boot') && (
        <g fill="var(--peat)">
          <path d={drop(15, -3, 3.4)} />
          <path d={drop(49, -3, 3.4)} />
        </g>
      )}
      {has('water-well') && (
        <path
          d="M8 -3q3.5-4 7 0t7 0M42 -3q3.5-4 7 0t7 0M8 2q3.5-4 7 0t7 0M42 2q3.5-4 7 0t7 0"
          fill="none"
          {...line}
          strokeWidth={1.5}
        />
      )}
      {has('open') && (
        <g fill="none" {...line}>
          <path d="M40 -11h7v7h-7M59 -11h-7v7h7" strokeWidth={1.8} />
          <path d="M48 -7.5h3.4" strokeDasharray="1.2 1.4" strokeWidth={1.4} />
        </g>
      )}
    </svg>
  );
}
