import type { CoilFacts } from '@brackenfell/contract/catalogue-file';

/** What makers print of a coil's power: primary inductance, the current its driver stops at, the voltage it is rated for. */
const power = (mh: number, peakA: number, ratedKv: number): CoilFacts => ({
  'coil.inductanceMh': mh,
  'coil.peakA': peakA,
  'coil.ratedKv': ratedKv,
});

/** What a magneto gives at each speed, its maker's own table. */
const magneto = (...kvAtRpm: readonly (readonly [rpm: number, kv: number])[]): CoilFacts => ({
  'coil.magnetoKv': kvAtRpm.map(([rpm, kv]) => ({ rpm, kv })),
});

/** Each engine's coil holds its widest gap with something to spare, new and worn. */
export const coilPower: Readonly<Record<string, CoilFacts>> = {
  'ostrel-ow12': power(2.6, 7.5, 36),
  'ostrel-of16t': power(2.4, 8, 38),
  'skerrow-sc20': power(4.4, 7.5, 40),
  'skerrow-sc20g': power(4.2, 7.5, 40),
  'skerrow-sh28': power(2.6, 7.5, 36),
  'skerrow-tl24': power(3, 7, 36),
  'dunmarrow-hf22': power(7, 6, 33),
  'dunmarrow-h6': power(7.5, 6, 33),
  'pellworth-pg66': power(5.5, 6.5, 32),
  'aldersyke-ak23s': power(2.5, 7, 32),
  'aldersyke-as22': power(2.6, 7.5, 36),
  'aldersyke-at20': power(4.2, 7.5, 38),
  'thrushgill-tc18': power(6, 6.5, 35),
  'thrushgill-tn17': power(4.2, 7.5, 38),
  'pellworth-pp20': magneto([300, 21.5], [1800, 24], [3600, 24]),
  'dunmarrow-dd70': magneto([300, 29], [1800, 31], [3600, 30]),
};
