/** What is mended as a whole: an engine with its builds, places, notes and vehicles; a maker’s heat scale and numbering. */
export const RECORD_KINDS = ['engine', 'heat-scale', 'numbering'] as const;
