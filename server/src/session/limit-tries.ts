import type { Request, RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { sendTrouble } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';

const FIVE_MINUTES_MS = 5 * 60 * 1000;
const MOST_WRONG_TRIES = 10;

/** Counts only failures, per address and per account tried. */
export function limitTries(accountOf: (req: Request) => unknown): RequestHandler {
  return rateLimit({
    windowMs: FIVE_MINUTES_MS,
    limit: MOST_WRONG_TRIES,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    keyGenerator: (req) => `${req.socket.remoteAddress ?? ''} ${String(accountOf(req)).toLowerCase().slice(0, 80)}`,
    validate: { keyGeneratorIpFallback: false },
    handler: (req, res) => {
      sendTrouble(req, res, trouble('too-many-tries', 'Wait five minutes, or ask a supervisor.'));
    },
  });
}
