import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { HeardClaim } from '@brackenfell/contract/heard';
import { openTestCounter, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent;
let supervisor: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  [wren, supervisor] = [await counter.as('specialist'), await counter.as('supervisor')];
});
afterAll(() => counter.close());

const claims = async (query = '') =>
  ((await wren.get(`/api/heard${query}`).expect(200)).body as { claims: HeardClaim[] }).claims;
const OWN = {
  says: 'Rotate them like tyres',
  answer: 'See the reach of each bank first.',
  basis: 'check',
  isTakenAway: false,
};

test('a sum is reckoned with the figures of the engine on the slip', async () => {
  const of = (list: readonly HeardClaim[], id: string) => list.find(({ claimId }) => claimId === id)!.answer;
  expect(of(await claims(), 'wide-gap-for-power')).toMatch(/choose the engine/);
  const asked = await claims('?engine=aldersyke-ak23s');
  expect(of(asked, 'wide-gap-for-power')).toMatch(/This engine asks 0\.60–0\.70 mm/);
  expect(of(asked, 'dearest-is-best')).toMatch(/£\d+\.\d\d/);
});

test('a supervisor writes the shop’s own, another answer to one there is, and takes it away again; nobody else does', async () => {
  await write(wren, 'post', '/api/heard/like-tyres', OWN).expect(403);
  await write(supervisor, 'post', '/api/heard/like-tyres', OWN).expect(200);
  expect((await claims()).find(({ claimId }) => claimId === 'like-tyres')).toMatchObject({ says: OWN.says });
  await write(supervisor, 'post', '/api/heard/cleaner-brings-them-back', { ...OWN, says: 'A cleaner does it' }).expect(
    200,
  );
  const cleaner = (await claims()).filter(({ claimId }) => claimId === 'cleaner-brings-them-back');
  expect(cleaner.map(({ answer }) => answer)).toEqual([OWN.answer]);
  await write(supervisor, 'post', '/api/heard/like-tyres', { ...OWN, isTakenAway: true }).expect(200);
  expect((await claims()).some(({ claimId }) => claimId === 'like-tyres')).toBe(false);
  // A sum is reckoned, never written by hand; what was written is never altered.
  await write(supervisor, 'post', '/api/heard/like-tyres', { ...OWN, basis: 'sum' }).expect(400);
  await expect(counter.db.updateTable('heard_claim').set({ answer: 'x' }).execute()).rejects.toThrow(
    /permission denied/,
  );
});
