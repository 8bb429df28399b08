import { shareValue } from '../controls/shared-value.ts';

/** What is asked about on a slip: one thing at a time holds the letters. */
export type SlipSheet =
  | { readonly kind: 'note'; readonly noteId?: string }
  | { readonly kind: 'release'; readonly lineId: string }
  | { readonly kind: 'batch'; readonly lineId: string }
  | { readonly kind: 'told'; readonly lineId: string }
  | { readonly kind: 'quantity'; readonly lineId: string }
  | { readonly kind: 'collect' }
  | { readonly kind: 'end' }
  | {
      readonly kind: 'answer';
      /** The part in hand; null where the question is about the vehicle. */
      readonly part: { readonly partId: string; readonly printed: string };
      readonly facts: readonly string[];
      readonly says: string;
      /** The engine it is judged for, where there is no slip yet. */
      readonly engineId?: string;
    };

/** The sheet that is open over the desk. The slip opens it, and so do the tray and the reasons where a question stands. */
export const slipSheet = shareValue<SlipSheet | undefined>(undefined);
