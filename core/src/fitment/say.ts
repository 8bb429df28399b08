import { formatQuantity, type DisplayKind, type UnitDisplay } from '../quantities/format-quantity.ts';
import type { Span } from '../facts/fact-shapes.ts';

/** Prints figures inside sentences, in the reader's units. */
export interface Say {
  quantity(kind: DisplayKind, base: number): string;
  span(kind: DisplayKind, span: Span): string;
  /** With its sign, for differences. */
  signed(kind: DisplayKind, base: number): string;
}

function printer(display: UnitDisplay): Say {
  const quantity = (kind: DisplayKind, base: number) => formatQuantity(kind, base, base, display);
  return {
    quantity,
    span: (kind, { low, high }) => formatQuantity(kind, low, high, display),
    signed: (kind, base) => `${base < 0 ? '−' : '+'}${quantity(kind, Math.abs(base))}`,
  };
}

const PRINTERS: Readonly<Record<UnitDisplay, Say>> = {
  metric: printer('metric'),
  imperial: printer('imperial'),
  both: printer('both'),
};

/** The printer of figures for one reader's unit system: always the same one, so that what it has worded can be kept by it. */
export const sayIn = (display: UnitDisplay): Say => PRINTERS[display];
