import type { DisplayKind } from '../quantities/format-quantity.ts';

export interface Span {
  readonly low: number;
  readonly high: number;
}

export const SUPPLY_STATES = ['active', 'superseded', 'discontinued', 'quarantined'] as const;

export interface Supply {
  readonly state: (typeof SUPPLY_STATES)[number];
  /** The number that replaced it, as printed, where superseded. */
  readonly successor?: string;
}

export interface FactMeaning {
  readonly label: string;
  /** The question or measurement that obtains it, addressed to whoever stands at the counter. */
  readonly question: string;
  /** How a plain number of it is printed. */
  readonly display?: DisplayKind;
}

export const meaning = (label: string, question: string, display?: DisplayKind): FactMeaning =>
  display ? { label, question, display } : { label, question };
