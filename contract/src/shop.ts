import { z } from 'zod';
import { CURRENCIES, LOCALES } from '@brackenfell/core/words/money';
import { weaknessFor } from '@brackenfell/core/shop/passwords';
import { endpoint, Id, line, Role, Units } from './endpoint.ts';
import { NewPassword, Pin, Staff } from './session.ts';

const isZone = (zone: string): boolean => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
};

/** What a shop is: how it is called, and how it writes money, figures and time. */
export const ShopDetails = z.object({
  name: line(80).min(2),
  /** As it stands on paper, lines parted by commas. */
  address: line(200),
  currency: z.enum(CURRENCIES),
  /** On prices that are quoted without it, in basis points: 2000 is 20%. Of slips begun from now on. */
  taxBasisPoints: z.number().int().min(0).max(5000),
  locale: z.enum(LOCALES),
  /** As the zone database calls it; null is the zone of the machine it runs on. */
  timeZone: z.string().max(60).refine(isZone, 'must be a zone such as Etc/UTC').nullable(),
  /** Shown to a person who has not chosen. */
  units: Units,
});

export const Shop = ShopDetails.extend({ version: z.number().int() }).meta({ id: 'Shop' });
export type Shop = z.infer<typeof Shop>;

export const getShop = endpoint('getShop', {
  summary: 'Which shop this is; null while nobody has begun one here.',
  roles: 'public',
  response: z.object({ shop: Shop.nullable() }),
});

const Initials = z
  .string()
  .trim()
  .regex(/^\p{L}{1,3}$/u, 'must be one to three letters');
const Name = line(60).trim().min(2);

const NewPerson = z.object({ name: Name, initials: Initials, password: NewPassword, pin: Pin }).strict();
/** A password that lets others in is a strong one; where only the server knows whose it is, it is checked there. */
const strong = (
  role: Role,
  { password, name }: { password: string; name: string },
  path: readonly string[],
  issues: z.core.$ZodRawIssue[],
) => {
  const message = weaknessFor(role, password, name);
  if (message) issues.push({ code: 'custom', message, path: [...path, 'password'], input: '' });
};

export const beginShop = endpoint('beginShop', {
  summary: 'Begin a shop where there is none, with the code its terminal printed; its first supervisor is signed in.',
  roles: 'public',
  body: ShopDetails.extend({ code: z.string().min(1, 'stands in the terminal').max(20), supervisor: NewPerson })
    .strict()
    .check(({ value, issues }) => strong('supervisor', value.supervisor, ['supervisor'], issues)),
  response: Staff,
  status: 201,
});

export const changeShop = endpoint('changeShop', {
  summary: 'Change what the shop is called, its address, money, tax, zone or units.',
  roles: ['supervisor'],
  body: ShopDetails.extend({ version: z.number().int() }).strict(),
  response: z.object({ shop: Shop }),
  idempotent: true,
});

const Secrets = z.object({ password: NewPassword, pin: Pin }).strict();
const Person = Staff.extend({ active: z.boolean() });

export const addPerson = endpoint('addPerson', {
  summary: 'Add somebody who works here, with a password and a PIN to begin with.',
  roles: ['supervisor'],
  body: NewPerson.extend({ role: Role })
    .strict()
    .check(({ value, issues }) => strong(value.role, value, [], issues)),
  response: Person,
  status: 201,
  idempotent: true,
});

export const changePerson = endpoint('changePerson', {
  summary:
    'Change what somebody may do here. Who becomes a supervisor gets a strong password with it, and signs in anew.',
  roles: ['supervisor'],
  params: z.object({ staffId: Id }),
  body: z.object({ role: Role, secrets: Secrets.optional() }).strict(),
  response: Person,
  idempotent: true,
});

export const resetSecrets = endpoint('resetSecrets', {
  summary: 'Give somebody who forgot it a new password and PIN; they are signed out everywhere.',
  roles: ['supervisor'],
  params: z.object({ staffId: Id }),
  body: Secrets,
  response: z.object({ ok: z.literal(true) }),
  idempotent: true,
});

const QueuedJob = z.object({
  jobId: Id,
  kind: z.string(),
  state: z.string(),
  askedBy: z.string(),
  askedAt: z.string(),
  /** Share that is done, 0 to 1. */
  progress: z.number(),
  doing: z.string(),
  /** How often a worker has taken it up. */
  tries: z.number().int(),
});

const SlowCall = z.object({
  at: z.string(),
  route: z.string(),
  method: z.string(),
  status: z.number().int(),
  ms: z.number(),
  why: z.string(),
});

export const ShopState = z
  .object({
    /** By the server's clock. */
    now: z.string(),
    databaseBytes: z.number(),
    lastMigration: z.string(),
    jobs: z.array(z.object({ kind: z.string(), state: z.string(), count: z.number().int() })),
    /** Jobs that failed within the last day. */
    failedLately: z.number().int(),
    /** Jobs that wait or run, in the order in which they are taken up. */
    queue: z.array(QueuedJob),
    backup: z.object({ at: z.string(), tables: z.number().int(), rows: z.number().int() }).nullable(),
    /** Of this process: since when, what it holds, how many pages are open at it, and the disk it stands on. */
    server: z.object({
      since: z.string(),
      memoryBytes: z.number(),
      pages: z.number().int(),
      disk: z.object({ freeBytes: z.number(), bytes: z.number() }).nullable(),
    }),
    /** Calls of this process that somebody had to wait for, the latest first. */
    slow: z.array(SlowCall),
  })
  .meta({ id: 'ShopState' });
export type ShopState = z.infer<typeof ShopState>;

export const getShopState = endpoint('getShopState', {
  summary: 'How the instance stands: its database and disk, its queue of jobs, its last backup, and what was slow.',
  roles: ['supervisor'],
  response: ShopState,
});
