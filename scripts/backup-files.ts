import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import type { Sums } from './checksums.ts';

/** What is said of a backup beside its dump. */
export interface Manifest {
  readonly madeAt: string;
  /** Of the dump, in hexadecimal. */
  readonly sha256: string;
  readonly tables: Sums;
}

export const DUMP = 'shop.dump';
export const MANIFEST = 'manifest.json';
export const SECRETS = 'secrets.json';

export async function sha256Of(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}
