import { isSameSeat, type Seat } from '@brackenfell/core/old-parts/seats';
import { SIGN_IDS, SIGN_LINES, SIGNS, type SignId, type SignLine } from '@brackenfell/core/old-parts/signs';

/** What a line says where nothing odd is on it; a deposit always has a name. */
const USUAL: Readonly<Record<SignLine, string | undefined>> = {
  deposit: undefined,
  shell: 'clean',
  wet: 'dry',
  insulator: 'whole',
  tip: 'sharp',
  thread: 'clean',
  gasket: 'crushed evenly',
  boot: 'sound, dry',
  connector: 'locked',
};

export interface SignOption {
  readonly letter: string;
  /** Undefined for what is as it should be. */
  readonly sign: SignId | undefined;
  readonly says: string;
}

const LETTERS = 'abcdefgh';

/** The answers of a line, each with its letter: as it should be first. */
export function optionsOf(line: SignLine): readonly SignOption[] {
  const usual = USUAL[line];
  const signs = SIGN_IDS.filter((id) => SIGNS[id].line === line);
  return [
    ...(usual === undefined ? [] : [{ sign: undefined, says: usual }]),
    ...signs.map((sign) => ({ sign, says: SIGNS[sign].title })),
  ].map((option, i) => ({ ...option, letter: LETTERS[i]! }));
}

/** What was read of one plug: lines that were looked at, and the signs on them. */
export interface PlugRead extends Seat {
  readonly looked: readonly SignLine[];
  readonly signs: readonly SignId[];
  readonly gapMm: number | null;
  readonly outNm?: number | undefined;
}

export const unread = (seat: Seat): PlugRead => ({ ...seat, looked: [], signs: [], gapMm: null });
export const readAt = (reads: readonly PlugRead[], seat: Seat): PlugRead =>
  reads.find((one) => isSameSeat(one, seat)) ?? unread(seat);

const without = <T>(all: readonly T[], one: T): T[] => all.filter((other) => other !== one);

/** A line answered: a sign is put on or taken off again; as it should be clears the line. */
export function answered(read: PlugRead, line: SignLine, sign: SignId | undefined): PlugRead {
  const others = read.signs.filter((id) => SIGNS[id].line !== line);
  const own = read.signs.filter((id) => SIGNS[id].line === line);
  const next = sign === undefined ? [] : own.includes(sign) ? without(own, sign) : [...own, sign];
  const isLooked = sign === undefined || next.length > 0;
  return {
    ...read,
    signs: [...others, ...next],
    looked: isLooked ? [...without(read.looked, line), line] : without(read.looked, line),
  };
}

/** Not looked at: whatever stood on the line is taken back. */
export const notLooked = (read: PlugRead, line: SignLine): PlugRead => ({
  ...read,
  signs: read.signs.filter((id) => SIGNS[id].line !== line),
  looked: without(read.looked, line),
});

/** Tan and dry, nothing odd on any line: healthy, looked at throughout. */
export const allNormal = (read: PlugRead): PlugRead => ({ ...read, looked: [...SIGN_LINES], signs: ['tan'] });

export const isRead = ({ looked, gapMm, outNm }: PlugRead): boolean =>
  looked.length > 0 || gapMm !== null || outNm !== undefined;

/** What a plug looks like, in words, for whoever does not see the drawing. */
export function sayPlug(read: PlugRead): string {
  if (!isRead(read)) return 'not read';
  if (read.signs.length === 0) return 'nothing odd on what was looked at';
  return read.signs.map((id) => SIGNS[id].title).join('; ');
}
