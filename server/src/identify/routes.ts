import type { Express } from 'express';
import { identify, lookUpPlate, readSentence } from '@brackenfell/contract/identify';
import { readStatements, type Statement } from '@brackenfell/core/identification/statements';
import type { Context } from '../context/context.ts';
import { serve } from '../http/serve.ts';
import { identification } from './present.ts';
import { readEnginesOfParts } from './store.ts';

const written = ({ kind, value }: Statement): string => `${kind}:${value}`;

function parse(said: string): Statement {
  const at = said.indexOf(':');
  return { kind: said.slice(0, at) as Statement['kind'], value: said.slice(at + 1) };
}

/** The counter waits this long for a register; then it goes on without. */
const PATIENCE_MS = 2500;

export function identifyRoutes(app: Express, context: Context): void {
  serve(app, context, identify, async ({ query, db }) => {
    const statements = (query.said ?? []).map(parse);
    const index = await context.indexes.at(db);
    const parts = statements.filter(({ kind, value }) => kind === 'part' && /^\d{1,18}$/.test(value));
    return identification(
      index,
      statements,
      await readEnginesOfParts(
        db,
        parts.map(({ value }) => value),
      ),
    );
  });

  serve(app, context, readSentence, async ({ query, db }) => {
    const { known } = await context.indexes.at(db);
    return { statements: readStatements(query.sentence, known).map(written) };
  });

  serve(app, context, lookUpPlate, async ({ query }) => {
    const { plates } = context;
    const patience = AbortSignal.timeout(PATIENCE_MS);
    const nothing = { statements: [], register: plates.name };
    try {
      const answer = await plates.ask(query.plate, patience);
      if (answer.kind === 'unknown')
        return {
          ...nothing,
          kind: 'unknown' as const,
          says: 'No record of this plate. Nothing was changed; try the number cast on the block.',
        };
      const { make, model, built } = answer.record;
      return {
        kind: 'found' as const,
        statements: [`make:${make}`, `model:${model}`, `built:${built}`],
        says: `${make} ${model}, built ${built}.`,
        register: plates.name,
      };
    } catch (error) {
      if (patience.aborted)
        return {
          ...nothing,
          kind: 'slow' as const,
          says: 'The register did not answer in time. Go on without it, or try again.',
        };
      context.log.warn({ err: error }, 'the plate register failed');
      return { ...nothing, kind: 'failed' as const, says: 'The register failed. Go on without it, or try again.' };
    }
  });
}
