import { within } from '../fitment/tolerance.ts';

/** 16 mm and 5/8 in, 20.8 mm and 13/16 in are one size. Plugs: Hex and well. */
export const SAME_HEX_MM = 0.25;
const THIN_WALL_MM = 1.5;
/** Free play a socket needs in the well. */
export const SOCKET_PLAY_MM = 0.5;

/** Outer diameter of a thin-wall socket for a hex, mm. */
export const socketOuterMm = (acrossFlatsMm: number): number =>
  acrossFlatsMm / Math.cos(Math.PI / 6) + 2 * THIN_WALL_MM;

/** Plug hexes for which the trade makes sockets of either point count, mm, with what they are called in inches. */
const SOCKETS = [
  { mm: 14, inch: undefined },
  { mm: 16, inch: '5/8' },
  { mm: 18, inch: undefined },
  { mm: 19, inch: '3/4' },
  { mm: 20.8, inch: '13/16' },
] as const;

export const SOCKET_SIZES_MM: readonly number[] = SOCKETS.map(({ mm }) => mm);

/** The socket for a hex, in both systems, how thick it is outside and what well it enters, mm. */
export interface SocketFor {
  readonly mm: number;
  /** In inches, as it is stamped; undefined where no inch socket is that size. */
  readonly inch: string | undefined;
  readonly outerMm: number;
  readonly leastWellMm: number;
}

/** Undefined where the trade makes no plug socket of that size. Plugs: Hex and well. */
export function socketFor(hexMm: number): SocketFor | undefined {
  const socket = SOCKETS.find(({ mm }) => within(Math.abs(mm - hexMm), SAME_HEX_MM));
  if (!socket) return undefined;
  const outerMm = socketOuterMm(hexMm);
  return { ...socket, outerMm, leastWellMm: outerMm + SOCKET_PLAY_MM };
}
