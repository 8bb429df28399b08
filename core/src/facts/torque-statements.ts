/** A torque as one sheet of a maker prints it, N·m. Only a dry one is ever cut for compound. Domain section 7. */
export interface TorqueStatement {
  readonly lowNm: number;
  readonly highNm: number;
  /** Where the sheet prints a figure with its tolerance. */
  readonly nominalNm?: number | undefined;
  readonly condition: TorqueCondition;
  /** The month of the sheet, YYYY-MM. */
  readonly dated?: string | undefined;
}
export const TORQUE_CONDITIONS = ['dry', 'with-compound', 'not-stated'] as const;
export const CONDITION_WORDS: Readonly<Record<TorqueCondition, string>> = {
  dry: 'dry',
  'with-compound': 'with compound',
  'not-stated': 'dry or not is not said',
};
export type TorqueCondition = (typeof TORQUE_CONDITIONS)[number];

/** From where an angle counts, and on which gasket. Domain section 7, angles are sources like torques. */
export const TURN_STARTS = ['seat-contact', 'fingers'] as const;
export const TURN_GASKETS = ['new', 'used', 'none'] as const;
export interface TurnStatement {
  readonly lowTurns: number;
  readonly highTurns: number;
  readonly from: (typeof TURN_STARTS)[number];
  readonly gasket: (typeof TURN_GASKETS)[number];
}
