import type { BatchLine } from '@brackenfell/contract/quarantine';
import type { MarkKind } from '../controls/mark-shapes.ts';

export const STATE_WORDS: Readonly<Record<BatchLine['state'], string>> = {
  open: 'for sale, not settled',
  held: 'held',
  released: 'settled as genuine',
  confirmed: 'settled as not genuine',
};

export const STATE_MARK: Readonly<Record<BatchLine['state'], MarkKind>> = {
  open: 'not-asked',
  held: 'caution',
  released: 'match',
  confirmed: 'refuse',
};

export const batchCode = (code: string): string => (code === '' ? 'no code' : code);
