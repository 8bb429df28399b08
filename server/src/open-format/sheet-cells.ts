import { z } from 'zod';
import { OpenLine } from '@brackenfell/contract/open-catalogue';
import { whenAsked } from '../http/when-asked.ts';

interface SheetColumn {
  readonly name: string;
  /** It holds words as they are; what has parts of its own, and a number, stands as JSON. */
  readonly isText: boolean;
  /** Blank, it states nothing; else a blank is the empty word. */
  readonly isOptional: boolean;
}

/**
 * The sheets of the open format in their order, one a kind of line: its columns are the fields of that line, in the schema's
 * order.
 */
export const sheetsOfFormat = whenAsked(
  (): ReadonlyMap<string, readonly SheetColumn[]> =>
    new Map(
      OpenLine.options.map(({ shape }) => [
        shape.line.value,
        Object.entries<z.ZodType>(shape)
          .filter(([field]) => field !== 'line')
          .map(([name, field]) => ({
            name,
            isText: z.toJSONSchema(field).type === 'string',
            isOptional: field.safeParse(undefined).success,
          })),
      ]),
    ),
);

/** Before what a spreadsheet would work out, and before a cell that begins with it: one is taken away where it is read. */
const TEXT_MARK = "'";

/** A field as its cell; what is not known is a blank. What a spreadsheet would work out is marked where the sheet is written. */
export const cellOf = (value: unknown): string => {
  if (value === undefined) return '';
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.startsWith(TEXT_MARK) ? TEXT_MARK + text : text;
};

/** A cell as its field. Throws SyntaxError where what has to be JSON is none. */
export function valueOf({ isText, isOptional }: SheetColumn, cell: string): unknown {
  if (cell === '') return isText && !isOptional ? '' : undefined;
  const text = cell.startsWith(TEXT_MARK) ? cell.slice(TEXT_MARK.length) : cell;
  return isText ? text : JSON.parse(text);
}
