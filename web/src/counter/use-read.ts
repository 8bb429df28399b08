import type { FactId } from '@brackenfell/core/facts/facts';
import { isOfVehicle } from '@brackenfell/core/facts/fact-answers';
import type { PieceReading } from '@brackenfell/core/slip/piece-readings';
import { slipCall } from './slip-call.ts';
import { useSlipWrite } from './use-slip-write.ts';
import { useBeginSlip } from './use-begin-slip.ts';

interface Read {
  readonly fact: FactId;
  readonly value: PieceReading['value'];
  readonly how: PieceReading['how'];
  readonly device?: string | undefined;
}

/** Notes a reading of a piece, or of the vehicle, on the slip; the first one begins a slip as the first part does. */
export function useRead(partId: string, engineId: string | undefined) {
  const write = useSlipWrite();
  const begin = useBeginSlip();
  return ({ fact, value, how, device }: Read) => {
    const slipId = begin(engineId);
    const body = { partId: isOfVehicle(fact) ? null : partId, fact, value, how, ...(device ? { device } : {}) };
    write.mutate(slipCall('addReading', { params: { slipId }, body }, `reading ${String(value)}`), {}, slipId);
  };
}
