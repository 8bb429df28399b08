import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Agent } from './counter.ts';

/** A paper as it was printed. */
export const pdfOf = async (agent: Agent, paperId: string) =>
  (
    await agent
      .get(`/api/papers/${paperId}`)
      .buffer(true)
      .parse((res, done) => {
        const chunks: Buffer[] = [];
        res.on('data', (chunk: Buffer) => chunks.push(chunk));
        res.on('end', () => done(null, Buffer.concat(chunks)));
      })
  ).body as Buffer;

/** Lays a paper in a folder of its own for readers that are not ours. */
function inFolder<T>(pdf: Buffer, read: (folder: string) => T): T {
  const folder = mkdtempSync(join(tmpdir(), 'card-'));
  try {
    writeFileSync(join(folder, 'card.pdf'), pdf);
    return read(folder);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

/** A paper's text as it is found. A range may break after its dash at the end of a line. */
export const textOf = (pdf: Buffer): string =>
  inFolder(pdf, (folder) =>
    execFileSync('pdftotext', ['-layout', join(folder, 'card.pdf'), '-'], { encoding: 'utf8' })
      .replaceAll(/\s+/g, ' ')
      .replaceAll('– ', '–'),
  );

/** What stands in its barcodes, read from a picture of its first page at 300 dpi. */
export const barcodesOf = (pdf: Buffer): string[] =>
  inFolder(pdf, (folder) => {
    execFileSync('pdftoppm', ['-r', '300', '-png', '-singlefile', join(folder, 'card.pdf'), join(folder, 'page')]);
    const { stdout } = spawnSync('zbarimg', ['-q', join(folder, 'page.png')], { encoding: 'utf8' });
    return stdout.trim().split('\n').sort();
  });
