import { formatQuantity, type DisplayKind, type UnitDisplay } from '../quantities/format-quantity.ts';
import type { Span } from './fact-shapes.ts';

/** Prints figures inside sentences, in the reader's units. */
export interface Say {
  quantity(kind: DisplayKind, base: number): string;
  span(kind: DisplayKind, span: Span): string;
  /** With its sign, for differences. */
  signed(kind: DisplayKind, base: number): string;
}

/** A printer of figures for one reader's unit system. */
export function sayIn(display: UnitDisplay): Say {
  const quantity = (kind: DisplayKind, base: number) => formatQuantity(kind, base, base, display);
  return {
    quantity,
    span: (kind, { low, high }) => formatQuantity(kind, low, high, display),
    signed: (kind, base) => `${base < 0 ? '−' : '+'}${quantity(kind, Math.abs(base))}`,
  };
}
