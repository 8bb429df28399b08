import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import type { PartAnswer } from '@brackenfell/contract/ask';

/** Parts under the name of what was asked: sure readings by what kind of name answered, near ones as a question. */
export function partGroups(parts: readonly PartAnswer[]): { heading: string; parts: PartAnswer[] }[] {
  const isSure = ({ stage }: PartAnswer) => stage === 'exact' || stage === 'fold' || stage === 'wildcard';
  const sure = parts.filter(isSure);
  const groups = [
    { heading: 'Barcodes', parts: sure.filter((p) => p.nameKind === 'barcode') },
    { heading: 'Parts', parts: sure.filter((p) => p.nameKind !== 'barcode' && isPartKind(p.kind)) },
    {
      heading: 'Engine makers’ numbers',
      parts: sure.filter((p) => p.nameKind !== 'barcode' && p.kind === 'oe-number'),
    },
    { heading: 'Kits, tools and sundries', parts: sure.filter((p) => p.kind === 'kit' || p.kind === 'sundry') },
    { heading: 'Spoken of, held by no catalogue', parts: sure.filter((p) => p.kind === 'unheld') },
    { heading: 'Did you mean', parts: parts.filter((p) => !isSure(p) && p.stage !== 'looser') },
    { heading: 'Only alike', parts: parts.filter((p) => p.stage === 'looser') },
  ];
  return groups.filter((group) => group.parts.length > 0);
}
