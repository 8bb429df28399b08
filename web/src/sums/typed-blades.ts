import { ownedBlade, type OwnedBlade } from '@brackenfell/core/gap/blade-sets';
import { listed } from '@brackenfell/core/words/counted';

/** The two lists as they are typed, sizes apart by spaces or commas. */
export interface TypedBlades {
  readonly mm: string;
  readonly thou: string;
}

export type ReadBlades =
  | { readonly kind: 'read'; readonly blades: readonly OwnedBlade[] }
  | { readonly kind: 'wrong'; readonly says: string };

export const printBlades = (blades: readonly OwnedBlade[], unit: OwnedBlade['unit']): string =>
  blades
    .filter((blade) => blade.unit === unit)
    .map(({ size }) => (unit === 'mm' ? size.toFixed(2) : String(size)))
    .join(' ');

/** A list's sizes, apart by spaces, semicolons or commas; a single comma between two figures of a metric size is its decimal. */
const sizesOf = (text: string, unit: OwnedBlade['unit']): string[] =>
  text
    .split(/[\s;]+|,(?=\s)/)
    .flatMap((token) => (unit === 'mm' && /^\d*,\d+$/.test(token) ? [token.replace(',', '.')] : token.split(',')))
    .filter((size) => size !== '');

/** Reads both lists; a size that no blade has is told, never left out. */
export function readBlades(typed: TypedBlades): ReadBlades {
  const wrong: string[] = [];
  const blades = (['mm', 'thou'] as const).flatMap((unit) =>
    sizesOf(typed[unit], unit).flatMap((text): OwnedBlade[] => {
      const blade = ownedBlade.safeParse({ size: Number(text), unit });
      if (blade.success) return [blade.data];
      wrong.push(`${text} ${unit}`);
      return [];
    }),
  );
  if (wrong.length > 0)
    return { kind: 'wrong', says: `No feeler blade is ${listed(wrong, 'or')}: look at the unit again.` };
  const once = blades.filter(
    (blade, i) => blades.findIndex(({ size, unit }) => size === blade.size && unit === blade.unit) === i,
  );
  return once.length === 0 ? { kind: 'wrong', says: 'Name at least one blade.' } : { kind: 'read', blades: once };
}
