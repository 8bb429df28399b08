import type { Request, Response } from 'express';

const COOKIE = 'brackenfell_session';
const TWELVE_HOURS_MS = 12 * 60 * 60 * 1000;

/** A signed-in counter stays so for one working day. */
export const SESSION_MS = TWELVE_HOURS_MS;

export function readSessionToken(req: Request): string | undefined {
  const token: unknown = (req.cookies as Record<string, unknown> | undefined)?.[COOKIE];
  return typeof token === 'string' && /^[\w-]{43}$/.test(token) ? token : undefined;
}

/** Loopback is plain HTTP, so the cookie cannot demand TLS there; it is never readable by scripts nor sent across sites. */
export function writeSessionCookie(req: Request, res: Response, token: string): void {
  res.cookie(COOKIE, token, { httpOnly: true, sameSite: 'strict', secure: req.secure, path: '/', maxAge: SESSION_MS });
}

export function clearSessionCookie(res: Response): void {
  res.clearCookie(COOKIE, { httpOnly: true, sameSite: 'strict', path: '/' });
}
