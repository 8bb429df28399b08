import { join } from 'node:path';
import { WORK_PHASES, type WorkPhase } from '@brackenfell/core/fitting-plan/steps';
import { demoWorld } from '@brackenfell/demo/world';
import { createContext } from '@brackenfell/server/context/context';
import { openDatabase } from '@brackenfell/server/db/database';
import { silentLog } from '@brackenfell/server/context/log';
import { judgeEngine } from '@brackenfell/server/tray/judge-engine';
import { planFitting } from '@brackenfell/server/tray/fitting-plan';
import { ROOT, scratchFolder } from './places.ts';
import { withThrowawayDatabase } from './throwaway-database.ts';
import { writePage } from './write-page.ts';

const FILE = join(ROOT, 'docs/orders-of-work.md');

/** Each step with the engines that have it, in the order of the work: what differs between engines stands out. */
async function gatherSteps(databaseUrl: string): Promise<string[]> {
  const db = openDatabase(databaseUrl, () => undefined);
  const context = createContext(db, silentLog());
  const steps = new Map<string, string[]>();
  const plugs: string[] = [];
  for (const engine of demoWorld.engines) {
    const judged = await judgeEngine(context, { kind: 'plug', engineId: engine.id }, 'metric', db);
    const part = judged!.candidates.find(({ evidence }) => evidence.named)!.part;
    plugs.push(`${engine.code} ${part.printed}`);
    const question = { engineId: engine.id, partId: part.id, duty: {}, units: 'metric', found: undefined } as const;
    const plan = await planFitting(context, db, question);
    for (const { phase, says } of plan!.steps) {
      const key = `${phase} | ${says.replaceAll('|', '/')}`;
      steps.set(key, [...(steps.get(key) ?? []), engine.code]);
    }
  }
  await db.destroy();
  const all = demoWorld.engines.length;
  return [
    `Plugs: ${plugs.join(', ')}.`,
    '',
    '| Phase | Step | Engines |',
    '| --- | --- | --- |',
    ...[...steps]
      .map(([key, engines], i) => ({ key, engines, i, phase: WORK_PHASES.indexOf(key.split(' ')[0] as WorkPhase) }))
      .sort((a, b) => a.phase - b.phase || a.i - b.i)
      .map(({ key, engines }) => `| ${key} | ${engines.length === all ? 'all' : engines.join(', ')} |`),
  ];
}

await withThrowawayDatabase(scratchFolder('orders', 1), async (env) => {
  const text = [
    '# Orders of work of the demo world',
    '',
    'Every step of fitting the plug that each engine’s maker names, under the rules a shop starts with, and which engines have it. Made by',
    '`npm run orders`, to be read by eye.',
    '',
    ...(await gatherSteps(env.BRACKENFELL_TEST_APP_URL!)),
    '',
  ].join('\n');
  writePage(FILE, text);
  console.log(text);
});
