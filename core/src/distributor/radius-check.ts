import type { CheckId } from '../fitment/check-ids.ts';
import { defineCheck, type Check, type CheckExample } from '../fitment/define-check.ts';
import { judgeRadius } from './radius-band.ts';

interface RadiusCheck {
  readonly id: CheckId;
  readonly title: string;
  readonly why: string;
  readonly has: 'cap.contactRadiusMm' | 'rotor.tipRadiusMm';
  readonly asked: 'capAsked.contactRadiusMm' | 'rotorAsked.tipRadiusMm';
  /** Which way off makes tip and contact strike. */
  readonly strikesWhen: 'larger' | 'smaller';
  readonly words: Readonly<Record<'strikes' | 'wide' | 'near' | 'same', readonly [says: string, phrase: string]>>;
  readonly examples: readonly CheckExample[];
}

const TO_DO = {
  strikes: 'Do not fit it.',
  wide: 'Let the supervisor decide.',
  near: 'Turn the engine by hand once and listen.',
  same: null,
} as const;

/** Rotor's tip and cap's contacts pass each other by less than a millimetre: the same question asked of either. */
export function radiusCheck({ has, asked, strikesWhen, words, ...about }: RadiusCheck): Check {
  return defineCheck({
    ...about,
    source: 'Cap and rotor: Radius',
    needs: [has, asked],
    judge: (f) => judgeRadius(f[has], f[asked], strikesWhen),
    explain: ({ caseId, figures: g }, say) => {
      const which = caseId as keyof typeof TO_DO;
      const [says, phrase] = words[which];
      return {
        asked: say.quantity('length', g.askedMm),
        has: say.quantity('length', g.hasMm),
        difference: g.differenceMm === 0 ? null : say.signed('length', g.differenceMm),
        says,
        toDo: TO_DO[which],
        phrase,
      };
    },
  });
}
