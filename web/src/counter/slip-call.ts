import type { EndpointName, RequestOf } from '@brackenfell/contract/endpoints';
import type { Intent } from '../wire/outbox.ts';

/** Writes that go through the outbox: every one of a slip, and the taking in of a delivery. */
export type OutboxWrite = Extract<
  EndpointName,
  | 'createSlip'
  | 'changeSlip'
  | 'parkSlip'
  | 'takeOverSlip'
  | 'collectSlip'
  | 'collectPart'
  | 'quoteSlip'
  | 'orderSlip'
  | 'readySlip'
  | 'endSlip'
  | 'copySlip'
  | 'addLine'
  | 'changeLine'
  | 'removeLine'
  | 'restoreLine'
  | 'addNote'
  | 'mendNote'
  | 'addReading'
  | 'withdrawReading'
  | 'addGapReading'
  | 'withdrawGapReading'
  | 'tickStep'
  | 'chooseOnSlip'
  | 'keepOnSlip'
  | 'rememberVehicle'
  | 'receiveDelivery'
>;

type Unversioned<R> = R extends { readonly body: infer B }
  ? Omit<R, 'body'> & { readonly body: Omit<B, 'version'> }
  : R;

/** One write as it is meant; the version it goes out against is the outbox's matter. */
export interface SlipCall {
  readonly name: OutboxWrite;
  readonly request: Intent['request'];
  readonly says: string;
}

export const slipCall = <N extends OutboxWrite>(
  name: N,
  request: Unversioned<RequestOf<N>>,
  says: string,
): SlipCall => ({
  name,
  request: request as unknown as Intent['request'],
  says,
});
