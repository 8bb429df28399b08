import { mayBePlate } from '@brackenfell/core/garage/plate';
import type { AskAnswer, PartAnswer } from '@brackenfell/contract/ask';
import type { AskedDimensions } from '@brackenfell/contract/dimensions';
import { partGroups } from './part-groups.ts';

/** What taking an answer does, by its kind. */
export interface Take {
  readonly part: (part: PartAnswer) => void;
  readonly engine: (engineId: string, vehicle?: string) => void;
  readonly slip: (slipId: string) => void;
  readonly garage: (vehicleId: string) => void;
  readonly measured: (measured: AskedDimensions) => void;
  readonly plate: (plate: string) => void;
  readonly batch: (batchId: string) => void;
}

/** Every answer by its place in the list, from the top, with what taking it does. */
export function takersOf(data: AskAnswer | undefined, question: string, take: Take): ReadonlyMap<string, () => void> {
  if (!data) return new Map();
  return new Map<string, () => void>([
    ...partGroups(data.parts).flatMap(({ parts }) =>
      parts.map((p) => [`part ${p.partId}`, () => take.part(p)] as const),
    ),
    ...data.engines.map((e) => [`engine ${e.engineId}`, () => take.engine(e.engineId)] as const),
    ...data.vehicles.map(
      (v) => [`vehicle ${v.vehicleId}`, () => take.engine(v.engineId, `${v.title} ${v.years}`)] as const,
    ),
    ...data.garage.map((v) => [`garage ${v.vehicleId}`, () => take.garage(v.vehicleId)] as const),
    ...data.slips.map((s) => [`slip ${s.slipId}`, () => take.slip(s.slipId)] as const),
    ...data.batches.map((b) => [`batch ${b.batchId}`, () => take.batch(b.batchId)] as const),
    ...(data.measured ? [['measured', () => take.measured(data.measured!)] as const] : []),
    ...(mayBePlate(question) ? [['plate', () => take.plate(question)] as const] : []),
  ]);
}
