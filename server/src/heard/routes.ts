import type { Express } from 'express';
import { rulingValue } from '@brackenfell/core/facts/facts';
import { sayIn } from '@brackenfell/core/fitment/say';
import { answerClaim, CLAIM_IDS, CLAIMS, type ClaimFigures } from '@brackenfell/core/heard/claims';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { listClaims, saveClaim, type HeardClaim } from '@brackenfell/contract/heard';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { optionsOf } from '../hand-over/options.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { readChoices, shopRulesOf } from '../ruling/store.ts';
import { judgePlugs } from '../tray/judge-plugs.ts';
import { readOwnClaims, storeClaim } from './store.ts';

/** So many of the tray are held against each other. */
const LOOKED_AT = 24;

/** What an engine, and the shop, have to say to a claim. */
async function figuresOf(
  context: Context,
  db: Database,
  engineId: string | undefined,
  units: UnitDisplay,
): Promise<ClaimFigures> {
  const rules = shopRulesOf(await readChoices(db)).defaults;
  const judged =
    engineId === undefined ? undefined : await judgePlugs(context, { engineId, most: LOOKED_AT }, units, db);
  const [place] = judged?.positions ?? [];
  return {
    rules,
    gapMm: place && rulingValue(place.sheet, 'position.gapMm'),
    options: judged ? optionsOf(judged, new Set()) : [],
  };
}

/** The claims as they stand: the shop's own wording of one stands in its place, and its own beside them. */
async function showClaims(
  context: Context,
  db: Database,
  engineId: string | undefined,
  units: UnitDisplay,
): Promise<{ claims: HeardClaim[] }> {
  const [own, figures] = await Promise.all([readOwnClaims(db), figuresOf(context, db, engineId, units)]);
  const say = sayIn(units);
  const written = new Map(own.map((row) => [row.claim_key, row]));
  const ours = CLAIM_IDS.filter((id) => !written.has(id)).map((id) => ({
    claimId: id,
    says: CLAIMS[id].says,
    words: CLAIMS[id].words,
    basis: CLAIMS[id].basis,
    answer: answerClaim(id, figures, say),
    by: null,
  }));
  const theirs = own
    .filter(({ is_taken_away }) => !is_taken_away)
    .map(({ claim_key, says, answer, basis, by }) => ({ claimId: claim_key, says, words: '', basis, answer, by }));
  return { claims: [...ours, ...theirs] };
}

/** What is heard at the counter, and what the shop answers. */
export function heardRoutes(app: Express, context: Context): void {
  serve(app, context, listClaims, ({ query: { engine, units }, db }) => showClaims(context, db, engine, units));

  serve(app, context, saveClaim, async ({ params: { claimId }, body, staff, trx }) => {
    const { says, answer, basis, isTakenAway } = body;
    await storeClaim(trx, { claim_key: claimId, says, answer, basis, is_taken_away: isTakenAway, staff_id: staff.id });
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'claim',
      subjectId: claimId,
      action: isTakenAway ? 'take away' : 'write',
      after: { says, answer, basis },
    });
    return showClaims(context, trx, undefined, 'metric');
  });
}
