import type { OpenTray } from '@brackenfell/contract/open-tray';

/** Width of a check column and the gap before a group, in 16ths of a rem; the style sheet's grid has the same. */
export const COLUMN_WIDTH = 15;
export const GROUP_GAP = 4;

type Columns = OpenTray['columns'];

/** Left edge of every check's mark within the marks' part of a row, in 16ths of a rem. */
export const markPlaces = (columns: Columns): readonly number[] =>
  columns.map((_, i) => {
    const gaps = columns.slice(0, i + 1).filter((column) => column.startsGroup).length;
    return i * COLUMN_WIDTH + gaps * GROUP_GAP + 2;
  });

export const marksWidth = (columns: Columns): number =>
  columns.length * COLUMN_WIDTH + columns.filter((column) => column.startsGroup).length * GROUP_GAP;

/** The grid's columns for the checks. */
export const gridColumns = (columns: Columns): string =>
  columns.map(({ startsGroup }) => `${(COLUMN_WIDTH + (startsGroup ? GROUP_GAP : 0)) / 16}rem`).join(' ');
