import { readQuantity } from '../quantities/read-quantity.ts';
import type { Dimensions, MeasuredWith } from './dimensions.ts';

const FIGURE = String.raw`(\d+(?:[.,]\d+)?(?:\s*\/\s*\d+)?\s*(?:mm|cm|in|inch|")?)`;
const named = (words: string): readonly RegExp[] => [
  new RegExp(String.raw`(?:^|[\s,;])(?:${words})\s*(?:of|is|:|=)?\s*${FIGURE}(?=$|[\s,;])`, 'iu'),
  new RegExp(String.raw`(?:^|[\s,;])${FIGURE}\s*(?:${words})(?=$|[\s,;])`, 'iu'),
];
const REACH = named('reach|thread length|threaded length');
const HEX = named('hex|across flats|af|spanner|socket');
const THREAD = [/(?:^|[\s,;])m\s?(\d{1,2})(?:\s?[x×]\s?\d[.,]?\d*)?(?=$|[\s,;])/iu, ...named('thread|thread diameter')];

const find = (text: string, patterns: readonly RegExp[]): string | undefined => {
  for (const pattern of patterns) {
    const found = pattern.exec(text)?.[1];
    if (found) return found.trim();
  }
  return undefined;
};

/** A measured length as written, in mm; undefined where it is no figure. */
function lengthMm(text: string | undefined, kind: 'reach' | 'hex'): number | undefined {
  if (text === undefined) return undefined;
  const reading = readQuantity(text, kind, { system: 'metric' });
  return reading.kind === 'read' && reading.low === reading.high ? Number(reading.low.toFixed(3)) : undefined;
}

/**
 * What a sentence says of a part measured at the counter: `m14, reach 19, hex 16, taper, by tape`. Undefined unless it names
 * at least one length by its name or a thread: words alone are no measurement.
 */
export function readDimensions(text: string): { readonly asked: Dimensions; readonly how: MeasuredWith } | undefined {
  const threadText = find(text, THREAD);
  const threadMm = threadText === undefined ? undefined : Number.parseFloat(threadText.replace(',', '.'));
  const reachMm = lengthMm(find(text, REACH), 'reach');
  const hexMm = lengthMm(find(text, HEX), 'hex');
  if (threadMm === undefined && reachMm === undefined && hexMm === undefined) return undefined;
  const says = (words: RegExp) => words.test(text);
  const seat = says(/\b(taper|tapered|cone|conical)\b/iu)
    ? 'taper'
    : says(/\b(gasket|washer|flat seat)\b/iu)
      ? 'gasket'
      : undefined;
  const terminal = says(/\bcup\b/iu)
    ? 'cup'
    : says(/\b(bare stud|stud)\b/iu)
      ? 'stud'
      : says(/\b(solid|nut)\b/iu)
        ? 'solid'
        : undefined;
  const how = says(/\b(tape|ruler|rule)\b/iu) ? 'tape' : 'gauge';
  return {
    asked: {
      ...(threadMm === undefined ? {} : { threadMm }),
      ...(reachMm === undefined ? {} : { reachMm }),
      ...(hexMm === undefined ? {} : { hexMm }),
      ...(seat ? { seat } : {}),
      ...(terminal ? { terminal } : {}),
    },
    how,
  };
}
