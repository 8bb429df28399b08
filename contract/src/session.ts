import { z } from 'zod';
import { endpoint, EVERYONE, Id, line, Role } from './endpoint.ts';

export const Staff = z.object({ id: Id, name: z.string(), initials: z.string(), role: Role }).meta({ id: 'Staff' });
export type Staff = z.infer<typeof Staff>;

export const health = endpoint('health', {
  summary: 'Whether the server can serve: it answers, and so does its database.',
  roles: 'public',
  response: z.object({ ok: z.literal(true) }),
});

export const signIn = endpoint('signIn', {
  summary: 'Sign in with a name and a password.',
  roles: 'public',
  body: z.object({ name: line(60).min(1), password: z.string().min(1).max(200) }).strict(),
  response: Staff,
});

export const whoAmI = endpoint('whoAmI', {
  summary: 'Who is signed in here.',
  roles: EVERYONE,
  response: Staff,
});

export const signOut = endpoint('signOut', {
  summary: 'Sign out.',
  roles: EVERYONE,
  response: z.object({ ok: z.literal(true) }),
});

export const listStaff = endpoint('listStaff', {
  summary: 'The people who can take over at this counter.',
  roles: EVERYONE,
  response: z.object({ staff: z.array(Staff) }),
});

export const switchPerson = endpoint('switchPerson', {
  summary: 'Hand the counter to another person, by PIN.',
  roles: EVERYONE,
  body: z.object({ staffId: Id, pin: z.string().regex(/^\d{4,8}$/, 'must be 4 to 8 digits') }).strict(),
  response: Staff,
});

/** Ten characters or more; nothing is asked of their kind. */
export const NewPassword = z.string().min(10, 'takes ten characters or more').max(200);
export const Pin = z.string().regex(/^\d{4,8}$/, 'must be 4 to 8 digits');

export const listSessions = endpoint('listSessions', {
  summary: 'Where one is signed in.',
  roles: EVERYONE,
  response: z.object({
    sessions: z.array(
      z.object({ sessionId: z.string(), begunAt: z.string(), lastSeenAt: z.string(), isThis: z.boolean() }),
    ),
  }),
});

export const endSession = endpoint('endSession', {
  summary: 'Sign out somewhere else.',
  roles: EVERYONE,
  params: z.object({ sessionId: z.string().regex(/^[0-9a-f]{16}$/, 'must be as listed') }),
  response: z.object({ ok: z.literal(true) }),
});

export const listFailedTries = endpoint('listFailedTries', {
  summary: 'Wrong passwords and PINs of the last month: one’s own, or everybody’s for a supervisor.',
  roles: EVERYONE,
  response: z.object({
    tries: z.array(
      z.object({ name: z.string().nullable(), what: z.enum(['sign-in', 'pin']), address: z.string(), at: z.string() }),
    ),
  }),
});

export const changeSecret = endpoint('changeSecret', {
  summary: 'Change one’s password or PIN; one’s other sessions end.',
  roles: EVERYONE,
  body: z
    .object({ password: z.string().min(1).max(200), newPassword: NewPassword.optional(), newPin: Pin.optional() })
    .strict(),
  response: z.object({ ok: z.literal(true) }),
});

export const setStaffActive = endpoint('setStaffActive', {
  summary: 'Keep a person out, or let them in again.',
  roles: ['supervisor'],
  params: z.object({ staffId: Id }),
  body: z.object({ active: z.boolean() }).strict(),
  response: z.object({ ok: z.literal(true) }),
  idempotent: true,
});

export const listPeople = endpoint('listPeople', {
  summary: 'Everybody who works here, those kept out among them.',
  roles: ['supervisor'],
  response: z.object({ people: z.array(Staff.extend({ active: z.boolean() })) }),
});
