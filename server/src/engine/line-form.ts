import type { FactId, FactSheet, FactTypes } from '@brackenfell/core/facts/facts';
import type { Say } from '@brackenfell/core/fitment/say';
import type { RequirementLine } from '@brackenfell/contract/engine';

export type Values = { readonly [K in FactId]?: FactTypes[K] };

/** How one line of an engine card is made of the facts it tells. */
export interface LineForm {
  readonly label: string;
  readonly group: RequirementLine['group'];
  readonly facts: readonly FactId[];
  readonly isFigure: boolean;
  /** `undefined` when it is not known. */
  readonly print: (v: Values, say: Say, sheet: FactSheet) => string | undefined;
  /** Several figures of one line, each with what it is of. */
  readonly rows?: (say: Say, sheet: FactSheet) => { of: string; value: string }[];
}

export const form = (
  label: string,
  group: RequirementLine['group'],
  facts: readonly FactId[],
  isFigure: boolean,
  print: LineForm['print'],
  rows?: LineForm['rows'],
): LineForm => ({ label, group, facts, isFigure, print, ...(rows ? { rows } : {}) });
