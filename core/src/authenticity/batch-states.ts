/** What a batch on the shelf is. `released` and `confirmed` are a supervisor's word: genuine, or not. Proof: Batches. */
export const BATCH_STATES = ['open', 'held', 'released', 'confirmed'] as const;
export type BatchState = (typeof BATCH_STATES)[number];

/** States in which nothing of a batch is handed over. */
export const HELD_STATES = ['held', 'confirmed'] as const satisfies readonly BatchState[];

export const isHeld = (state: BatchState | null | undefined): boolean =>
  (HELD_STATES as readonly (BatchState | null | undefined)[]).includes(state);
