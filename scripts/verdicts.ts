import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { demoWorld } from '@brackenfell/demo/world';
import { PART_KINDS } from '@brackenfell/core/facts/part-kinds';
import { TRAY_ORDER } from '@brackenfell/core/fitment/ranking';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { createContext } from '@brackenfell/server/context/context';
import { openDatabase } from '@brackenfell/server/db/database';
import { silentLog } from '@brackenfell/server/context/log';
import { judgeEngine } from '@brackenfell/server/tray/judge-engine';
import { ROOT, scratchFolder } from './places.ts';
import { withThrowawayDatabase } from './throwaway-database.ts';
import { writePage } from './write-page.ts';

const FILE = join(ROOT, 'docs/verdicts.md');

/** The demo world's verdicts, engine by engine and part by part: a table to be read by eye. */
async function countVerdicts(databaseUrl: string): Promise<string[]> {
  const db = openDatabase(databaseUrl, () => undefined);
  const context = createContext(db, silentLog());
  const rows: string[] = [];
  for (const engine of demoWorld.engines) {
    for (const kind of PART_KINDS) {
      const all = await judgeEngine(context, { kind, engineId: engine.id }, 'metric', db);
      if (!all) continue;
      const builds = [...new Set(all.everyPosition.flatMap(({ build }) => build ?? []))];
      for (const build of builds.length > 0 ? builds : [undefined]) {
        const judged =
          build === undefined ? all : await judgeEngine(context, { kind, engineId: engine.id, build }, 'metric', db);
        for (const place of new Set(judged!.positions.map((position) => position.place))) {
          const own = judged!.candidates.filter((candidate) => candidate.place === place);
          const counts = TRAY_ORDER.map((verdict) => own.filter((c) => c.judgement.verdict === verdict).length);
          const where = [build, place === kind || place === 'leads' ? '' : place].filter(Boolean).join(', ');
          rows.push(`| ${engine.code} | ${kind} | ${where} | ${counts.join(' | ')} |`);
        }
      }
    }
  }
  await db.destroy();
  return rows;
}

await withThrowawayDatabase(scratchFolder('verdicts', 1), async (env) => {
  const rows = await countVerdicts(env.BRACKENFELL_TEST_APP_URL!);
  const words = TRAY_ORDER.map((verdict) => VERDICT_WORDS[verdict]);
  const text = [
    '# Verdicts of the demo world',
    '',
    'How many candidates each engine has of each part, by verdict, for standard duty under the rules a shop starts with.',
    'Where builds ask different parts, each build is counted; places of a cylinder and banks are counted apart. Made by `npm run verdicts`.',
    '',
    `| Engine | Part | Build, place | ${words.join(' | ')} |`,
    `| --- | --- | --- | ${words.map(() => '--:').join(' | ')} |`,
    ...rows,
    '',
    // What is written below the table by hand stays.
    keptBelow(readFileSync(FILE, 'utf8')),
  ].join('\n');
  writePage(FILE, text);
  console.log(text);
});

/** The hand-written part of the file: why verdicts changed. */
function keptBelow(before: string): string {
  const at = before.indexOf('## What changed');
  return at < 0 ? '' : before.slice(at);
}
