import { readBatchCode, type BatchCodeGrammar } from '@brackenfell/core/authenticity/batch-code';
import { paperItems } from '@brackenfell/core/authenticity/paper';
import { median, readPrice } from '@brackenfell/core/authenticity/price';
import type { Inspection } from '@brackenfell/contract/inspection';
import type { ReferenceRow } from './reference-store.ts';
import type { Elsewhere } from './inspection-store.ts';
import { today } from '../context/today.ts';

/** What is known of the paper of some pieces. */
interface Papers {
  readonly batchCode: string;
  readonly paidMinor: number | null;
  readonly content: Pick<ReferenceRow['content'], 'batchCode' | 'from' | 'to'> | undefined;
}

/** What batch code and price say of pieces, held against everything else the shop has received. */
export function judgePaper(
  { batchCode, paidMinor, content }: Papers,
  { otherNumbers, sellers, pricesMinor }: Elsewhere,
): {
  items: Inspection['paper'];
  codeSays: Inspection['batchCodeSays'];
  usualMinor: number | null;
} {
  const grammar: BatchCodeGrammar | null | undefined = content?.batchCode;
  const code = batchCode === '' || !grammar ? undefined : readBatchCode(batchCode, grammar, today());
  const items = paperItems({
    code,
    otherNumbers,
    sellers,
    price: paidMinor === null ? undefined : readPrice(paidMinor, pricesMinor),
    packaging: content,
  });
  return {
    items: items.map((item) => ({ ...item, aspect: 'paper' as const })),
    codeSays: code && 'parts' in code ? code.parts.map(({ code: text, says }) => ({ code: text, says })) : [],
    usualMinor: pricesMinor.length === 0 ? null : Math.round(median(pricesMinor)),
  };
}

/** The reference whose packaging a batch code's date falls into; without such, the latest packaging. */
export function chooseReference(references: readonly ReferenceRow[], batchCode: string): ReferenceRow | undefined {
  const byAge = [...references].sort((a, b) => ((a.content.from ?? '') < (b.content.from ?? '') ? 1 : -1));
  const dated = byAge.find(({ content }) => {
    if (batchCode === '' || !content.batchCode) return false;
    const read = readBatchCode(batchCode, content.batchCode, today());
    if (read.kind !== 'read') return false;
    return (content.from === null || read.to >= content.from) && (content.to === null || read.from <= content.to);
  });
  return dated ?? byAge[0];
}
