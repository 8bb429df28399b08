/**
 * What a maker instructs or forbids where shops choose for themselves: the school it comes to, in the maker's own sense. It
 * stands above every rule of the house. Domain, Finishing section 1.
 */
export interface MakersInstruction {
  readonly rule: string;
  readonly school: string;
  readonly says: string;
  /** The month of the sheet, YYYY-MM. */
  readonly dated?: string | undefined;
}
