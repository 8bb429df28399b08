import { ENDPOINTS } from '@brackenfell/contract/endpoints';
import { startServer } from '@brackenfell/scripts/server-process';
import { Till, type Tally } from './till.ts';
import { memoryMb } from '../memory.ts';

const A_ROUTE = 24;
const DEEP = 20_000;

/** A small generator of the same numbers every time. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 0x1_0000_0000;
  };
}

const SCALARS: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  1e308,
  2 ** 53,
  4_294_967_296,
  1.5,
  '',
  ' ',
  'x'.repeat(5000),
  '\u0000',
  '\ud800',
  '%00',
  "'; drop table slip; --",
  '../../etc/passwd',
  '9'.repeat(40),
  'skerrow-sc20',
  '1',
  'NaN',
  '2026-13-45',
  { length: 3 },
  [],
  {},
  { __proto__: null, constructor: 1 },
];

const FIELDS = [
  'version',
  'name',
  'password',
  'pin',
  'staffId',
  'partId',
  'slipId',
  'engineId',
  'quantity',
  'text',
  'value',
  'fact',
  'how',
  'kind',
  'entries',
  'kept',
  'school',
  'reason',
  'lines',
  'said',
  'q',
  'numbers',
  'duty',
  'units',
  'code',
  'batchId',
] as const;

/**
 * Every route of the contract is sent what nobody means: wrong types, endless numbers, lone surrogates, nests, half a body.
 * Anything but an answer of the client's own kind (a 5xx, a lost connection) is counted with its route.
 */
export async function contractFuzz(databaseUrl: string): Promise<Tally> {
  const server = await startServer(databaseUrl, 0);
  const random = seeded(7);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  const faults = new Map<string, number>();
  let [calls, worstMs] = [0, 0];
  const body = (): string => {
    const roll = random();
    if (roll < 0.05) return '{"a":'.repeat(DEEP);
    if (roll < 0.1) return '['.repeat(DEEP) + ']'.repeat(DEEP);
    if (roll < 0.15) return '{"version":1,';
    if (roll < 0.2) return JSON.stringify(pick(SCALARS));
    return JSON.stringify(
      Object.fromEntries(FIELDS.filter(() => random() < 0.3).map((field) => [field, pick(SCALARS)])),
    );
  };
  const words = SCALARS.filter((one) => typeof one !== 'object');
  /** In an address: percent by percent, half a surrogate among them. */
  const hostile = (): string => {
    if (random() < 0.05) return '%ED%A0%80';
    const bytes = [...Buffer.from(String(pick(words)))].slice(0, 300);
    return bytes.map((byte) => `%${byte.toString(16).padStart(2, '0')}`).join('') || '-';
  };
  try {
    const till = await new Till(() => server.address).signIn('Isolde');
    for (const [name, { method, path }] of Object.entries(ENDPOINTS)) {
      // The stream of what changes has no end to wait for.
      if (name === 'signOut' || name === 'endSession' || name === 'live') continue;
      for (let i = 0; i < A_ROUTE; i += 1) {
        const at = path.replaceAll(/:[a-zA-Z]+/g, () => (random() < 0.4 ? '1' : hostile()));
        const query = FIELDS.filter(() => random() < 0.15).map((field) => `${field}=${hostile()}`);
        const begun = performance.now();
        const answer = await till
          .send(method, `${at}${query.length > 0 ? `?${query.join('&')}` : ''}`, body())
          .catch(() => undefined);
        calls += 1;
        worstMs = Math.max(worstMs, performance.now() - begun);
        // A full disk and a busy database are nobody's input; neither happens here.
        if (!answer || answer.status >= 500) faults.set(name, (faults.get(name) ?? 0) + 1);
        if (answer?.status === 401) await till.signIn('Isolde');
      }
    }
    const alive = await till.send('GET', '/api/health').catch(() => undefined);
    return {
      run: 'contract fuzz',
      calls,
      lost: alive?.status === 200 ? 0 : 1,
      doubled: 0,
      torn: 0,
      faults5xx: [...faults.values()].reduce((sum, n) => sum + n, 0),
      worstMs: Math.round(worstMs),
      memoryMb: memoryMb(server)[0]!,
      says: faults.size === 0 ? 'every route answered in kind' : [...faults].map(([r, n]) => `${r} ${n}`).join(', '),
    };
  } finally {
    server.process.kill('SIGTERM');
  }
}
