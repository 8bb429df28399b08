import type { EngineCard } from '@brackenfell/contract/engine';

/** What a desk of old parts stands on. */
export interface DeskProps {
  readonly engine: EngineCard;
  readonly plan: NonNullable<EngineCard['plan']>;
  /** The slip is in this person's hands, or none is begun yet. */
  readonly mine: boolean;
}
