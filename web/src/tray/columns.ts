import type { CheckId } from '@brackenfell/core/fitment/check-ids';

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
