import { textLines, WrongLine, type RawLine } from './open-lines.ts';
import { packedLines } from './read-sheets.ts';

/** A file that says it is a whole catalogue; not yet looked at line by line. */
export interface WholeFile {
  /** What it is, in words. */
  readonly form: string;
  readonly lines: () => AsyncIterable<RawLine>;
}

const HEAD_BYTES = 2000;

/** What a file is, where it is a whole catalogue of the open format: JSON lines, or sheets in a zip. */
export async function wholeFile(bytes: Buffer): Promise<WholeFile | undefined> {
  if (bytes.subarray(0, 2).toString('latin1') === 'PK') {
    const lines = await packedLines(bytes);
    return lines && { form: 'a whole catalogue, sheets in a zip', lines };
  }
  if (!saysSo(bytes.subarray(0, HEAD_BYTES).toString('utf8'))) return undefined;
  return { form: 'a whole catalogue, JSON lines', lines: () => textLines(partedLines(bytes)) };
}

/** Whether a file begins with the line that says what it is. */
function saysSo(head: string): boolean {
  try {
    const first = JSON.parse(head.replace(/^\ufeff/, '').split('\n', 1)[0]!) as { line?: unknown } | null;
    return first?.line === 'catalogue';
  } catch {
    return false;
  }
}

function* partedLines(bytes: Buffer): Generator<string> {
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new WrongLine('It is not written in UTF-8, as the open format is.');
  }
  for (let at = 0; at < text.length;) {
    const end = text.indexOf('\n', at);
    yield text.slice(at, end < 0 ? undefined : end);
    at = end < 0 ? text.length : end + 1;
  }
}
