import { createRequire } from 'node:module';
import type PDFDocument from 'pdfkit';

export type Doc = InstanceType<typeof PDFDocument>;

export const INK = '#1d1a16';
export const SOFT = '#5a544b';
export const LINE = '#8b867b';

const FACES = {
  text: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  strong: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
  figures: '@fontsource/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-400-normal.woff',
} as const;

/** What the faces hold; anything else would print as an empty box. */
export const printable = (text: string): string =>
  text
    .replaceAll('→', 'to')
    .replaceAll('÷', '/')
    .replaceAll('⁄', '/')
    .replaceAll('⅓', '1/3')
    .replaceAll('⅔', '2/3')
    .replaceAll('⅛', '1/8')
    .replaceAll('⅜', '3/8');

interface Paper {
  /** A sheet, or a label’s width and height in points. */
  readonly size: 'A4' | 'A5' | readonly [width: number, height: number];
  readonly margin: number;
  readonly title: string;
}

/** Makes a document of our faces and gives its bytes. `write` puts everything on it. */
export async function makePdf(
  { size, margin, title }: Paper,
  write: (doc: Doc) => void | Promise<void>,
): Promise<Buffer> {
  // Fetched with the first paper: a server starts without it.
  const { default: Document } = await import('pdfkit');
  const doc = new Document({
    size: typeof size === 'string' ? size : [...size],
    margin,
    bufferPages: true,
    lang: 'en-GB',
    displayTitle: true,
    info: { Title: title, Creator: 'Brackenfell' },
  });
  const { resolve } = createRequire(import.meta.url);
  for (const [name, path] of Object.entries(FACES)) doc.registerFont(name, resolve(path));
  const chunks: Buffer[] = [];
  doc.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((done, failed) => {
    doc.on('end', done);
    doc.on('error', failed);
  });
  await write(doc);
  doc.end();
  await ended;
  return Buffer.concat(chunks);
}

/** Writes a line at the foot of every page, in the margin. */
export function footPages(doc: Doc, margin: number, says: (page: number, of: number) => string): void {
  const { count } = doc.bufferedPageRange();
  for (let page = 0; page < count; page += 1) {
    doc.switchToPage(page);
    // Written in the margin, which pdfkit would otherwise take for the end of the page.
    doc.page.margins.bottom = 0;
    doc.font('text').fontSize(8).fillColor(SOFT);
    doc.text(printable(says(page + 1, count)), margin, doc.page.height - 24, {
      width: doc.page.width - 2 * margin,
      align: 'center',
      lineBreak: false,
    });
  }
}
