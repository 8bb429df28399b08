/** As many candidates as a counter looks through; the rest are counted and asked for. */
export const MOST_EXPLAINED = 50;
export const MOST_ASKED = 400;
