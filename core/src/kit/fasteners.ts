import { upperFirst } from '../words/case.ts';

/** What becomes of a fastener that came off. */
export const FASTENER_FATES = ['again', 'renew', 'lock'] as const;
export type FastenerFate = (typeof FASTENER_FATES)[number];

/** One kind of fastener that comes off on the way. */
export interface Fastener {
  readonly says: string;
  readonly count?: number | undefined;
  /** Which goes where, where their lengths differ. */
  readonly where?: string | undefined;
  readonly isCaptive?: boolean | undefined;
  readonly fate?: FastenerFate | undefined;
  /** As it is printed; null where none is given. */
  readonly torque: string | null;
}

const FATES: Readonly<Record<FastenerFate, string>> = {
  again: 'used again',
  renew: 'renewed, never used again',
  lock: 'with locking compound',
};

/** A line of the fastener map: how many, how far, what is not known of it. Service: Fastener map. */
export function mapFastener({ says, count, where, isCaptive, fate, torque }: Fastener): {
  readonly what: string;
  readonly says: string;
  readonly isQuestion: boolean;
} {
  const told = [
    torque ? `back to ${torque}` : 'no torque is noted: look it up in the engine maker’s sheet',
    ...(isCaptive ? ['captive: it stays in its part'] : ['first turns by hand']),
    ...(fate === undefined ? [] : [FATES[fate]]),
    ...(where === undefined ? [] : [where]),
    ...(count === undefined ? ['count them as they come off'] : []),
  ].join('; ');
  return {
    what: count === undefined ? says : `${count} × ${says}`,
    says: `${upperFirst(told)}.`,
    isQuestion: torque === null || count === undefined,
  };
}
