/** Standard atmosphere, kPa. */
export const ATMOSPHERE_KPA = 101.325;
