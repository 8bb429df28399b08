import { describe, expect, test } from '@jest/globals';
import { sayIn } from '../fitment/say.ts';
import { DEFAULT_HOUSE_RULES } from '../house-rules/house-rules.ts';
import { answerClaim, CLAIM_IDS, CLAIMS, claimAnswersTo, type ClaimFigures } from './claims.ts';

const SAY = sayIn('metric');
const NOTHING: ClaimFigures = { gapMm: undefined, rules: DEFAULT_HOUSE_RULES, options: [] };
const answer = (id: (typeof CLAIM_IDS)[number], more: Partial<ClaimFigures> = {}) =>
  answerClaim(id, { ...NOTHING, ...more }, SAY);

describe('what is heard at the counter', () => {
  test('is answered by a sum with the figures of this engine, and by none without them', () => {
    const options = [
      { printed: 'KN 419G-63DR', setMinor: 3760, lastsKm: 60_000 },
      { printed: 'TS 500 214', setMinor: 1600, lastsKm: 20_000 },
    ];
    expect(answer('dearest-is-best', { options })).toMatch(/^Here it is: KN 419G-63DR costs £6\.27/);
    const turned = [options[0]!, { ...options[1]!, lastsKm: 40_000 }];
    expect(answer('dearest-is-best', { options: turned })).toMatch(/Not here: .*£6\.27.*TS 500 214 £4\.00/);
    expect(answer('dearest-is-best')).toMatch(/choose the engine/);
    expect(answer('wide-gap-for-power', { gapMm: { low: 0.7, high: 0.8 } })).toMatch(
      /asks 0\.70–0\.80 mm.*about 2\d% more/,
    );
    expect(answer('wide-gap-for-power')).toMatch(/choose the engine/);
  });
  test('goes by the shop’s rule where it is one', () => {
    const rules = { ...DEFAULT_HOUSE_RULES, oneOrAllCoils: 'all' as const };
    expect(answer('all-coils-when-one-fails', { rules })).toMatch(/the whole set/);
    expect(answer('all-coils-when-one-fails')).toMatch(/the one that failed/);
  });
  test('is told to be unknown where it is, and never decided by hearsay', () => {
    expect(answer('cleaner-brings-them-back')).toMatch(/^We do not know/);
    for (const id of CLAIM_IDS) expect(answer(id)).not.toMatch(/everybody|always been|they say/i);
  });
  test('is found by other words for it', () => {
    const found = (question: string) =>
      CLAIM_IDS.filter((id) => claimAnswersTo(CLAIMS[id].says, CLAIMS[id].words, question));
    expect(found('iridium coil')).toEqual(['precious-strains-coils']);
    expect(found('')).toHaveLength(CLAIM_IDS.length);
    expect(found('wheel')).toEqual([]);
  });
});
