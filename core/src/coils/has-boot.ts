import type { Topology } from '../facts/coil-facts.ts';

/** Only a coil that sits over its plug reaches it with a boot of its own. */
export const hasBoot = (asked: Topology | undefined): boolean => asked === 'on-plug' || asked === 'rail';

export const NO_BOOT = 'This coil reaches the plugs by leads, not by a boot of its own.';
