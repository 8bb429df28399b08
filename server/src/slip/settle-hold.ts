import { heldByComeback, heldByCompression, heldByReading } from '@brackenfell/core/old-parts/held';
import {
  answerKeptComeback,
  answerKeptLog,
  answerKeptPlugs,
  strangeCylinder,
  type OldPartsEngine,
} from '@brackenfell/core/old-parts/kept-answers';
import { seatsOf, strangeSeat } from '@brackenfell/core/old-parts/seats';
import { trouble, type Trouble } from '../http/trouble.ts';
import type { SlipKept } from '@brackenfell/contract/slip-kept';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import { oldPartFacts } from '../engine/present.ts';
import { findEngine, listPositions } from '../engine/store.ts';
import { keptOf, storeHold } from './store.ts';

type KeptOf<K extends SlipKept['kind']> = Extract<SlipKept, { kind: K }>;

/**
 * Settles which kinds of part the old parts of a slip hold back, from all that is kept on it: the sale goes by what stands
 * here. A reading of a cylinder that the engine does not have is refused.
 */
export async function settleHold(
  context: Context,
  trx: Writing,
  slip: { readonly id: string; readonly engine_id: string | null },
): Promise<Trouble | undefined> {
  const kept = (await keptOf(trx, slip.id).execute()).map((row) => row.kept);
  const latest = <K extends SlipKept['kind']>(kind: K) =>
    kept.find((one): one is KeptOf<K> => one.kind === kind && 'engineId' in one && one.engineId === slip.engine_id);
  const [plugs, others, log, comeback] = [
    latest('old-plugs'),
    latest('old-others'),
    latest('compression'),
    latest('comeback'),
  ];
  const engine =
    (plugs || others || log || comeback) && slip.engine_id !== null
      ? await readOldPartsEngine(context, trx, slip.engine_id)
      : undefined;
  if (engine) {
    const other = (others?.seen ?? []).flatMap(({ cylinders }) => cylinders);
    const strange =
      strangeCylinder([...(log?.reads ?? []).map(({ cylinder }) => cylinder), ...other], engine.plan) ??
      strangeSeat(plugs?.cylinders ?? [], engine.seats);
    if (strange !== undefined)
      return trouble('invalid-request', `This engine has no cylinder ${strange}.`, { kept: 'no such cylinder' });
  }
  const holds = engine
    ? [
        plugs && heldByReading(answerKeptPlugs(plugs, log, engine.of, engine.plan)),
        log && heldByCompression(answerKeptLog(log, engine.plan), log.isLeakDownMade),
        comeback && heldByComeback(answerKeptComeback(comeback, engine.of, engine.plan), comeback.isTakenBack),
      ].filter((held) => held !== undefined)
    : [];
  await storeHold(trx, slip.id, {
    held_kinds: [...new Set(holds.flatMap(({ kinds }) => kinds))],
    held_says: holds[0]?.says ?? '',
    held_by: holds[0]?.by ?? null,
  });
  return undefined;
}

async function readOldPartsEngine(context: Context, trx: Writing, engineId: string) {
  const engine = await findEngine(trx, engineId);
  if (!engine?.plan) return undefined;
  const [plugs, leads] = await Promise.all([
    listPositions(trx, [engineId]),
    listPositions(trx, [engineId], ['lead-set']),
  ]);
  const held = await context.sheets.at(trx);
  const sheets = await context.sheets.positions(
    trx,
    held,
    plugs.map(({ id }) => id),
  );
  const of: OldPartsEngine = {
    sparkBy: engine.traits.leadsGo ?? null,
    hasChargeCooler: engine.traits.chargeCooler ?? null,
    hasCarburettor: engine.traits.carburettor ?? null,
    ...oldPartFacts(plugs.map(({ id }) => sheets.get(id)!)),
    hasLeadSet: leads.length > 0,
  };
  return { of, plan: engine.plan, seats: seatsOf(plugs, engine.plan) };
}
