import { OpenLine } from '@brackenfell/contract/open-catalogue';

/** A file of the open format that cannot be loaded, with the line that is wrong. */
export class WrongLine extends Error {}

/** A line as it stands in its file, before it is looked at. */
export interface RawLine {
  /** Where it stands, for whoever has to mend it: a line of a text, a row of a sheet. */
  readonly where: string;
  readonly value: unknown;
}

/** An engine with all its places is some ten thousand characters. */
export const LONGEST_LINE = 4 * 1024 * 1024;

/** The lines of a text of JSON lines; blank ones are passed over. Throws {@link WrongLine} at what is no JSON. */
export async function* textLines(texts: AsyncIterable<string> | Iterable<string>): AsyncGenerator<RawLine> {
  let at = 0;
  for await (const text of texts) {
    at += 1;
    if (text.trim() === '') continue;
    const where = `Line ${at}`;
    if (text.length > LONGEST_LINE) throw new WrongLine(`${where} is longer than any line of a catalogue.`);
    yield { where, value: parsed(where, text) };
  }
}

function parsed(where: string, text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new WrongLine(`${where} is no JSON object.`);
  }
}

function held(where: string, value: unknown): ReturnType<typeof OpenLine.safeParse> {
  try {
    return OpenLine.safeParse(value);
  } catch (error) {
    // Brackets within brackets within brackets, further than can be followed.
    if (error instanceof RangeError) throw new WrongLine(`${where} holds lists within lists without end.`);
    throw error;
  }
}

/** Every line held to the format. Throws {@link WrongLine} at the first that is wrong, and where there is none at all. */
export async function* checkedLines(raw: AsyncIterable<RawLine>): AsyncGenerator<OpenLine> {
  let isFirst = true;
  for await (const { where, value } of raw) {
    const line = held(where, value);
    if (!line.success) {
      const [issue] = line.error.issues;
      throw new WrongLine(`${where}, ${issue!.path.join('.') || 'as a whole'}: ${issue!.message}.`);
    }
    if (isFirst !== (line.data.line === 'catalogue'))
      throw new WrongLine(`${where}: the first line, and no other, says what the file is.`);
    isFirst = false;
    yield line.data;
  }
  if (isFirst) throw new WrongLine('The file is empty.');
}
