import { settled } from './fact.ts';

export type ClassRule =
  | { readonly kind: 'no-class' }
  /** A sanctioned class with the printed numbers (normal forms) its list permits on the date. */
  | { readonly kind: 'list'; readonly className: string; readonly permitted: readonly string[] }
  | { readonly kind: 'no-list-in-force'; readonly className: string };

/** What the customer's duty (`duty.`), the shop's rules (`rule.`) and the job at hand (`job.`) settle. */
export const SETTLED_FACTS = {
  /** Steps colder that the shop's rule moves the target for the customer's duty; 0 for standard duty. */
  'duty.heatOffsetSteps': settled<number>({ label: 'heat for the duty', question: 'What work does the engine do?' }),
  /** Driven cold and short: never hotter than asked without a supervisor. */
  'duty.shortColdRuns': settled<boolean>({ label: 'short cold runs', question: 'How far is it driven at a time?' }),
  'duty.classRule': settled<ClassRule>({
    label: 'class rule',
    question: 'Which class does the car run in, and on which date?',
  }),
  /** Whether a better-wearing electrode than designed may be sold without a supervisor. */
  'rule.electrodeUpgrade': settled<'allowed' | 'as-designed'>({
    label: 'electrode rule',
    question: 'Set the shop’s rule on better electrodes.',
  }),
  /** Which comes first in an engine known to seize the two-piece plugs it was fitted with. */
  'rule.twoPiece': settled<'makers-own' | 'one-piece-first'>({
    label: 'two-piece rule',
    question: 'Set the shop’s rule on engines that seize two-piece plugs.',
  }),
  /** Of the engine that the job is for: a distributor feeds so many plugs in turn. */
  'job.cylindersCount': settled<number>({ label: 'cylinders', question: 'Count the cylinders of the engine.' }),
  /** Revision of the coils that stay in the engine; `none` where all are renewed. */
  'job.revisionStaying': settled<string>({
    label: 'revision that stays',
    question: 'Read the revision on the coils that stay in the engine.',
  }),
  /** The maker's pairing of the other half: what is on the slip with it, or stays in the engine. */
  'job.otherHalfFamily': settled<string>({
    label: 'pairing of the other half',
    question: 'Read the pairing mark on the half that is used with it.',
  }),
};
