const FEW = 15;

/**
 * How many made-up cases a property is tried on. Fewer while mutants are looked for: what those few do not meet, hundreds
 * seldom do, and each mutant would take ten times as long.
 */
export const runs = (many: number): number => ('isLookingForMutants' in globalThis ? Math.min(many, FEW) : many);
