import type { Batch } from '@brackenfell/contract/quarantine';

export type ContactOutcome = Batch['sales'][number]['contacts'][number]['outcome'];

export const CONTACT_WORDS: Readonly<Record<ContactOutcome, string>> = {
  reached: 'Reached',
  'left-word': 'Left word',
  'no-answer': 'No answer',
  returned: 'Brought back',
  'not-traceable': 'Cannot be traced',
};
