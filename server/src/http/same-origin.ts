import type { RequestHandler } from 'express';
import { sendTrouble } from './serve.ts';
import { trouble } from './trouble.ts';

const READS = ['GET', 'HEAD', 'OPTIONS'];

/** Writes must come from our own pages and say that they are JSON; a form of another site can do neither. */
export const sameOriginJson: RequestHandler = (req, res, next) => {
  if (READS.includes(req.method)) {
    next();
    return;
  }
  const origin = req.get('origin');
  if (origin !== undefined && hostOf(origin) !== req.get('host')) {
    sendTrouble(req, res, trouble('wrong-origin', 'Use the application at its own address.'));
    return;
  }
  if (origin === undefined && req.get('sec-fetch-site') === 'cross-site') {
    sendTrouble(req, res, trouble('wrong-origin', 'Use the application at its own address.'));
    return;
  }
  const hasBody =
    req.get('content-length') !== '0' &&
    (req.get('content-length') !== undefined || req.get('transfer-encoding') !== undefined);
  // A file is sent as bytes: no form of another site can say so either.
  if (hasBody && !req.is(['application/json', 'application/octet-stream'])) {
    sendTrouble(req, res, trouble('wrong-media-type', 'Send Content-Type: application/json.'));
    return;
  }
  next();
};

function hostOf(origin: string): string | undefined {
  return URL.canParse(origin) ? new URL(origin).host : undefined;
}

const LOOPBACK = /^(127\.\d+\.\d+\.\d+|localhost|\[::1\])$/;

/** Answers only to names that are its own: loopback, and what the settings name. */
export const knownHost =
  (hosts: readonly string[]): RequestHandler =>
  (req, res, next) => {
    const name = (req.get('host') ?? '').replace(/:\d+$/, '').toLowerCase();
    if (LOOPBACK.test(name) || hosts.includes(name)) next();
    else sendTrouble(req, res, trouble('wrong-origin', 'This server does not answer to that name.'));
  };
