import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { demoStaff } from '@brackenfell/demo/staff';
import { sql } from 'kysely';
import supertest from 'supertest';
import { openTestCounter, write, type Agent, type TestCounter } from '../testing/counter.ts';

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

  test('is refused after ten wrong tries at one person, however the name is written and though the password is right', async () => {
    const corwin = demoStaff[3]!;
    const spelt = ['Corwin', 'corwin', ' Corwin', 'CORWIN  '];
    const tries = await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        counter.anonymous.post('/api/session').send({ name: spelt[i % spelt.length], password: 'guess' }),
      ),
    );
    expect(tries.filter(({ status }) => status === 401)).toHaveLength(10);
    const right = await counter.anonymous.post('/api/session').send({ name: corwin.name, password: corwin.password });
    expect([right.status, right.body.code]).toEqual([429, 'too-many-tries']);
    await counter.anonymous.post('/api/session').send({ name: 'Isolde', password: demoStaff[2]!.password }).expect(200);
    const seen = await counter.anonymous.get('/api/session/failed-tries').expect(200);
    const tried = seen.body.tries as { name: string }[];
    expect(tried.filter(({ name }) => name === 'Corwin').length).toBeGreaterThan(10);
  });

  test('again in the same browser ends the session before it', async () => {
    const first = await counter.anonymous
      .post('/api/session')
      .send({ name: 'Wren', password: wren.password })
      .expect(200);
    const cookie = first.get('set-cookie')![0]!.split(';')[0]!;
    await counter.anonymous.post('/api/session').send({ name: 'Wren', password: wren.password }).expect(200);
    await supertest(counter.app).get('/api/session').set('cookie', cookie).expect(401);
  });

  test('keeps neither password nor token in the database', async () => {
    const staff = await counter.owner.selectFrom('staff').selectAll().execute();
    const sessions = await counter.owner.selectFrom('session').selectAll().execute();
    expect(staff.every((s) => s.password_hash.startsWith('$argon2') && s.pin_hash.startsWith('$argon2'))).toBe(true);
    expect(sessions.every((s) => s.token_hash.length === 32)).toBe(true);
  });

  test('lets the application read no hash but that of a try just written down', async () => {
    const refused = { code: '42501' };
    await expect(sql`select pin_hash from staff`.execute(counter.db)).rejects.toMatchObject(refused);
    await expect(sql`select * from staff`.execute(counter.db)).rejects.toMatchObject(refused);
    const secretOf = async (id: string | number) =>
      (await sql<{ hash: string | null }>`select secret_for_try(${id}::bigint) as hash`.execute(counter.db)).rows[0]!
        .hash;
    expect(await secretOf(999_999_999)).toBeNull();
    const old = await counter.owner
      .insertInto('failed_try')
      .values({ staff_id: '1', what: 'pin', address: 'here', at: new Date(Date.now() - 120_000) })
      .returning('id')
      .executeTakeFirstOrThrow();
    expect(await secretOf(old.id)).toBeNull();
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

describe('a session', () => {
  test('ends when nobody has used it for two hours', async () => {
    const agent = counter.fresh();
    await agent.post('/api/session').send({ name: 'Wren', password: wren.password }).expect(200);
    await sql`update session set last_seen_at = now() - interval '121 minutes'`.execute(counter.owner);
    await agent.get('/api/session').expect(401);
  });

  test('is listed with one’s others, and ended from another place', async () => {
    const [here, there] = [counter.fresh(), counter.fresh()];
    for (const agent of [here, there])
      await agent.post('/api/session').send({ name: 'Wren', password: wren.password }).expect(200);
    const { sessions } = (await here.get('/api/session/all').expect(200)).body as {
      sessions: { sessionId: string; isThis: boolean }[];
    };
    for (const { sessionId } of sessions.filter(({ isThis }) => !isThis))
      await here.delete(`/api/session/all/${sessionId}`).expect(200);
    await there.get('/api/session').expect(401);
    await here.get('/api/session').expect(200);
  });

  test('of somebody who changed their PIN stays, their others end, and the new PIN counts', async () => {
    const [here, there] = [counter.fresh(), counter.fresh()];
    for (const agent of [here, there])
      await agent.post('/api/session').send({ name: 'Wren', password: wren.password }).expect(200);
    const change = (password: string) => here.post('/api/session/secret').send({ password, newPin: '998877' });
    await change('not it').expect(401);
    await change(wren.password).expect(200);
    await there.get('/api/session').expect(401);
    const { id } = (await here.get('/api/session').expect(200)).body as { id: string };
    await here.post('/api/session/switch').send({ staffId: id, pin: wren.pin }).expect(401);
    await here.post('/api/session/switch').send({ staffId: id, pin: '998877' }).expect(200);
  });

  test('of somebody who is disabled ends at once, and they do not come in again', async () => {
    const [perrin, isolde] = [counter.fresh(), counter.fresh()];
    const sign = (agent: Agent, who: { name: string; password: string }) =>
      agent.post('/api/session').send({ name: who.name, password: who.password });
    await sign(perrin, demoStaff[1]!).expect(200);
    await sign(isolde, demoStaff[2]!).expect(200);
    const { id } = (await perrin.get('/api/session').expect(200)).body as { id: string };
    await write(perrin, 'post', `/api/staff/${id}/active`, { active: false }).expect(403);
    await write(isolde, 'post', `/api/staff/${id}/active`, { active: false }).expect(200);
    await perrin.get('/api/session').expect(401);
    await sign(perrin, demoStaff[1]!).expect(401);
    await write(isolde, 'post', `/api/staff/${id}/active`, { active: true }).expect(200);
    await sign(perrin, demoStaff[1]!).expect(200);
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

  test('leaves the person before where the next one’s session cannot begin', async () => {
    const wren = await counter.as('specialist');
    const { id } = (await counter.owner
      .selectFrom('staff')
      .select('id')
      .where('name', '=', 'Isolde')
      .executeTakeFirst())!;
    await sql`alter table session add constraint nobody_else check (staff_id <> ${sql.lit(id)}) not valid`.execute(
      counter.owner,
    );
    await wren.post('/api/session/switch').send({ staffId: id, pin: '4203' }).expect(500);
    expect((await wren.get('/api/session').expect(200)).body.name).toBe('Wren');
    await sql`alter table session drop constraint nobody_else`.execute(counter.owner);
    await wren.post('/api/session/switch').send({ staffId: id, pin: '4203' }).expect(200);
  });

  test('needs somebody signed in: a PIN alone opens nothing', async () => {
    await counter.anonymous.delete('/api/session');
    await counter.anonymous.post('/api/session/switch').send({ staffId: '1', pin: '4201' }).expect(401);
  });
});
