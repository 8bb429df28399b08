import { counted } from '../words/counted.ts';
import { GROUPS_FOR_CONSISTENT } from './judge-piece.ts';
import type { JudgedInspection } from './inspection.ts';
import type { Tell } from './tell.ts';

/** A chance as it is told: no more digits than it supports, and never none or all. */
export function printChance(chance: number): string {
  const percent = chance * 100;
  if (percent < 0.1) return '<0.1%';
  if (percent >= 99.5) return '>99%';
  return percent < 10 ? `${percent.toFixed(1)}%` : `${Math.round(percent)}%`;
}

const BAND_SAYS: Readonly<Record<JudgedInspection['band'], string>> = {
  'not-inspected': 'Nothing was looked at yet.',
  consistent: 'What was seen is consistent with genuine.',
  'not-proven': 'Neither genuine nor fake is proven.',
  suspect: 'Suspect: do not fit or sell. This is evidence about these pieces, not a finding against anybody.',
};

/** What an inspection found, in sentences that name their evidence. */
export function sayConclusion(judged: JudgedInspection, tells: readonly Tell[]): string[] {
  const { worst, blocks, pieces } = judged;
  const looked = pieces.filter(({ judgement: { band } }) => band !== 'not-inspected').length;
  const { judgement, answers } = worst;
  const listed = (answer: string) =>
    tells.filter(({ id }) => answers[id] === answer).map(({ title }) => title.toLowerCase());
  const [differ, alike] = [listed('differs'), listed('genuine-like')];
  const seen = `${counted(judgement.physicalGroups, 'physical group')} seen`;
  return [
    BAND_SAYS[judged.band],
    ...(judged.band === 'not-inspected'
      ? []
      : [`Chance of not being genuine: ${printChance(judgement.chance)} for piece ${worst.label}; ${seen}.`]),
    ...(differ.length > 0 ? [`Differs: ${differ.join(', ')}.`] : []),
    ...(alike.length > 0 ? [`As genuine: ${alike.join(', ')}.`] : []),
    ...(judged.band === 'consistent' && judged.batchBand !== 'consistent'
      ? [`${looked} looked at are too few to speak for the whole batch.`]
      : []),
    ...(looked > 0 && looked < pieces.length ? [`${looked} of the ${pieces.length} in hand were looked at.`] : []),
    ...blocks.map((block) => `Blocked whatever the chance: ${block}.`),
  ];
}

/** What is still missing before a piece can be called consistent, or undefined where nothing is. */
export function sayMissing({ judgement }: JudgedInspection['worst']): string | undefined {
  if (judgement.band === 'consistent' || judgement.band === 'suspect') return undefined;
  const groups = GROUPS_FOR_CONSISTENT - judgement.physicalGroups;
  if (groups > 0) return `${counted(groups, 'more physical group')} to see before it can be called consistent.`;
  return judgement.physicalDifferences === 0 && judgement.chance >= 0.5
    ? 'The chance is high, but nothing on the piece itself differs: it is not called suspect.'
    : 'The chance lies between 5% and 50%.';
}
