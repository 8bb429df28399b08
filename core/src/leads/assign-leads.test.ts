import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIn } from '../fitment/say.ts';
import { assignLeads, servedBy, serves } from './assign-leads.ts';
import { leadCount } from './checks/lead-count.ts';
import { leadLengths } from './checks/lead-lengths.ts';
import { plugBoots } from './checks/plug-boots.ts';
import { LEAD_BOOTS, type Lead, type LeadRoute } from '../facts/lead-facts.ts';
import { runs } from '../testing/runs.ts';

const lead = (lengthMm: number, boot: Lead['boot'] = 'straight'): Lead => ({
  lengthMm,
  boot,
  source: 'socket',
  kohmPerM: 10,
});
const route = (to: string, routedMm: number, boots: LeadRoute['boots'] = LEAD_BOOTS): LeadRoute => ({
  to,
  routedMm,
  boots,
});

/** Tries every way of handing the leads out. */
function bruteForce(leads: readonly Lead[], routes: readonly LeadRoute[]) {
  let best = { served: -1, sum: Infinity };
  const walk = (at: number, used: ReadonlySet<number>, served: number, sum: number): void => {
    if (at === routes.length) {
      if (served > best.served || (served === best.served && sum < best.sum)) best = { served, sum };
      return;
    }
    walk(at + 1, used, served, sum);
    leads.forEach((l, i) => {
      if (!used.has(i) && serves(l, routes[at]!, {}))
        walk(at + 1, new Set([...used, i]), served + 1, sum + (l.lengthMm - routes[at]!.routedMm) ** 2);
    });
  };
  walk(0, new Set(), 0, 0);
  return best;
}

describe('leads given to cylinders', () => {
  test('serve as many as any handing-out could, with the least squared slack', () => {
    const boots = fc.constantFrom(...LEAD_BOOTS);
    const leads = fc.array(
      fc.record({
        lengthMm: fc.integer({ min: 30, max: 60 }).map((cm) => cm * 10),
        boot: boots,
        source: fc.constant('socket' as const),
        kohmPerM: fc.constant(10),
        coilLead: fc.boolean(),
      }),
      { maxLength: 5 },
    );
    const routes = fc.array(
      fc.record({
        to: fc.constantFrom('1', '2', '3', 'coil'),
        routedMm: fc.integer({ min: 28, max: 58 }).map((cm) => cm * 10),
        boots: fc.subarray([...LEAD_BOOTS], { minLength: 1 }),
      }),
      { maxLength: 5 },
    );
    fc.assert(
      fc.property(leads, routes, (set, routes) => {
        const { leadFor, slackMm, leftOver, sumSquaredSlackMm2 } = assignLeads(set, routes);
        const best = bruteForce(set, routes);
        const given = leadFor.filter((i) => i !== null);
        expect([given.length, sumSquaredSlackMm2]).toEqual([Math.max(0, best.served), best.sum]);
        expect(new Set(given).size).toBe(given.length);
        expect(given.length + leftOver.length).toBe(set.length);
        expect(slackMm.every((slack) => slack === null || (slack >= 0 && slack <= 80))).toBe(true);
      }),
      { numRuns: runs(600) },
    );
  });

  test('are not merely the next longest: one long lead is kept for the one far cylinder', () => {
    const { leadFor } = assignLeads(
      [lead(600), lead(420), lead(380)],
      [route('1', 400), route('2', 360), route('3', 560)],
    );
    expect(leadFor).toEqual([1, 2, 0]);
  });

  test('of five, where each first choice takes another’s only lead, are handed on until all are served', () => {
    // Each lead is up to 80 mm long for its route, and each of the first four would also go the next longer way.
    const set = [lead(400), lead(450), lead(500), lead(550), lead(600)];
    const ways = [route('1', 380), route('2', 330), route('3', 430), route('4', 480), route('5', 530)];
    const { leadFor, slackMm, leftOver, sumSquaredSlackMm2 } = assignLeads(set, ways);
    expect(leadFor).toEqual([1, 0, 2, 3, 4]);
    expect(slackMm).toEqual([70, 70, 70, 70, 70]);
    expect(leftOver).toEqual([]);
    expect(sumSquaredSlackMm2).toBe(5 * 70 ** 2);
    expect(servedBy(assignLeads(set, ways))).toBe(5);
  });

  test('a lead serves from its very length to the most slack, which the engine may name', () => {
    const of = (lengthMm: number, more = {}) => serves(lead(lengthMm), route('1', 400), more);
    expect([399, 400, 480, 481].map((mm) => of(mm))).toEqual([false, true, true, false]);
    expect([420, 421].map((mm) => of(mm, { mostSlackMm: 20 }))).toEqual([true, false]);
    const angled = route('1', 400, ['90']);
    expect([serves(lead(400), angled, {}), serves(lead(400), angled, { anyBoot: true })]).toEqual([false, true]);
    const coil = { ...lead(400), coilLead: true };
    expect([serves(coil, route('coil', 400), {}), serves(coil, route('1', 400), {})]).toEqual([true, false]);
    expect(serves(lead(400), route('coil', 400), {})).toBe(false);
  });

  test('no leads serve nothing, and leads without a way are all left over', () => {
    expect(assignLeads([], [route('1', 400)])).toEqual({
      ...{ leadFor: [null], slackMm: [null], leftOver: [], sumSquaredSlackMm2: 0 },
    });
    expect(assignLeads([lead(400)], [])).toMatchObject({ leadFor: [], leftOver: [0] });
  });

  test('leave the route unserved whose boots none of them clears, and name what is left over', () => {
    const { leadFor, leftOver } = assignLeads([lead(420), lead(430)], [route('1', 400), route('2', 400, ['90'])]);
    expect(leadFor).toEqual([0, null]);
    expect(leftOver).toEqual([1]);
  });
});

describe('a set that every check lets through', () => {
  test('serves every route, long enough, not hanging, with a boot that clears', () => {
    const boots = fc.constantFrom(...LEAD_BOOTS);
    const set = fc.array(
      fc.record({
        lengthMm: fc.integer({ min: 30, max: 50 }).map((cm) => cm * 10),
        boot: boots,
        source: fc.constant('socket' as const),
        kohmPerM: fc.constant(10),
        coilLead: fc.boolean(),
      }),
      { minLength: 1, maxLength: 5 },
    );
    const routes = fc.array(
      fc.record({
        to: fc.constantFrom('1', '2', '3', 'coil'),
        routedMm: fc.integer({ min: 28, max: 48 }).map((cm) => cm * 10),
        boots: fc.subarray([...LEAD_BOOTS], { minLength: 1 }),
      }),
      { minLength: 1, maxLength: 4 },
    );
    const source = { rank: 'engine-maker', name: 'x' } as const;
    const ruling = <T>(value: T) => ({ ruling: [{ value, source }] });
    fc.assert(
      fc.property(set, routes, (leads, routes) => {
        const sheet = { 'leads.set': ruling(leads), 'leadsAsked.routes': ruling(routes) };
        const passes = [leadCount, leadLengths, plugBoots].every((check) =>
          ['match', 'acceptable'].includes(check.ask(sheet, sayIn('metric')).outcome),
        );
        expect(passes).toBe(servedBy(assignLeads(leads, routes)) === routes.length);
      }),
      { numRuns: runs(1500) },
    );
  });
});
