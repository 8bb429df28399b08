/** A figure as it is typed, with a decimal point or comma; what is no figure stays the text it is. */
export function readFigure(typed: string): number | string {
  const plain = typed.trim().replace(',', '.');
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : typed;
}

/** Whole numbers in a row, as of a firing order; what is no such row stays the text it is. */
export function readRow(typed: string): readonly number[] | string {
  const parts = typed.split(/[\s,–-]+/).filter(Boolean);
  return parts.length > 0 && parts.every((one) => /^\d+$/.test(one)) ? parts.map(Number) : typed;
}
