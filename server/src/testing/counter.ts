import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import pg from 'pg';
import supertest from 'supertest';
import { demoStaff } from '@brackenfell/demo/staff';
import { openTray, type OpenRow, type OpenTray } from '@brackenfell/contract/open-tray';
import type { Tray } from '@brackenfell/contract/tray';
import { silentLog } from '../context/log.ts';
import { createApp } from '../app.ts';
import { createContext } from '../context/context.ts';
import { openDatabase, type Database } from '../db/database.ts';
import type { Live } from '../tidings/live.ts';
import { migrate } from '../upgrade/migrate.ts';

const TEMPLATE = 'template_world';

function setting(name: string): string {
  const value = process.env[name];
  if (!value) throw new Error('These tests need a database of their own: run them with `npm test -- unit`.');
  return value;
}

async function asSuper(statement: string): Promise<void> {
  const client = new pg.Client({ connectionString: setting('BRACKENFELL_TEST_SUPER_URL') });
  await client.connect();
  try {
    await client.query(statement);
  } finally {
    await client.end();
  }
}

export type Agent = ReturnType<typeof supertest.agent>;

/** A counter of a test file's own: a copy of the demo world in its own database, behind the real application. */
export interface TestCounter {
  /** The application's own least-privileged connection. */
  readonly db: Database;
  /** The same, of a pool of its own. */
  readonly aside: Database;
  /** The owner's connection, to put the catalogue in states that nobody at the counter could. */
  readonly owner: Database;
  /** The cluster's superuser, to break connections as a crash would. */
  readonly superuser: Database;
  /** What the application has asked its database, in order; emptied by whoever counts. */
  readonly statements: string[];
  readonly anonymous: Agent;
  readonly app: ReturnType<typeof createApp>;
  /** What its open pages are told by. It hears nothing by itself: see `url`. */
  readonly live: Live;
  /** The application's database, for who listens to it. */
  readonly url: string;
  /** Another browser. */
  fresh(): Agent;
  as(role: 'specialist' | 'starter' | 'supervisor' | 'editor'): Promise<Agent>;
  close(): Promise<void>;
}

/** An empty database of a test's own, as its owner: for what happens before there is a counter. */
export async function openEmptyDatabase(): Promise<{ owner: Database; close: () => Promise<void> }> {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await asSuper(`create database ${name} owner brackenfell_owner`);
  const owner = openDatabase(setting('BRACKENFELL_TEST_OWNER_URL').replace(TEMPLATE, name), () => undefined, {
    max: 2,
    patient: true,
  });
  return {
    owner,
    close: async () => {
      await owner.destroy();
      await asSuper(`drop database ${name} with (force)`);
    },
  };
}

/** A server on an empty database that is brought up to date: a shop nobody has begun. */
export async function openNewShop(
  firstCode: string,
): Promise<Pick<TestCounter, 'db' | 'owner' | 'close'> & { anonymous: () => Agent }> {
  const empty = await openEmptyDatabase();
  await migrate(empty.owner);
  const { rows } = await sql<{ name: string }>`select current_database() as name`.execute(empty.owner);
  const db = openDatabase(setting('BRACKENFELL_TEST_APP_URL').replace(TEMPLATE, rows[0]!.name), () => undefined);
  const app = createApp(createContext(db, silentLog(), { firstCode }));
  return {
    db,
    owner: empty.owner,
    anonymous: () => supertest.agent(app),
    close: async () => {
      await db.destroy();
      await empty.close();
    },
  };
}

export async function openTestCounter(): Promise<TestCounter> {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await asSuper(`create database ${name} template ${TEMPLATE} owner brackenfell_owner`);
  const inDatabase = (url: string) => url.replace(TEMPLATE, name);
  const statements: string[] = [];
  const onStatement = (statement: string) => {
    statements.push(statement);
  };
  const db = openDatabase(inDatabase(setting('BRACKENFELL_TEST_APP_URL')), () => undefined, { onStatement });
  const owner = openDatabase(inDatabase(setting('BRACKENFELL_TEST_OWNER_URL')), () => undefined, {
    max: 1,
    patient: true,
  });
  const superuser = openDatabase(setting('BRACKENFELL_TEST_SUPER_URL'), () => undefined, { max: 1, patient: true });
  const aside = openDatabase(inDatabase(setting('BRACKENFELL_TEST_APP_URL')), () => undefined, { max: 3, onStatement });
  const context = createContext(db, silentLog(), { aside });
  const app = createApp(context);
  const signedIn = new Map<string, Agent>();
  return {
    db,
    aside,
    owner,
    superuser,
    statements,
    app,
    live: context.live,
    url: inDatabase(setting('BRACKENFELL_TEST_APP_URL')),
    anonymous: supertest.agent(app),
    fresh: () => supertest.agent(app),
    as: async (role) => {
      const held = signedIn.get(role);
      if (held) return held;
      const { name: who, password } = demoStaff.find((person) => person.role === role)!;
      const agent = supertest.agent(app);
      await agent.post('/api/session').send({ name: who, password }).expect(200);
      signedIn.set(role, agent);
      return agent;
    },
    close: async () => {
      await Promise.all([db.destroy(), aside.destroy(), owner.destroy(), superuser.destroy()]);
      await asSuper(`drop database ${name} with (force)`);
    },
  };
}

/** A write with a fresh idempotency key. */
export const write = (agent: Agent, method: 'post' | 'patch', path: string, body: object, key: string = randomUUID()) =>
  agent[method](path).set('idempotency-key', key).send(body);

export async function fetchTray(agent: Agent, engineId: string, query = ''): Promise<OpenTray> {
  const answer = await agent.get(`/api/engines/${engineId}/tray${query}`).expect(200);
  return openTray(answer.body as Tray);
}

export function rowOf(tray: OpenTray, printed: string): OpenRow {
  const row = tray.rows.find((r) => r.printed === printed);
  if (!row) throw new Error(`${printed} is not in the tray of ${tray.engineId}.`);
  return row;
}

export const findingOf = (row: OpenRow, check: OpenRow['findings'][number]['check']) =>
  row.findings.find((finding) => finding.check === check)!;

/** The part that is called by a printed number. */
export const partIdOf = async ({ db }: TestCounter, printed: string): Promise<string> =>
  (await db.selectFrom('part_name').select('part_id').where('printed', '=', printed).executeTakeFirstOrThrow()).part_id;
