import type { Express } from 'express';
import {
  exportCatalogue,
  exportSheets,
  openCatalogueJsonSchema,
  openCatalogueSchema,
} from '@brackenfell/contract/open-catalogue';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { serve } from '../http/serve.ts';
import { whenAsked } from '../http/when-asked.ts';
import { readOpenLines } from './export-store.ts';
import { zippedSheets } from './write-sheets.ts';

/** The catalogue as the bytes of its file, line by line. */
export async function* openFile(db: Database): AsyncGenerator<string> {
  for await (const line of readOpenLines(db)) yield `${JSON.stringify(line)}\n`;
}

export function openFormatRoutes(app: Express, context: Context): void {
  const schema = whenAsked(openCatalogueJsonSchema);
  serve(app, context, openCatalogueSchema, () => Promise.resolve(schema()));
  serve(app, context, exportSheets, ({ db }) => Promise.resolve(zippedSheets(db)));
  serve(app, context, exportCatalogue, ({ db }) => Promise.resolve(openFile(db)));
}
