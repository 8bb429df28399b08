import { z } from 'zod';
import { toBase, UNITS } from '../quantities/units.ts';

const BLADE_UNITS = ['mm', 'thou'] as const;

/** A feeler blade by what is engraved on it. */
export const ownedBlade = z
  .object({ size: z.number().positive().max(100), unit: z.enum(BLADE_UNITS) })
  .readonly()
  // Thicker than this a metric size is a thousandth by mistake, and one under 1 in thousandths a millimetre.
  .refine(
    ({ size, unit }) => toBase(size, unit) <= 2.2 && size >= (unit === 'mm' ? 0.01 : 1),
    'no feeler blade is of that size',
  );
export type OwnedBlade = z.infer<typeof ownedBlade>;

/** How thick it is, mm. */
export const thicknessMm = ({ size, unit }: OwnedBlade): number => Number(toBase(size, unit).toFixed(6));

/** What is engraved on it. */
export const engraved = ({ size, unit }: OwnedBlade): string =>
  `${unit === 'mm' ? size.toFixed(2) : String(Number(size.toFixed(1)))} ${UNITS[unit].printed}`;

/** The blade of a set that is so thick; the metric one where both are. */
export const bladeOf = (blades: readonly OwnedBlade[], mm: number): OwnedBlade | undefined =>
  [...blades].sort((a, b) => a.unit.localeCompare(b.unit)).find((blade) => Math.abs(thicknessMm(blade) - mm) < 1e-6);

const stepped = (from: number, to: number, by: number): number[] =>
  Array.from({ length: Math.round((to - from) / by) + 1 }, (_, i) => Number((from + i * by).toFixed(2)));

/** A usual set, until a shop says which blades it owns. Gap and wear: Feelers. */
export const USUAL_BLADES: readonly OwnedBlade[] = stepped(0.05, 1, 0.05).map((size) => ({ size, unit: 'mm' }));

/** The usual set in thousandths, to begin a list with. */
export const USUAL_THOU_BLADES: readonly OwnedBlade[] = [...stepped(2, 25, 1), 28, 32, 35].map((size) => ({
  size,
  unit: 'thou',
}));
