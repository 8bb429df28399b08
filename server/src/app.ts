import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import compression from 'compression';
import cookieParser from 'cookie-parser';
import express, { type ErrorRequestHandler, type Express } from 'express';
import helmet from 'helmet';
import { pinoHttp } from 'pino-http';
import { openApiDocument } from '@brackenfell/contract/openapi';
import { EVERYONE, type Endpoint } from '@brackenfell/contract/endpoint';
import { health } from '@brackenfell/contract/session';
import { z } from 'zod';
import { askRoutes } from './ask/routes.ts';
import { auditRoutes } from './audit/routes.ts';
import { referenceRoutes } from './authenticity/reference-routes.ts';
import { inspectionRoutes } from './authenticity/routes.ts';
import type { Context } from './context/context.ts';
import { answers } from './db/answers.ts';
import { engineRoutes } from './engine/routes.ts';
import { bookRoutes } from './books/routes.ts';
import { identifyRoutes } from './identify/routes.ts';
import { plainJson } from './http/plain-json.ts';
import { knownHost, sameOriginJson } from './http/same-origin.ts';
import { sendTrouble, serve } from './http/serve.ts';
import { trouble, type Trouble } from './http/trouble.ts';
import { whenAsked } from './http/when-asked.ts';
import { openFormatRoutes } from './open-format/routes.ts';
import { partRoutes } from './part/routes.ts';
import { shopRoutes } from './shop/routes.ts';
import { sessionRoutes } from './session/routes.ts';
import { fittedSetRoutes } from './fitted-set/routes.ts';
import { houseRuleRoutes } from './house-rules/routes.ts';
import { quarantineRoutes } from './quarantine/routes.ts';
import { receivingRoutes } from './receiving/routes.ts';
import { releaseRoutes } from './release/routes.ts';
import { dimensionRoutes } from './dimensions/routes.ts';
import { garageRoutes } from './garage/routes.ts';
import { importRoutes } from './imports/routes.ts';
import { mendingRoutes } from './mending/routes.ts';
import { recordRoutes } from './record/routes.ts';
import { liveRoutes } from './live/routes.ts';
import { loanRoutes } from './loan/routes.ts';
import { handOverRoutes } from './hand-over/routes.ts';
import { drillRoutes } from './drill/routes.ts';
import { heardRoutes } from './heard/routes.ts';
import { setUpRoutes } from './set-up/routes.ts';
import { gapRoutes } from './slip/gap-routes.ts';
import { slipMoveRoutes } from './slip/move-routes.ts';
import { slipNoteRoutes } from './slip/note-routes.ts';
import { slipReadingRoutes } from './slip/reading-routes.ts';
import { slipRoutes } from './slip/routes.ts';
import { slipWorkRoutes } from './slip/work-routes.ts';
import { trayRoutes } from './tray/routes.ts';

const LARGEST_BODY = '64kb';
const YEAR_S = 31_536_000;

const openApi = {
  method: 'GET',
  path: '/api/openapi.json',
  summary: 'This description.',
  roles: EVERYONE,
  response: z.unknown(),
} as const satisfies Endpoint;

/** 127.0.0.1, its IPv6 form, or ::1. */
const isLoopback = (ip: string | undefined): boolean => /^(::ffff:)?127\.|^::1$/.test(ip ?? '');

/** The whole application on one Express: every route validated, every failure a problem document. */
export function createApp(context: Context): Express {
  const app = express();
  app.disable('x-powered-by');
  if (context.trustProxy !== undefined) app.set('trust proxy', context.trustProxy);
  app.set('query parser', 'simple');
  // Answers are never stored, so nobody will ask whether they have changed; static files have their own.
  app.set('etag', false);
  app.use(
    pinoHttp({
      logger: context.log,
      genReqId: () => randomUUID(),
      serializers: {
        req: (req: { id: string; method: string; url: string }) => ({ id: req.id, method: req.method, url: req.url }),
        res: (res: { statusCode: number }) => ({ status: res.statusCode }),
      },
      customLogLevel: (_req, res) => (res.statusCode >= 500 ? 'error' : 'debug'),
    }),
  );
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: { 'upgrade-insecure-requests': null, 'style-src': ["'self'", "'unsafe-inline'"] },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use((_req, res, next) => {
    res.set('Permissions-Policy', 'camera=(), geolocation=(), microphone=(), payment=(), usb=()');
    next();
  });
  app.use(knownHost(context.hosts));
  // To a reader on this very machine nothing is gained by it; behind a proxy that is trusted, the reader is somewhere else.
  app.use(compression({ filter: (req, res) => !isLoopback(req.ip) && compression.filter(req, res) }));
  app.use('/api', (_req, res, next) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  app.use('/api', sameOriginJson);
  app.use(express.json({ limit: LARGEST_BODY }));
  app.use(plainJson);
  app.use(cookieParser());

  // Healthy means that it can serve: the database answers.
  serve(app, context, health, async ({ db }) => {
    await answers(db);
    return { ok: true as const };
  });
  const document = whenAsked(openApiDocument);
  serve(app, context, openApi, () => Promise.resolve(document()));
  liveRoutes(app, context);
  shopRoutes(app, context);
  sessionRoutes(app, context);
  askRoutes(app, context);
  engineRoutes(app, context);
  trayRoutes(app, context);
  gapRoutes(app, context);
  setUpRoutes(app, context);
  garageRoutes(app, context);
  loanRoutes(app, context);
  handOverRoutes(app, context);
  heardRoutes(app, context);
  drillRoutes(app, context);
  partRoutes(app, context);
  slipRoutes(app, context);
  slipMoveRoutes(app, context);
  slipNoteRoutes(app, context);
  dimensionRoutes(app, context);
  slipReadingRoutes(app, context);
  slipWorkRoutes(app, context);
  releaseRoutes(app, context);
  houseRuleRoutes(app, context);
  fittedSetRoutes(app, context);
  referenceRoutes(app, context);
  inspectionRoutes(app, context);
  quarantineRoutes(app, context);
  receivingRoutes(app, context);
  auditRoutes(app, context);
  importRoutes(app, context);
  mendingRoutes(app, context);
  recordRoutes(app, context);
  openFormatRoutes(app, context);
  bookRoutes(app, context);
  identifyRoutes(app, context);

  app.use('/api', (req, res) => {
    sendTrouble(req, res, trouble('not-found', 'Check the address.'));
  });
  if (context.webFolder) serveWeb(app, context.webFolder);
  app.use((req, res) => {
    sendTrouble(req, res, trouble('not-found', 'Check the address and the method.'));
  });
  app.use(onError(context));
  return app;
}

/** Built files carry a hash in their name and may be kept for good; the page itself is always asked for anew. */
function serveWeb(app: Express, folder: string): void {
  app.use(
    '/assets',
    express.static(join(folder, 'assets'), { immutable: true, maxAge: YEAR_S * 1000, fallthrough: false }),
  );
  app.use(express.static(folder, { index: false }));
  app.get('/{*splat}', (_req, res) => {
    res.set('Cache-Control', 'no-cache');
    res.sendFile(join(folder, 'index.html'));
  });
}

/** Database troubles after which trying again is sensible: it is starting, stopping, out of reach, or chose between two. */
const AWAY = /^(ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|57P0\d|08\d{3}|53300|40P01)$/;

/** What the database says in its own words: a wrong sale, what is not on the shelf, what is final. */
const OUR_OWN = /^BF00[123]$/;
/** A statement or a lock took longer than the counter waits. */
const TOO_LONG = /^(57014|55P03|25P03)$/;
const DISK_FULL = /^(53100|ENOSPC)$/;

const LOST = [
  'timeout exceeded when trying to connect',
  'Connection terminated',
  'Query read timeout',
  'connection error and is not queryable',
];

function troubleOf(error: unknown): Trouble {
  const { type, code, status, message } = error as { type?: string; code?: string; status?: number; message?: string };
  if (type === 'entity.too.large') return trouble('body-too-large', `Send at most ${LARGEST_BODY}.`);
  if (type === 'encoding.unsupported' || type === 'charset.unsupported')
    return trouble('wrong-media-type', 'Send UTF-8 JSON.');
  if (type?.startsWith('entity.') || type === 'request.aborted' || type === 'request.size.invalid')
    return trouble('unreadable-body', 'Send well-formed JSON.');
  if (code && OUR_OWN.test(code)) return trouble('not-allowed-now', message ?? 'The database refuses it.');
  if (code && DISK_FULL.test(code))
    return trouble('disk-full', 'Nothing was written. Free some room on the disk that holds the data, then try again.');
  if (error instanceof URIError || status === 400) return trouble('invalid-request', 'The address is not well formed.');
  if (status === 403 || status === 404) return trouble('not-found', 'Check the address.');
  if ((code && (AWAY.test(code) || TOO_LONG.test(code))) || LOST.some((words) => message?.includes(words))) {
    return trouble('busy', 'Try again in a moment: under its key the same call is never carried out twice.');
  }
  return trouble('fault', 'Nothing was half-written. Tell the supervisor the request id.');
}

function onError({ log }: Context): ErrorRequestHandler {
  return (error: unknown, req, res, next) => {
    const reply = troubleOf(error);
    if (reply.code === 'fault' || reply.code === 'busy') log.error({ err: error, requestId: req.id }, 'request failed');
    if (res.headersSent) next(error);
    else sendTrouble(req, res, reply);
  };
}
