import type { EnginePlan } from '../engine-plan/engine-plan.ts';

export type MisfireCode =
  | { readonly kind: 'cylinder'; readonly cylinder: number }
  /** Several cylinders, no one in particular. */
  | { readonly kind: 'several' }
  | { readonly kind: 'no-such-cylinder'; readonly cylinder: number }
  /** A fault code of another kind: it names a system, and no cylinder that misfires. */
  | { readonly kind: 'other-fault' }
  | { readonly kind: 'unreadable' };

/** Of the codes a reader prints (a letter and four signs) those of misfires. */
const READER_CODE = /^[pbcu][0-9a-f]{4}$/i;
const MISFIRES = /^p03/i;

/** The cylinder a misfire code names: its last two digits, 00 for several. A bare cylinder number is taken as such. */
export function readMisfireCode(typed: string, { firingOrder }: EnginePlan): MisfireCode {
  const code = typed.replaceAll(/\s/g, '');
  if (READER_CODE.test(code) && !MISFIRES.test(code)) return { kind: 'other-fault' };
  const digits = /(\d{1,2})\s*$/.exec(typed.trim())?.[1];
  if (digits === undefined) return { kind: 'unreadable' };
  const cylinder = Number(digits);
  if (cylinder === 0) return { kind: 'several' };
  return firingOrder.includes(cylinder) ? { kind: 'cylinder', cylinder } : { kind: 'no-such-cylinder', cylinder };
}

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'] as const;

/** Where a cylinder stands, as the fitter finds it: by the engine's own numbering, never by counting. */
export function sayWhere({ banks }: EnginePlan, cylinder: number): string {
  const bank = banks.find(({ cylinders }) => cylinders.includes(cylinder));
  if (!bank) return 'not on this engine';
  const place = bank.cylinders.indexOf(cylinder);
  if (bank.cylinders.length === 1 && banks.length === 1) return 'the only cylinder';
  const from = `${ORDINALS[place] ?? `number ${place + 1}`} from the front`;
  return banks.length === 1 ? from : `${bank.label}, ${from}`;
}
