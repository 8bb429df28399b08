import type { Till } from '../faults/till.ts';
import { medianMs, type Series } from './series.ts';

const LINES = [5, 20, 80, 200];

/** A slip of more and more lines: read whole, and one of its lines changed. */
export async function ofSlips(till: Till, partIds: readonly string[]): Promise<readonly Series[]> {
  const reads: { count: number; ms: number }[] = [];
  const writes: { count: number; ms: number }[] = [];
  for (const count of LINES) {
    let slip = (await till.send('POST', '/api/slips', {})).body as {
      slipId: string;
      version: number;
      lines: { lineId: string }[];
    };
    const at = `/api/slips/${slip.slipId}`;
    for (let line = 0; line < count; line += 1) {
      const put = await till.send('POST', `${at}/lines`, {
        version: slip.version,
        partId: partIds[line % partIds.length]!,
        onTop: true,
      });
      if (put.status !== 201) throw new Error(`Line ${line}: ${put.status} ${JSON.stringify(put.body)}`);
      slip = { ...slip, ...(put.body as object) };
    }
    const whole = (await till.send('GET', at)).body as unknown as typeof slip;
    if (whole.lines.length !== count) throw new Error(`${whole.lines.length} lines where ${count} were put down.`);
    reads.push({ count, ms: await medianMs(40, () => till.send('GET', at)) });
    let version = whole.version;
    writes.push({
      count,
      ms: await medianMs(40, async (time) => {
        const changed = await till.send('PATCH', `${at}/lines/${whole.lines.at(-1)!.lineId}`, {
          version,
          quantity: 1 + (time % 9),
        });
        if (changed.status !== 200) throw new Error(`${changed.status} ${JSON.stringify(changed.body)}`);
        version = (changed.body as { version: number }).version;
      }),
    });
  }
  return [
    { what: 'slip read', of: 'lines', points: reads },
    { what: 'slip: one line changed', of: 'lines', points: writes },
  ];
}
