import type { CheckId } from '@brackenfell/core/fitment/check-ids';

/** Width of a check column and the gap before a group, in 16ths of a rem; the style sheet's grid has the same. */
export const COLUMN_WIDTH = 15;
export const GROUP_GAP = 4;

/** Heads of the check columns, in the order a hand meets the plug; a gap stands before electrical matters and before supply. */
export const COLUMNS: readonly { readonly check: CheckId; readonly title: string; readonly startsGroup: boolean }[] = [
  { check: 'thread', title: 'Thread', startsGroup: false },
  { check: 'reach', title: 'Reach', startsGroup: false },
  { check: 'seat', title: 'Seat', startsGroup: false },
  { check: 'depth', title: 'Depth', startsGroup: false },
  { check: 'hex-and-well', title: 'Hex, well', startsGroup: false },
  { check: 'length', title: 'Length', startsGroup: false },
  { check: 'terminal', title: 'Terminal', startsGroup: false },
  { check: 'gap', title: 'Gap', startsGroup: true },
  { check: 'electrode', title: 'Electrode', startsGroup: false },
  { check: 'polarity', title: 'Polarity', startsGroup: false },
  { check: 'grounds', title: 'Grounds', startsGroup: false },
  { check: 'heat', title: 'Heat', startsGroup: false },
  { check: 'resistor', title: 'Resistor', startsGroup: true },
  { check: 'shell', title: 'Shell', startsGroup: false },
  { check: 'class-list', title: 'Class list', startsGroup: true },
  { check: 'supply', title: 'Supply', startsGroup: false },
];

/** Left edge of every check's mark within the marks' part of a row, in 16ths of a rem. */
export const MARK_X: readonly number[] = COLUMNS.map((_, i) => {
  const gaps = COLUMNS.slice(0, i + 1).filter((column) => column.startsGroup).length;
  return i * COLUMN_WIDTH + gaps * GROUP_GAP + 2;
});
export const MARKS_WIDTH = COLUMNS.length * COLUMN_WIDTH + COLUMNS.filter((c) => c.startsGroup).length * GROUP_GAP;
