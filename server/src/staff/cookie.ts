import type { Request, Response } from 'express';

/** Behind TLS the browser itself keeps the cookie to this very host and path; on loopback's plain HTTP it cannot. */
const PLAIN = 'brackenfell_session';
const SECURE = `__Host-${PLAIN}`;
const nameFor = (req: Request): string => (req.secure ? SECURE : PLAIN);

const TWELVE_HOURS_MS = 12 * 60 * 60 * 1000;

/** A signed-in counter stays so for one working day. */
export const SESSION_MS = TWELVE_HOURS_MS;

export function readSessionToken(req: Request): string | undefined {
  const token: unknown = (req.cookies as Record<string, unknown> | undefined)?.[nameFor(req)];
  return typeof token === 'string' && /^[\w-]{43}$/.test(token) ? token : undefined;
}

/** Never readable by scripts nor sent across sites. */
const settings = (req: Request) => ({ httpOnly: true, sameSite: 'strict', secure: req.secure, path: '/' }) as const;

export function writeSessionCookie(req: Request, res: Response, token: string): void {
  res.cookie(nameFor(req), token, { ...settings(req), maxAge: SESSION_MS });
}

export function clearSessionCookie(req: Request, res: Response): void {
  res.clearCookie(nameFor(req), settings(req));
}
