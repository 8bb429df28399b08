const grouped = new Intl.NumberFormat('en-GB');

/** A count with its thousands apart by a space that never breaks. */
export const printCount = (count: number): string => grouped.format(count).replaceAll(',', '\u00a0');

/** An average of counts: with a decimal while that says anything. */
export const printAverage = (average: number): string =>
  average < 100 ? average.toFixed(1) : printCount(Math.round(average));
