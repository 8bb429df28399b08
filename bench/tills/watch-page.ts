import { TIDINGS } from '@brackenfell/contract/live-line';
import type { Tidings } from '@brackenfell/contract/live';
import type { RunningServer } from '@brackenfell/scripts/server-process';

/** A page that stands open until it leaves, and when (by this process's clock) it was told of which slip. */
export async function watchPage(
  { address }: RunningServer,
  cookie: string,
  leaves: AbortSignal,
  told: (slipId: string, at: number) => void,
): Promise<void> {
  const stream = await fetch(`${address}/api/live`, { headers: { cookie }, signal: leaves });
  let rest = '';
  for await (const bytes of stream.body!.pipeThrough(new TextDecoderStream())) {
    const events = `${rest}${bytes}`.split('\n\n');
    rest = events.pop()!;
    for (const event of events) {
      if (!event.startsWith(`event: ${TIDINGS}\n`)) continue;
      const { slips } = JSON.parse(event.slice(event.indexOf('data: ') + 6)) as Tidings;
      for (const { slipId } of slips) told(slipId, performance.now());
    }
  }
}
