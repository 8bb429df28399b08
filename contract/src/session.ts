import { z } from 'zod';
import { endpoint, EVERYONE, Id, line, Role } from './endpoint.ts';

export const Staff = z.object({ id: Id, name: z.string(), initials: z.string(), role: Role }).meta({ id: 'Staff' });
export type Staff = z.infer<typeof Staff>;

export const health = endpoint({
  method: 'GET',
  path: '/api/health',
  summary: 'Whether the server answers.',
  roles: 'public',
  response: z.object({ ok: z.literal(true) }),
});

export const signIn = endpoint({
  method: 'POST',
  path: '/api/session',
  summary: 'Sign in with a name and a password.',
  roles: 'public',
  body: z.object({ name: line(60).min(1), password: z.string().min(1).max(200) }).strict(),
  response: Staff,
});

export const whoAmI = endpoint({
  method: 'GET',
  path: '/api/session',
  summary: 'Who is signed in here.',
  roles: EVERYONE,
  response: Staff,
});

export const signOut = endpoint({
  method: 'DELETE',
  path: '/api/session',
  summary: 'Sign out.',
  roles: EVERYONE,
  response: z.object({ ok: z.literal(true) }),
});

export const listStaff = endpoint({
  method: 'GET',
  path: '/api/staff',
  summary: 'The people who can take over at this counter.',
  roles: EVERYONE,
  response: z.object({ staff: z.array(Staff) }),
});

export const switchPerson = endpoint({
  method: 'POST',
  path: '/api/session/switch',
  summary: 'Hand the counter to another person, by PIN.',
  roles: EVERYONE,
  body: z.object({ staffId: Id, pin: z.string().regex(/^\d{4,8}$/, 'must be 4 to 8 digits') }).strict(),
  response: Staff,
});
