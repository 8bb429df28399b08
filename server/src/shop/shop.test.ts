import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { demoStaff } from '@brackenfell/demo/staff';
import type { Staff } from '@brackenfell/contract/session';
import type { Shop } from '@brackenfell/contract/shop';
import { openNewShop, openTestCounter, write, type Agent, type TestCounter } from '../testing/counter.ts';
import { BEGIN, FIRST_CODE, MAUD, SHOP_DETAILS } from '../testing/new-shop.ts';

describe('a shop that nobody has begun', () => {
  let shop: Awaited<ReturnType<typeof openNewShop>>;
  beforeAll(async () => {
    shop = await openNewShop(FIRST_CODE);
  });
  afterAll(() => shop.close());
  const post = (body: object) => shop.anonymous().post('/api/shop').send(body);

  test('is begun by nobody without the code, nor with a password that is easily guessed', async () => {
    expect((await post({ ...BEGIN, code: 'KXWM-4T7Q' })).status).toBe(409);
    for (const password of ['short and sweet'.slice(0, 11), 'maud at the counter', 'abababababababab'])
      expect((await post({ ...BEGIN, supervisor: { ...MAUD, password } })).body.fields).toHaveProperty([
        'supervisor.password',
      ]);
    expect((await post({ ...BEGIN, timeZone: 'Middle/Nowhere' })).body.fields).toHaveProperty('timeZone');
    expect((await shop.anonymous().get('/api/shop')).body).toEqual({ shop: null });
  });

  test('is begun once, however many press at the same time, and whoever did is signed in', async () => {
    // As it may be typed: spaces for the dash, small letters.
    const tries = await Promise.all([1, 2, 3].map(() => post({ ...BEGIN, code: 'kxwm 4t7p' })));
    expect(tries.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
    const cookie = tries
      .find(({ status }) => status === 201)!
      .get('set-cookie')![0]!
      .split(';')[0]!;
    const people = await shop.anonymous().get('/api/staff').set('cookie', cookie).expect(200);
    expect(people.body.staff).toEqual([{ id: '1', name: 'Maud', initials: 'MA', role: 'supervisor' }]);
    expect((await post(BEGIN)).status).toBe(409);
    expect((await shop.anonymous().get('/api/shop')).body.shop).toEqual({ ...SHOP_DETAILS, version: 1 });
    // A code that was typed right is no wrong try; the one that was wrong is.
    const wrong = await shop.anonymous().get('/api/session/failed-tries').set('cookie', cookie).expect(200);
    expect(wrong.body.tries).toHaveLength(1);
  });

  test('takes its money by another currency only while nothing has a price', async () => {
    const agent = shop.anonymous();
    await agent.post('/api/session').send({ name: 'maud', password: MAUD.password }).expect(200);
    const changed = await write(agent, 'patch', '/api/shop', { ...SHOP_DETAILS, currency: 'SEK', version: 1 }).expect(
      200,
    );
    expect(changed.body.shop).toMatchObject({ currency: 'SEK', version: 2 });
    await write(agent, 'patch', '/api/shop', { ...SHOP_DETAILS, version: 1 }).expect(409);
    // A list of a maker nobody knew: added, and known from then on under one name.
    const added = await write(agent, 'post', '/api/makers', { name: 'Torve & Sons' }).expect(201);
    expect(added.body).toEqual({ makerId: 'torve-sons', name: 'Torve & Sons' });
    await write(agent, 'post', '/api/makers', { name: 'torve & sons' }).expect(409);
  });
});

describe('a shop at work', () => {
  let counter: TestCounter;
  beforeAll(async () => {
    counter = await openTestCounter();
  });
  afterAll(() => counter.close());
  const addTo = async (person: object) => write(await counter.as('supervisor'), 'post', '/api/staff', person);
  const whoIs = async (agent: Agent) => (await agent.get('/api/session').expect(200)).body as Staff;
  const signIn = (name: string, password: string) => counter.fresh().post('/api/session').send({ name, password });

  test('lets in who is added, once under a name, and as a supervisor with a strong password alone', async () => {
    const person = { name: 'Odo', initials: 'od', role: 'starter', password: 'ten letters', pin: '9999' };
    expect((await addTo(person)).body).toMatchObject({ name: 'Odo', initials: 'OD', active: true });
    await signIn('odo', person.password).expect(200);
    expect((await addTo({ ...person, name: 'ODO' })).body.fields).toHaveProperty('name');
    expect((await addTo({ ...person, name: 'Ida', role: 'supervisor' })).body.fields).toHaveProperty('password');
    await write(await counter.as('specialist'), 'post', '/api/staff', { ...person, name: 'Eve' }).expect(403);
  });

  test('gives who forgot it another password: the old one and every open counter of theirs are no good any more', async () => {
    const perrin = demoStaff.find(({ name }) => name === 'Perrin')!;
    const open = await counter.as('starter');
    const me = await whoIs(open);
    const isolde = await counter.as('supervisor');
    await write(isolde, 'post', `/api/staff/${me.id}/secrets`, { password: 'another of ten', pin: '1212' }).expect(200);
    await open.get('/api/session').expect(401);
    await signIn('Perrin', perrin.password).expect(401);
    await signIn('Perrin', 'another of ten').expect(200);
  });

  test('has no supervisor with a weak password: not by promotion, nor a reset, nor a change of one’s own', async () => {
    const isolde = await counter.as('supervisor');
    const added = await addTo({ name: 'Hob', initials: 'HO', role: 'starter', password: 'ten letters', pin: '2222' });
    const hob = added.body as Staff;
    const at = `/api/staff/${hob.id}`;
    const promote = (secrets?: object) =>
      write(isolde, 'patch', at, { role: 'supervisor', ...(secrets ? { secrets } : {}) });
    expect((await promote()).body.fields).toHaveProperty('secrets');
    expect((await promote({ password: 'ten letters', pin: '2222' })).body.fields).toHaveProperty(['secrets.password']);
    // Refused, nothing of it stands: neither the role nor the password.
    const before = await signIn('Hob', 'ten letters').expect(200);
    expect((before.body as Staff).role).toBe('starter');
    await promote({ password: 'heron over the mere', pin: '2222' }).then(({ status }) => expect(status).toBe(200));
    await signIn('Hob', 'ten letters').expect(401);
    const now = counter.fresh();
    const entered = await now.post('/api/session').send({ name: 'Hob', password: 'heron over the mere' }).expect(200);
    expect((entered.body as Staff).role).toBe('supervisor');
    const own = { password: 'heron over the mere', newPassword: 'hob hob hob hob' };
    expect((await write(now, 'post', '/api/session/secret', own)).body.fields).toHaveProperty('newPassword');
    const reset = await write(isolde, 'post', `${at}/secrets`, { password: 'ten letters', pin: '2222' });
    expect(reset.body.fields).toHaveProperty('password');
    await write(isolde, 'patch', at, { role: 'editor' }).expect(200);
  });

  test('is never left without a supervisor, though two step down at the same moment', async () => {
    const isolde = await counter.as('supervisor');
    const me = await whoIs(isolde);
    const down = (id: string) => write(isolde, 'patch', `/api/staff/${id}`, { role: 'editor' });
    const alone = await down(me.id);
    expect([alone.status, alone.body.detail]).toEqual([
      409,
      'The last supervisor stays: make somebody else one first.',
    ]);
    const added = await addTo({
      name: 'Brannoc',
      initials: 'BR',
      role: 'supervisor',
      password: 'moss under the weir',
      pin: '7777',
    });
    const other = added.body as Staff;
    const both = await Promise.all([down(me.id), down(other.id)]);
    expect(both.filter(({ status }) => status === 200).length).toBeLessThan(2);
    const left = await counter.db
      .selectFrom('staff')
      .select('name')
      .where('role', '=', 'supervisor')
      .where('active', '=', true)
      .execute();
    expect(left.length).toBeGreaterThan(0);
    // Put back, for whoever comes after.
    await counter.owner.updateTable('staff').set({ role: 'supervisor' }).where('id', '=', me.id).execute();
  });

  test('keeps a slip at the tax it was begun under; the next one has the new rate', async () => {
    const [wren, isolde] = [await counter.as('specialist'), await counter.as('supervisor')];
    const before = await write(wren, 'post', '/api/slips', {}).expect(201);
    const { shop } = (await wren.get('/api/shop').expect(200)).body as { shop: Shop };
    await write(isolde, 'patch', '/api/shop', { ...shop, taxBasisPoints: 700 }).expect(200);
    const after = await write(wren, 'post', '/api/slips', {}).expect(201);
    const again = await wren.get(`/api/slips/${before.body.slipId}`).expect(200);
    expect([again.body.taxBasisPoints, after.body.taxBasisPoints]).toEqual([2000, 700]);
    const dear = await write(isolde, 'patch', '/api/shop', {
      ...shop,
      taxBasisPoints: 700,
      version: shop.version + 1,
      currency: 'EUR',
    });
    expect(dear.body.fields).toEqual({ currency: 'is what prices here are in' });
  });
});
