import type { OpenFigure } from '@brackenfell/contract/open-catalogue';
import type { Subject } from './rows.ts';

/** Figures of the open format as their rows. */
export const figureRows = (subject: Subject, figures: readonly OpenFigure[]) =>
  figures.map(({ fact, value, rank, source, readings }) => ({
    ...subject,
    attribute: fact,
    value: JSON.stringify(value),
    source_rank: rank,
    source_name: source,
    readings: readings ?? 1,
    withdrawn_at: null,
  }));
