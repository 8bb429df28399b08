import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { demoStaff } from '@brackenfell/demo/staff';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const wren = demoStaff[0]!;

describe('signing in', () => {
  test('by name and password sets a cookie that scripts cannot read and other sites do not get', async () => {
    const answer = await counter.anonymous
      .post('/api/session')
      .send({ name: 'wren', password: wren.password })
      .expect(200);
    expect(answer.body).toEqual({ id: expect.any(String), name: 'Wren', initials: 'WA', role: 'specialist' });
    expect(answer.get('set-cookie')?.[0]).toMatch(/HttpOnly; SameSite=Strict/);
    await counter.anonymous.delete('/api/session').expect(200);
    await counter.anonymous.get('/api/session').expect(401);
  });

  test('an unknown name and a wrong password get the same answer', async () => {
    const wrong = await counter.anonymous.post('/api/session').send({ name: 'Wren', password: 'no' }).expect(401);
    const unknown = await counter.anonymous.post('/api/session').send({ name: 'Nobody', password: 'no' }).expect(401);
    expect(wrong.body).toEqual(unknown.body);
    expect(wrong.body.code).toBe('wrong-sign-in');
  });

  test('is slowed down after ten wrong tries at one name, and for that name only', async () => {
    const tries = await Promise.all(
      Array.from({ length: 12 }, () =>
        counter.anonymous.post('/api/session').send({ name: 'Corwin', password: 'guess' }),
      ),
    );
    expect(tries.filter((t) => t.status === 429).length).toBeGreaterThan(0);
    await counter.anonymous.post('/api/session').send({ name: 'Isolde', password: demoStaff[2]!.password }).expect(200);
  });

  test('keeps neither password nor token in the database', async () => {
    const staff = await counter.owner.selectFrom('staff').selectAll().execute();
    const sessions = await counter.owner.selectFrom('session').selectAll().execute();
    expect(staff.every((s) => s.password_hash.startsWith('$argon2') && s.pin_hash.startsWith('$argon2'))).toBe(true);
    expect(sessions.every((s) => s.token_hash.length === 32)).toBe(true);
  });

  test('ends when the session has run out', async () => {
    const agent = await counter.as('starter');
    await agent.get('/api/session').expect(200);
    await counter.owner
      .updateTable('session')
      .set({ expires_at: new Date(Date.now() - 1000) })
      .execute();
    await agent.get('/api/session').expect(401);
  });
});

describe('a read that follows typing', () => {
  test('is refused at once when the session was ended here', async () => {
    await counter.anonymous.post('/api/session').send({ name: 'Wren', password: wren.password }).expect(200);
    await counter.anonymous.get('/api/ask').query({ q: 'KN' }).expect(200);
    await counter.anonymous.delete('/api/session').expect(200);
    await counter.anonymous.get('/api/ask').query({ q: 'KN' }).expect(401);
  });
});

describe('handing over the counter', () => {
  test('takes the other person’s PIN, and ends the session before it', async () => {
    await counter.anonymous.post('/api/session').send({ name: 'Wren', password: wren.password }).expect(200);
    const { body } = await counter.anonymous.get('/api/staff').expect(200);
    const isolde = (body.staff as { id: string; name: string }[]).find((s) => s.name === 'Isolde')!;
    await counter.anonymous.post('/api/session/switch').send({ staffId: isolde.id, pin: '0000' }).expect(401);
    expect((await counter.anonymous.get('/api/session')).body.name).toBe('Wren');
    await counter.anonymous.post('/api/session/switch').send({ staffId: isolde.id, pin: '4203' }).expect(200);
    expect((await counter.anonymous.get('/api/session')).body).toMatchObject({ name: 'Isolde', role: 'supervisor' });
  });

  test('needs somebody signed in: a PIN alone opens nothing', async () => {
    await counter.anonymous.delete('/api/session');
    await counter.anonymous.post('/api/session/switch').send({ staffId: '1', pin: '4201' }).expect(401);
  });
});
