import { countOn, kitAmiss, packAmiss, usualQuantity } from '@brackenfell/core/slip/line-quantity';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import type { Staff } from '@brackenfell/contract/session';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { partRowsOf } from '../catalogue/part-store.ts';
import { readTogether } from '../db/together.ts';
import { foundOf, layFound } from '../reading/store.ts';
import { judgeForSlip, judgeLinesAgain, toldRow } from './judge-lines.ts';
import { choicesOf, shopRulesOf } from '../ruling/store.ts';
import { slipOf, type SlipRow } from './store.ts';
import { addLineRow, changeLineRow, linesOf } from './line-store.ts';

export interface Put {
  readonly partId: string;
  readonly kind: 'sale' | 'customers-own';
  readonly quantity?: number | undefined;
  readonly positionId?: string | undefined;
  readonly onTop?: boolean | undefined;
  readonly units: UnitDisplay;
  /** It is put down as part of this kit, which has to hold as many as the job takes. */
  readonly ofKit?: string;
}

/** Everything that putting a part on a slip goes by, and the slip itself: one reading. */
export const readForPut = (trx: Writing, slipId: string, partId: string) =>
  readTogether(trx, {
    slips: slipOf(trx, slipId),
    parts: partRowsOf(trx, [partId]),
    lines: linesOf(trx, slipId),
    rules: choicesOf(),
    ...foundOf(trx, slipId),
  });

/** Puts a part on a slip, judged here and stored as told; a part that stands on it already is counted up when that is meant. */
export async function putLine(
  context: Context,
  trx: Writing,
  slip: SlipRow,
  staff: Staff,
  { kind, quantity: asked, positionId, onTop, units, ofKit }: Put,
  read: Awaited<ReturnType<typeof readForPut>>,
): Promise<Trouble | undefined> {
  const { parts, lines, rules, ...rows } = read;
  const [part] = parts;
  if (!part || !(isPartKind(part.kind) || part.kind === 'sundry'))
    return trouble('invalid-request', 'Choose a part that can be handed over.', { partId: 'no such part' });
  const judged =
    slip.engine_id === null || part.kind === 'sundry'
      ? undefined
      : await judgeForSlip(context, trx, { ...slip, engine_id: slip.engine_id }, lines, {
          kind: part.kind,
          partIds: [part.id],
          positionId,
          units,
          found: layFound(rows),
          shop: shopRulesOf(rules),
        });
  if (slip.engine_id !== null && part.kind !== 'sundry' && !judged)
    return trouble('invalid-request', 'The slip’s engine takes no such part, or not there.', {
      positionId: 'no such position',
    });
  const candidate = judged?.candidates[0];
  if (candidate?.judgement.verdict === 'refuse' && kind === 'sale') {
    return trouble(
      'not-allowed-now',
      'It is refused for this engine. It can be noted as the customer’s own part, not sold.',
    );
  }
  const serving = candidate && {
    placesServed: candidate.servedAt.length,
    engines: slip.engine_count,
    withSpare: judged.ruling.settle(judged.positions[0]!.sheet).rules.sparePolicy === 'one-spare',
  };
  const usual = part.kind === 'sundry' ? 1 : usualQuantity(part.kind, serving, part.pack_of ?? 1);
  const broken =
    kind === 'sale' && asked !== undefined && ofKit === undefined ? packAmiss(asked, part.pack_of ?? 1) : undefined;
  if (broken !== undefined) return trouble('invalid-request', broken, { quantity: 'whole packs' });
  const amiss = ofKit !== undefined && asked !== undefined ? kitAmiss(asked, serving, part.printed, ofKit) : undefined;
  if (amiss !== undefined) return trouble('not-allowed-now', amiss);
  const standing = lines.find((line) => line.part_id === part.id && line.kind === kind);
  const on = countOn(standing?.quantity, asked ?? usual, onTop === true);
  if ('says' in on) return trouble(on.kind === 'already-there' ? 'already-there' : 'invalid-request', on.says);
  const { quantity } = on;
  if (standing) {
    await changeLineRow(trx, standing.id, { quantity });
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'slip line',
      subjectId: standing.id,
      action: 'change',
      before: { quantity: standing.quantity },
      after: { quantity },
    });
    return undefined;
  }
  await addLineRow(trx, {
    line: {
      slip_id: slip.id,
      part_id: part.id,
      kind,
      quantity,
      unit_price_minor: kind === 'sale' ? part.each_minor : null,
      positions: [...(candidate?.servedAt ?? [])],
      removed_at: null,
      review: null,
    },
    staffId: staff.id,
    judgement: judged && candidate && toldRow(staff, judged, candidate, { cause: null, found: layFound(rows) }),
    after: { part: part.printed, kind },
  });
  // The other half of a pair is told by what now stands beside it.
  if (part.kind === 'cap' || part.kind === 'rotor')
    await judgeLinesAgain(context, trx, slip, staff, {
      cause: 'slip',
      kinds: [part.kind === 'cap' ? 'rotor' : 'cap'],
      store: 'changed',
    });
  return undefined;
}
