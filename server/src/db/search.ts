import { sql, type RawBuilder } from 'kysely';

/** What a column is laid against to hold a text anywhere, whatever signs it has. */
export const holding = (text: string): string => `%${text.replaceAll(/[\\%_]/g, String.raw`\$&`)}%`;

/** Fewer digits than this are any number. */
export const SHORTEST_PHONE = 5;

export const digitsOf = (text: string): string => text.replaceAll(/\D/g, '');

/** A telephone number as it is kept, without what stands between its digits. */
export const bareDigits = (column: string): RawBuilder<string> =>
  sql<string>`regexp_replace(${sql.ref(column)}, '\\D', '', 'g')`;
