import { setTimeout as sleep } from 'node:timers/promises';
import type { Till } from '../faults/till.ts';

const LIST_ROWS = 5000;

/** One list of new plugs, read, sorted and written; how long that took. Left where it stands when it is to stop. */
export async function bringList(editor: Till, name: string, rows: number, going: () => boolean) {
  const lines = ['Number;Maker;Net price;Price;Pack'];
  for (let i = 0; i < rows; i += 1) lines.push(`QZ ${name}-${i}-R;Kestrane;1.20;2.60;4`);
  const start = performance.now();
  const { importId } = (await editor.sendFile('/api/imports?supplier=Eastgate&fileName=list.csv', lines.join('\n')))
    .body as { importId: string };
  const view = async () =>
    (await editor.send('GET', `/api/imports/${importId}`)).body as { state: string; version: number };
  const until = async (state: string) => {
    while (going() && (await view()).state !== state) await sleep(300);
  };
  await until('sorted');
  const sortedMs = performance.now() - start;
  await editor.send('POST', `/api/imports/${importId}/columns`, { version: (await view()).version, newKind: 'plug' });
  await sleep(300);
  await until('sorted');
  const settled = performance.now();
  if (going()) {
    await editor.send('POST', `/api/imports/${importId}/write`, { version: (await view()).version });
    await until('written');
  }
  return { sortedMs, writtenMs: performance.now() - settled };
}

/** Lists of 5 000 new plugs, one after the other. */
export async function bringLists(editor: Till, going: () => boolean, written: () => void): Promise<void> {
  for (let list = 0; going(); list += 1) {
    await bringList(editor, String(list), LIST_ROWS, going);
    if (going()) written();
  }
}

/** Audits, asked for as soon as the one before may have ended. */
export async function audit(editor: Till, going: () => boolean, asked: () => void): Promise<void> {
  while (going()) {
    if ((await editor.send('POST', '/api/audit/jobs', {})).status < 300) asked();
    await sleep(2000);
  }
}
