import { openDatabase } from '@brackenfell/server/db/database';
import { runAudit } from '@brackenfell/server/audit/run-audit';

const db = openDatabase(process.argv[2]!, () => undefined, { max: 2, patient: true });
const start = performance.now();
let found = 0;
let planted = 0;
let heap = 0;
await runAudit(db, {
  step: () => {
    heap = Math.max(heap, process.memoryUsage().heapUsed);
    return Promise.resolve();
  },
  found: (contradictions) => {
    found += contradictions.length;
    planted += contradictions.filter(({ rule }) => rule === 'reach-differs').length;
    return Promise.resolve();
  },
});
const ms = performance.now() - start;
await db.destroy();
process.send!({ ms, found, planted, heapMb: Math.round(heap / 1024 ** 2) });
process.disconnect();
