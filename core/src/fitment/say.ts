import { formatQuantity, type DisplayKind, type UnitDisplay } from '../quantities/format-quantity.ts';
import type { Span } from '../facts/fact-shapes.ts';

/** Prints figures inside sentences, in the reader's units. */
export interface Say {
  quantity(kind: DisplayKind, base: number): string;
  span(kind: DisplayKind, span: Span): string;
  /** With its sign, for differences. */
  signed(kind: DisplayKind, base: number): string;
}

const MOST_KEPT = 2000;

function printer(display: UnitDisplay): Say {
  // A catalogue says the same few hundred figures over and over.
  const printed = new Map<DisplayKind, Map<number, string>>();
  const quantity = (kind: DisplayKind, base: number): string => {
    let ofKind = printed.get(kind);
    if (ofKind === undefined || ofKind.size >= MOST_KEPT) printed.set(kind, (ofKind = new Map<number, string>()));
    let text = ofKind.get(base);
    if (text === undefined) ofKind.set(base, (text = formatQuantity(kind, base, base, display)));
    return text;
  };
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
