import { SHORTEST, type AskedNumber, type NameMatch } from './match-name.ts';

/** From so many surer readings on, nobody looks further. */
const ENOUGH = 3;

/**
 * Whether numbers that are merely alike are worth looking for after the surer readings of a question: few of those, none
 * exact and none that begins so, and enough legible signs to be alike by. Part numbers: Stages.
 */
export function isWorthAlike(asked: AskedNumber, surer: readonly { readonly match: NameMatch }[]): boolean {
  if (asked.pattern || asked.normal.length < SHORTEST.looser) return false;
  return surer.length < ENOUGH && !surer.some(({ match }) => match.stage === 'exact' || match.stage === 'prefix');
}
