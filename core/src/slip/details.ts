/** What a slip says of its customer and the job, besides its lines. */
export interface SlipDetails {
  readonly customer: string;
  readonly phone: string;
  readonly vehicle: string;
  readonly cameFor: string;
  readonly engineId: string | null;
  /** Which build of the engine, by its label; null while that is not known. */
  readonly build: string | null;
  /** Revision of the coils that stay in the engine. */
  readonly staying: string | null;
  readonly duty: string;
  readonly engineCount: number;
  readonly inHandPartId: string | null;
}

/** Details as they are sent: those left out stay as they are. */
export type SentDetails = { readonly [K in keyof SlipDetails]?: SlipDetails[K] | undefined };

/** What is to be written for what was sent. Another engine has other builds and other coils. Slips: Details. */
export function detailsToWrite(sent: SentDetails): Partial<SlipDetails> {
  const said = Object.fromEntries(Object.entries(sent).filter(([, value]) => value !== undefined));
  return sent.engineId === undefined ? said : { build: null, staying: null, ...said };
}

const JUDGED_BY = ['engineId', 'build', 'staying', 'duty'] as const satisfies readonly (keyof SlipDetails)[];

/** Whether lines have to be judged again for what was sent. */
export const changesWhatIsAsked = (sent: SentDetails): boolean => JUDGED_BY.some((name) => sent[name] !== undefined);

/** What a copy takes from a slip: the customer and the job, not the part that lay on the counter that day. Slips: Copies. */
export const copiedDetails = ({ inHandPartId: _, ...kept }: SlipDetails): SentDetails => kept;
