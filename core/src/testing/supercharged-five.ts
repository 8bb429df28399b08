/** A five with a belt-driven supercharger and a coil on each plug. */
export const SUPERCHARGED_FIVE = {
  'position.gapMm': { low: 0.6, high: 0.7 },
  'position.compressionRatio': 8.8,
  'position.ratedRpm': 6500,
  'position.boostKpa': 55,
  'position.aspiration': 'forced',
  'position.fuel': 'petrol',
  'position.polarity': 'forward',
  'position.centreDesign': 'iridium',
  'position.groundDesign': 'platinum',
  'position.intervalKm': 60_000,
  'coil.topology': 'on-plug',
  'coil.primaryOhm': 0.5,
  'coil.inductanceMh': 2.5,
  'coil.peakA': 7,
  'coil.ratedKv': 32,
} as const;
