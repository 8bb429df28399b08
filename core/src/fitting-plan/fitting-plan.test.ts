import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { FactId } from '../facts/facts.ts';
import { sayIn } from '../fitment/say.ts';
import { DEFAULT_HOUSE_RULES, HOUSE_RULES, RULE_IDS, type HouseRules } from '../house-rules/house-rules.ts';
import { settleRules } from '../house-rules/settle-rules.ts';
import { fittingPlan } from './fitting-plan.ts';
import { closedOff, WORK_PHASES } from './steps.ts';
import { sheetOf } from '../testing/sheet-of.ts';

const PLUG = sheetOf({ 'plug.seat': 'gasket-fixed', 'plug.threadDiameterMm': 14, 'plug.groundCount': 1 });
const planOf = (position: Partial<Record<FactId, unknown>>, rules: Partial<HouseRules> = {}, plug = PLUG) =>
  fittingPlan(
    sheetOf(position),
    plug,
    settleRules({ defaults: { ...DEFAULT_HOUSE_RULES, ...rules }, conditional: [] }, [], sheetOf(position), plug),
    sayIn('metric'),
  );
const DEFAULTS = settleRules({ defaults: DEFAULT_HOUSE_RULES, conditional: [] }, [], {});
const told = (...given: Parameters<typeof planOf>) =>
  planOf(...given)
    .map(({ says }) => says)
    .join('\n');

describe('the order of work for fitting a plug', () => {
  test('tells an iron head the iron torque, and both where the metal is not known, the lower to be taken', () => {
    expect(told({ 'position.headMetal': 'cast-iron' })).toMatch(/25\.0–35\.0 N·m in an iron head/);
    expect(told({ 'position.headMetal': 'aluminium' })).toMatch(/20\.0–30\.0 N·m in an aluminium head/);
    expect(told({})).toMatch(/aluminium head, .*iron head.*take the lower/);
  });

  test('leaves a plated thread dry under every rule, and cuts the torque of a bare one with compound', () => {
    const always = { threadCompound: 'always-reduced' } as const;
    const with_ = (plating: string) =>
      told({ 'position.headMetal': 'aluminium' }, always, { ...PLUG, ...sheetOf({ 'plug.plating': plating }) });
    expect(with_('zinc')).toMatch(/Threads dry.*20\.0–30\.0 N·m/s);
    expect(with_('none')).toMatch(/trace of compound.*13\.0–19\.5 N·m/s);
  });

  test('reads the makers’ own torques before the general table, and names both where they have nothing in common', () => {
    const by = (lowNm: number, highNm: number) => ({ lowNm, highNm, condition: 'dry' });
    const engine = { 'position.headMetal': 'aluminium', 'position.torque': by(24, 30) };
    const plug = (low: number, high: number) => ({ ...PLUG, ...sheetOf({ 'plug.torque': by(low, high) }) });
    expect(told(engine, {}, plug(20, 26))).toMatch(/24\.0–26\.0 N·m, aim at 25\.0 N·m.*in common/);
    expect(told(engine, {}, plug(12, 18))).toMatch(
      /24\.0–27\.0 N·m.*nothing in common.*engine maker says 24.*plug maker says 12/,
    );
    expect(told(engine, {}, plug(20, 26))).not.toMatch(/General table/);
  });

  test('cuts only a torque that is meant dry', () => {
    const meant = (condition: string) =>
      told({ 'position.torque': { lowNm: 20, highNm: 20, condition } }, { threadCompound: 'always-reduced' });
    expect(meant('dry')).toMatch(/13\.0 N·m.*a third less/);
    expect(meant('with-compound')).toMatch(/20\.0 N·m.*means it with compound/);
    expect(meant('not-stated')).toMatch(/20\.0 N·m.*not cut/);
  });

  test('turns a plug where no wrench reaches, whatever the shop’s rule', () => {
    expect(told({ 'position.wrenchReaches': false })).toMatch(
      /No wrench reaches here, so by turn: from finger-tight ½/,
    );
    expect(told({ 'position.wrenchReaches': true })).toMatch(/N·m/);
  });

  test('tells each way of tightening with where it holds, when a wrench does not reach everywhere', () => {
    const places = ['1', '2', '3', '4'].map((label) => ({
      label,
      sheet: sheetOf({ 'position.headMetal': 'aluminium', 'position.wrenchReaches': label !== '4' }),
    }));
    const plan = fittingPlan(places[0]!.sheet, PLUG, DEFAULTS, sayIn('metric'), [], places).map(({ says }) => says);
    expect(plan.filter((says) => says.startsWith('At '))).toEqual([
      expect.stringMatching(/^At 1, 2, 3: .*N·m/),
      expect.stringMatching(/^At 4: No wrench reaches/),
    ]);
  });

  test('names who settled a rule: a maker before the slip, the slip before a condition', () => {
    const seized = sheetOf({
      'position.instructs': { rule: 'engineTemperature', school: 'makers-procedure', says: 'hand warm' },
    });
    const shop = {
      defaults: DEFAULT_HOUSE_RULES,
      conditional: [{ rule: 'grease', condition: 'procedure-stated', school: 'dry' } as const],
    };
    const slip = [{ rule: 'battery', school: 'ignition-off', reason: 'radio code lost' } as const];
    const plan = fittingPlan(seized, PLUG, settleRules(shop, slip, seized, PLUG), sayIn('metric'));
    const choices = plan.flatMap(({ rule }) => rule?.choice ?? []).join('; ');
    expect(choices).toMatch(
      /maker instructs: hand warm.*on this slip: radio code lost.*where the engine maker states a procedure/,
    );
  });

  test('takes no battery off where there is none', () => {
    expect(told({ 'position.hasBattery': false })).toMatch(/No battery here/);
    expect(told({ 'position.hasBattery': false })).not.toMatch(/negative off/);
  });

  test('puts the engine maker’s own procedure before every house rule, and closes with boots, connectors and first start', () => {
    const plan = fittingPlan(sheetOf({}), PLUG, DEFAULTS, sayIn('metric'), ['soak, turn back and forth']);
    expect(plan[0]!.says).toMatch(/procedure comes first: soak/);
    expect(told({})).toMatch(
      /kept in order and read.*gasket flat.*Boots pressed home.*tugged; earths.*Listen at idle/s,
    );
  });

  test('begins with a cold engine and what can kill, and ends by deferring to the maker’s manual', () => {
    const plan = planOf({});
    expect(plan[0]).toMatchObject({ says: 'Engine cold.', caution: true });
    expect(plan.slice(0, 4).every(({ caution }) => caution)).toBe(true);
    expect(told({})).toMatch(/voltage can kill.*pacemaker/s);
    expect(plan.at(-1)).toMatchObject({
      caution: true,
      says: expect.stringContaining('manual and local rules stand above'),
    });
  });

  test('is closed off place by place, by what came off there, and complete only when all of it is ticked', () => {
    const places = ['1', '2'].map((label) => ({ label, sheet: sheetOf({}) }));
    const closing = (facts: object) =>
      fittingPlan(
        sheetOf(facts),
        PLUG,
        settleRules({ defaults: DEFAULT_HOUSE_RULES, conditional: [] }, [], sheetOf(facts), PLUG),
        sayIn('metric'),
        [],
        places,
      ).filter(({ phase }) => phase === 'close');
    expect(closing({ 'coil.topology': 'on-plug', 'position.hasBattery': true }).map(({ says }) => says)).toEqual([
      '1: connector latched and tugged, boot home.',
      '2: connector latched and tugged, boot home.',
      expect.stringContaining('rags counted out'),
      expect.stringContaining('learn again'),
      expect.stringContaining('no lamp'),
      expect.stringContaining('manual'),
    ]);
    expect(closing({ 'coil.topology': 'waste-spark' })[0]!.says).toContain('lead home at both ends');
    // What reaches the plug nobody knows: looked at, and asked.
    expect(closing({})[0]).toMatchObject({ isQuestion: true });
    const steps = closing({ 'coil.topology': 'on-plug', 'position.hasBattery': false });
    expect(closedOff(steps, () => false)).toEqual({ done: 0, of: 4 });
    expect(closedOff(steps, (id) => id !== 'closed-2')).toEqual({ done: 3, of: 4 });
    expect(closedOff(steps, (id) => id !== 'manual')).toEqual({ done: 4, of: 4 });
  });

  test('is warm only where the engine has a procedure of its own and the shop follows it', () => {
    const rules = { engineTemperature: 'makers-procedure' } as const;
    expect(told({ 'position.seizesTwoPiece': true }, rules)).toContain('hot metal burns');
    expect(told({}, rules)).toContain('Engine cold.');
    expect(told({ 'position.seizesTwoPiece': true })).toContain('Engine cold.');
  });

  test('on gas asks for a licensed gas fitter, and otherwise does not', () => {
    expect(told({ 'position.fuel': 'gas' })).toContain('licensed gas fitter');
    expect(told({ 'position.fuel': 'petrol' })).not.toContain('gas fitter');
  });

  test('does not set the gap of several grounds', () => {
    const four = sheetOf({ 'plug.seat': 'gasket-fixed', 'plug.threadDiameterMm': 14, 'plug.groundCount': 4 });
    expect(told({}, {}, four)).toContain('several grounds cannot be set');
    expect(told({})).toContain('measured on each');
  });

  test('cuts the torque by the nut factors where compound is used: 25 N·m dry is 16 with it', () => {
    const torque = (threadCompound: HouseRules['threadCompound']) =>
      planOf({}, { threadCompound, tightening: 'torque' as HouseRules['tightening'] })
        .map(({ says }) => says)
        .find((says) => says.includes('N·m'))!;
    const figures = (says: string) => (says.match(/\d+(\.\d+)?/g) ?? []).map(Number);
    const dry = figures(torque('never'));
    const cut = figures(torque('always-reduced'));
    for (const [i, figure] of dry.slice(0, 2).entries()) expect(cut[i]! / figure).toBeCloseTo(0.65, 1);
    expect(torque('bare-threads')).toContain('dry');
  });

  test('by angle turns a taper far less than a new gasket, and says so when seat or thread are not known', () => {
    const angle = { tightening: 'angle' } as const;
    expect(told({}, angle)).toContain('½ to ⅔ of a turn on a new gasket');
    expect(told({}, angle, sheetOf({ 'plug.seat': 'taper', 'plug.threadDiameterMm': 18 }))).toContain('1⁄16 of a turn');
    expect(told({}, angle, sheetOf({ 'plug.seat': 'gasket-fixed', 'plug.threadDiameterMm': 12 }))).toContain('⅓ to ½');
    expect(told({}, angle, sheetOf({}))).toContain('not known: look up the plug’s thread and seat');
  });

  test('every step that a house rule chose names the rule and the school', () => {
    const named = planOf({}).flatMap(({ rule }) => rule ?? []);
    expect(named.length).toBeGreaterThanOrEqual(6);
    for (const { title, choice } of named) expect(title !== '' && choice !== '').toBe(true);
  });
});

describe('whatever the shop’s rules and the engine', () => {
  const rules = fc.record(
    Object.fromEntries(
      RULE_IDS.map((rule) => [rule, fc.constantFrom(...HOUSE_RULES[rule].schools.map(({ id }) => id as string))]),
    ),
  );
  const place = fc.record({
    'position.hasBattery': fc.constantFrom(true, false, undefined),
    'position.fuel': fc.constantFrom('petrol', 'gas'),
    'position.wrenchReaches': fc.boolean(),
    'position.headMetal': fc.constantFrom('aluminium', 'cast-iron', undefined),
    'coil.topology': fc.constantFrom('on-plug', 'waste-spark', 'canister', undefined),
    'coil.magnetoKv': fc.constantFrom([{ rpm: 300, kv: 20 }], undefined),
    'position.wellBoreMm': fc.constantFrom(24, 'open', undefined),
  });
  const known = (facts: object) =>
    Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined)) as Partial<
      Record<FactId, unknown>
    >;

  test('the maker’s procedure stands first, the work keeps its order, and nothing is asked of what the engine has not', () => {
    fc.assert(
      fc.property(rules, place, (chosen, facts) => {
        const position = sheetOf(known(facts));
        const settled = settleRules(
          { defaults: { ...DEFAULT_HOUSE_RULES, ...(chosen as Partial<HouseRules>) }, conditional: [] },
          [],
          position,
          PLUG,
        );
        const steps = fittingPlan(position, PLUG, settled, sayIn('metric'), ['Soak them overnight.']);
        expect(steps[0]!.says).toMatch(/own procedure comes first: Soak/);
        const order = steps.map(({ phase }) => WORK_PHASES.indexOf(phase));
        expect([...order].sort((a, b) => a - b)).toEqual(order);
        const all = steps.map(({ says }) => says).join(' ');
        if (facts['position.hasBattery'] === false) expect(all).not.toMatch(/Battery negative|no lamp|learn again/);
        expect(all.includes('gas fitter')).toBe(facts['position.fuel'] === 'gas');
        if (facts['coil.topology'] === 'on-plug') expect(all).not.toMatch(/Leads: by the boot/);
        if (facts['coil.magnetoKv']) expect(all).not.toMatch(/connector/i);
        if (facts['position.wellBoreMm'] === 'open') expect(all).not.toMatch(/out the well/);
        // What is not known is asked, and never taken for known.
        const asks = steps.some(({ isQuestion, says }) => isQuestion && says.includes('battery'));
        expect(asks).toBe(facts['position.hasBattery'] === undefined);
      }),
    );
  });
});
