import { hold } from '@brackenfell/scripts/figures';
import { standBesideYardsticks } from './beside-yardsticks.ts';

const option = (name: string, usual: string): string =>
  process.argv.find((word) => word.startsWith(`--${name}=`))?.split('=')[1] ?? usual;
/** Only routes whose name holds this, and the yardsticks: for a profile. */
const only = option('only', '');
const ROUNDS = Number(option('rounds', '300'));

const beside = await standBesideYardsticks(process.env.BRACKENFELL_TEST_APP_URL!);
const routes = [
  { name: 'who am I (session alone)', path: '/api/session' },
  { name: 'ask, exact', path: '/api/ask?q=KN%20419G-63DR' },
  { name: 'ask, worn stamping', path: '/api/ask?q=KN%2042GG-63DR' },
  { name: 'ask, prefix', path: '/api/ask?q=KN%20419' },
  { name: 'tray HF22 (13 candidates)', path: '/api/engines/dunmarrow-hf22/tray' },
  { name: 'tray SC20 (55 candidates)', path: '/api/engines/skerrow-sc20/tray' },
  { name: 'coil tray OF16T', path: '/api/engines/ostrel-of16t/tray?kind=coil' },
  { name: 'lead tray PG66', path: '/api/engines/pellworth-pg66/tray?kind=lead-set' },
];
const times = await beside.measure(
  routes.filter(({ name }) => name.includes(only)),
  ROUNDS,
);
const held = [
  { name: 'ask, exact', target: 4.5, before: 3.6 },
  { name: 'tray SC20 (55 candidates)', target: 8, before: 21 },
  { name: 'coil tray OF16T', target: 8, before: 18 },
  { name: 'lead tray PG66', target: 8, before: 17 },
];
for (const { name, target, before } of held) {
  const value = times(name);
  if (value !== undefined) hold({ what: `demo world, ${name} ÷ pk route`, value, target, before });
}
await beside.close();
