import type { Duty } from '@brackenfell/core/duty/duty';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { ShopRules } from '@brackenfell/core/house-rules/settle-rules';
import type { FoundHere } from '../reading/store.ts';
import type { AskedOf } from './asked.ts';

export interface PlugsQuestion extends AskedOf {
  readonly inHand?: string | undefined;
  /** Judge only these parts, without looking what is on the shelf; every candidate when left out. */
  readonly only?: readonly string[];
  /** What the engine is used for; standard when left out. */
  readonly duty?: Duty | undefined;
  /** How many candidates to explain. */
  readonly most?: number;
  /** The shop's rules, where the caller has read them. */
  readonly shop?: ShopRules | undefined;
  /** What was found of the pieces and the vehicle of the job. */
  readonly found?: FoundHere | undefined;
}

export interface OthersQuestion extends PlugsQuestion {
  /** Revision of the coils that stay in the engine. */
  readonly staying?: string | undefined;
  /** The cap or rotor that is used with it. */
  readonly beside?: string | undefined;
}

/** What is asked of an engine: which of the parts of a kind serve it. */
export interface TrayQuestion extends OthersQuestion {
  readonly kind: PartKind;
}
