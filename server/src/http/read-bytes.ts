import type { Request } from 'express';
import { trouble, type Trouble } from './trouble.ts';

/** Reads a file that is sent as bytes, up to a size. */
export async function readBytes(req: Request, most: number): Promise<Buffer | Trouble> {
  const tooLarge = trouble(
    'body-too-large',
    `A file of at most ${Math.floor(most / 1024 / 1024)} MB. Send it in parts.`,
  );
  if (!req.is('application/octet-stream'))
    return trouble('wrong-media-type', 'Send Content-Type: application/octet-stream.');
  if (Number(req.get('content-length') ?? 0) > most) return tooLarge;
  const parts: Buffer[] = [];
  let size = 0;
  for await (const part of req as AsyncIterable<Buffer>) {
    size += part.length;
    if (size > most) return tooLarge;
    parts.push(part);
  }
  return Buffer.concat(parts);
}
