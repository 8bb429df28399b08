import type { ReferenceContent } from '@brackenfell/contract/proof-reference';

/** What entries of an inspection are held against. It never changes once the inspection is begun. */
export interface EntryFrame {
  readonly pieces: number;
  readonly content: ReferenceContent | undefined;
}

const MOST_KEPT = 500;

/** The frames of inspections lately read, so that an answer with one key need not read them again. */
export class EntryFrames {
  readonly #kept = new Map<string, EntryFrame>();

  of(inspectionId: string): EntryFrame | undefined {
    return this.#kept.get(inspectionId);
  }

  keep(inspectionId: string, frame: EntryFrame): void {
    if (this.#kept.size >= MOST_KEPT) this.#kept.clear();
    this.#kept.set(inspectionId, frame);
  }
}
