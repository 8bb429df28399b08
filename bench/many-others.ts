import pg from 'pg';
import { CONNECTORS, TOPOLOGIES } from '@brackenfell/core/facts/coil-facts';
import type { Lead } from '@brackenfell/core/facts/lead-facts';
import { openDatabase } from '@brackenfell/server/db/database';
import { bumpCatalogueVersion } from '@brackenfell/server/catalogue/version-store';
import { makeManyLike } from '@brackenfell/server/testing/many-parts';
import { hold } from '@brackenfell/scripts/figures';
import { standBesideYardsticks } from './beside-yardsticks.ts';

/** A catalogue full of coils and of sets of leads: what a tray of either costs, asked for the first time and again. */
const option = (name: string, usual: string): string =>
  process.argv.find((word) => word.startsWith(`--${name}=`))?.split('=')[1] ?? usual;
const MANY = Number(option('many', '100000'));
const ROUNDS = Number(option('rounds', '150'));

const env = (name: string) => process.env[name]!;
const inWorld = (url: string) => url.replace('template_world', 'many_world');
const root = new pg.Client({ connectionString: env('BRACKENFELL_TEST_SUPER_URL') });
await root.connect();
await root.query('create database many_world template template_world owner brackenfell_owner');
await root.end();
const owner = openDatabase(inWorld(env('BRACKENFELL_TEST_OWNER_URL')), () => undefined, { max: 1, patient: true });

const anyOf = async (kind: 'coil' | 'lead-set') =>
  (
    await owner
      .selectFrom('part')
      .select('id')
      .where('kind', '=', kind)
      .orderBy('id')
      .limit(1)
      .executeTakeFirstOrThrow()
  ).id;

const start = performance.now();
await makeManyLike(owner, await anyOf('coil'), MANY, (n) => ({
  'coil.topology': TOPOLOGIES[n % TOPOLOGIES.length],
  'coil.connector': CONNECTORS[(n >> 3) % CONNECTORS.length],
  'coil.pinsCount': 2 + ((n >> 6) % 3),
  'coil.bootLengthMm': 60 + (n % 97),
}));
await makeManyLike(owner, await anyOf('lead-set'), MANY, (n) => ({
  'leads.set': Array.from({ length: 3 + (n % 7) }, (_, i): Lead => ({
    lengthMm: 250 + ((n * 7) % 900) + 40 * i,
    boot: n % 2 ? 'straight' : '90',
    source: n % 3 ? 'socket' : 'peg',
    kohmPerM: 10,
  })),
}));
console.log(`${MANY} coils and ${MANY} sets of leads made in ${((performance.now() - start) / 1000).toFixed(0)} s`);
const analyst = new pg.Client({
  connectionString: inWorld(env('BRACKENFELL_TEST_SUPER_URL').replace(/postgres$/, 'template_world')),
});
await analyst.connect();
await analyst.query('vacuum analyze');
await analyst.end();

const beside = await standBesideYardsticks(inWorld(env('BRACKENFELL_TEST_APP_URL')));
const routes = [
  { name: 'coil tray OF16T', path: '/api/engines/ostrel-of16t/tray?kind=coil' },
  { name: 'lead tray PG66', path: '/api/engines/pellworth-pg66/tray?kind=lead-set' },
];
console.log('asked again');
const again = await beside.measure(routes, ROUNDS);
console.log('asked first: of a catalogue that has just changed');
const first = await beside.measure(routes, ROUNDS, () => owner.transaction().execute(bumpCatalogueVersion));
for (const { name } of routes) {
  hold({ what: `${MANY} of the kind, ${name} ÷ pk route`, value: again(name)!, target: 8 });
  console.log(`${name}, the first after a change: ${first(name)!.toFixed(1)} times the primary-key route`);
}
await beside.close();
await owner.destroy();
