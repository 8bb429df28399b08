import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { demoStaff } from '@brackenfell/demo/staff';
import { startServer, stopServer } from '@brackenfell/scripts/server-process';
import { Till } from './faults/till.ts';
import { hold } from '@brackenfell/scripts/figures';
import { drawGrowth } from './growth/draw-growth.ts';
import { ofInspections } from './growth/inspections.ts';
import { ofLists } from './growth/lists.ts';
import { exponentOf, type Series } from './growth/series.ts';
import { ofSlips } from './growth/slips.ts';
import { ofWorlds } from './growth/worlds.ts';
import { row } from './percentiles.ts';

/** Nothing grows faster than this without a reason: n log n over the sizes measured, as a power, with room for noise. */
const MOST = 1.2;

/**
 * What takes how much longer as there is more of it: four sizes each, the power of the count that the time grows by, drawn. A
 * line's kinds of part are all the same to the shop; 200 lines are more than the demo world has parts that may lie on a slip.
 */
const env = (name: string) => process.env[name]!;
const root = new pg.Client({ connectionString: env('BRACKENFELL_TEST_SUPER_URL') });
await root.connect();
await root.query('create database growth_world template template_world owner brackenfell_owner');
await root.end();
const world = new pg.Client({
  connectionString: env('BRACKENFELL_TEST_SUPER_URL').replace(/postgres$/, 'growth_world'),
});
await world.connect();
const plugs = await world.query<{ id: string }>(`select id from part where kind = 'plug' order by id`);
await world.query('update stock set on_hand = 1000000');
await world.end();

const server = await startServer(env('BRACKENFELL_TEST_APP_URL').replace('template_world', 'growth_world'), 0, {
  BRACKENFELL_LOG: 'silent',
  BRACKENFELL_SECRET: env('BRACKENFELL_SECRET'),
});
const till = await new Till(() => server.address).signIn();
const editor = await new Till(() => server.address).signIn(demoStaff.find(({ role }) => role === 'editor')!.name);
const partIds = plugs.rows.map(({ id }) => id);
const all: Series[] = [
  ...(await ofSlips(till, partIds)),
  ...(await ofInspections(till, partIds[0]!)),
  ...(await ofLists(editor)),
];
await stopServer(server);
all.push(...(await ofWorlds()));

for (const series of all) {
  console.log(row(series.what, ...series.points.map(({ count, ms }) => `${count}: ${ms.toFixed(1)} ms`)));
  hold({ what: `${series.what}: power of the ${series.of}`, value: exponentOf(series), target: MOST });
}
const drawn = process.argv.find((word) => word.startsWith('--draw-growth='))?.split('=')[1];
if (drawn) writeFileSync(join(process.env.BRACKENFELL_ROOT!, drawn), drawGrowth(all));
