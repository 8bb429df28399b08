import { setTimeout as sleep } from 'node:timers/promises';
import type { Till } from '../faults/till.ts';

const LIST_ROWS = 5000;

/** Lists of 5 000 new plugs, read, sorted and written, one after the other. */
export async function bringLists(editor: Till, going: () => boolean, written: () => void): Promise<void> {
  for (let list = 0; going(); list += 1) {
    const lines = ['Number;Maker;Net price;Price;Pack'];
    for (let i = 0; i < LIST_ROWS; i += 1) lines.push(`QZ ${list}-${i}-R;Kestrane;1.20;2.60;4`);
    const { importId } = (await editor.sendFile('/api/imports?supplier=Eastgate&fileName=list.csv', lines.join('\n')))
      .body as { importId: string };
    const view = async () =>
      (await editor.send('GET', `/api/imports/${importId}`)).body as { state: string; version: number };
    const until = async (state: string) => {
      while (going() && (await view()).state !== state) await sleep(300);
    };
    await until('sorted');
    await editor.send('POST', `/api/imports/${importId}/columns`, { version: (await view()).version, newKind: 'plug' });
    await sleep(300);
    await until('sorted');
    if (!going()) return;
    await editor.send('POST', `/api/imports/${importId}/write`, { version: (await view()).version });
    await until('written');
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
