import type { RequestHandler } from 'express';
import { sendTrouble } from './serve.ts';
import { trouble } from './trouble.ts';

/** Nothing this application is sent is nested deeper. */
const DEEPEST = 12;
const LONE_SURROGATE = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/** Why a body is not taken, walking it without recursion, so that depth itself cannot do harm. */
function wrongOf(body: unknown): string | undefined {
  let level: unknown[] = [body];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > DEEPEST) return 'it is nested too deeply';
    const next: unknown[] = [];
    for (const value of level) {
      if (typeof value === 'string' && LONE_SURROGATE.test(value)) return 'it holds half a character';
      if (typeof value === 'object' && value !== null)
        for (const [name, inner] of Object.entries(value)) next.push(name, inner);
    }
    level = next;
  }
  return undefined;
}

/** Bodies that no database column could keep as they are sent are refused before anything reads them. */
export const plainJson: RequestHandler = (req, res, next) => {
  const wrong = wrongOf(req.body as unknown);
  if (wrong === undefined) next();
  else sendTrouble(req, res, trouble('unreadable-body', `Send plain JSON: ${wrong}.`));
};
