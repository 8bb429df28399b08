import { describe, expect, test } from '@jest/globals';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../house-rules/house-rules.ts';
import { settleRules } from '../house-rules/settle-rules.ts';
import type { FactId } from '../facts/facts.ts';
import { sheetOf } from '../testing/sheet-of.ts';
import { adviseFragile, type FragileKnown } from './fragile.ts';
import { mapFastener } from './fasteners.ts';
import { lubricants } from './lubricants.ts';
import { whileApart } from './while-apart.ts';

const LOCK = { says: 'Connector locks turn brittle.', isHot: false, isRenewedAlways: false };
const KNOWN: FragileKnown = { isOpenedBefore: false, isOverTenYears: false, isSeenBroken: false };

describe('a fragile part is bought, held or left', () => {
  test.each([
    ['young, never opened, out of the heat', {}, {}, 'leave'],
    ['old alone', {}, { isOverTenYears: true }, 'hold'],
    ['in the heat alone', { isHot: true }, {}, 'hold'],
    ['in the heat and old', { isHot: true }, { isOverTenYears: true }, 'buy'],
    ['old and opened before', {}, { isOverTenYears: true, isOpenedBefore: true }, 'buy'],
    ['seen broken, whatever else', {}, { isSeenBroken: true }, 'buy'],
    ['renewed by the engine maker whenever it comes off', { isRenewedAlways: true }, {}, 'buy'],
  ] as const)('%s', (_, thing, known, advice) => {
    expect(adviseFragile({ ...LOCK, ...thing }, { ...KNOWN, ...known }).advice).toBe(advice);
  });

  test('what nobody has said holds it, and is asked for: unknown is never a pass', () => {
    const unsaid = { ...KNOWN, isOpenedBefore: undefined, isOverTenYears: undefined };
    expect(adviseFragile(LOCK, unsaid)).toEqual({
      advice: 'hold',
      why: 'Nobody has said how old it is and whether it was opened before.',
    });
    expect(adviseFragile({ ...LOCK, isHot: true }, unsaid).why).toMatch(/^It stands in the heat\. Nobody has said/);
  });
});

describe('the fastener map', () => {
  test('tells count, torque, first turns by hand, what is renewed and which goes where', () => {
    const nut = {
      says: 'Intake stud nut, M8',
      count: 8,
      fate: 'renew',
      where: 'the long ones at the rear',
      torque: '18–22 N·m',
    } as const;
    expect(mapFastener(nut)).toEqual({
      what: '8 × Intake stud nut, M8',
      says: 'Back to 18–22 N·m; first turns by hand; renewed, never used again; the long ones at the rear.',
      isQuestion: false,
    });
  });
  test('asks where neither count nor torque is noted', () => {
    const shield = mapFastener({ says: 'Heat shield, M8', torque: null });
    expect(shield.isQuestion).toBe(true);
    expect(shield.says).toMatch(/look it up in the engine maker’s sheet.*count them as they come off/);
  });
});

describe('what lies bare while it is apart', () => {
  const km = (distance: number) => `${distance} km`;
  const belt = { says: 'The belt.', everyKm: 90_000 };
  test.each([
    ['due at its interval', 90_000, [], 'due'],
    ['within reach before it', 89_999, [], 'within-reach'],
    ['within reach while the distance is not known', undefined, [], 'within-reach'],
    ['seen stands above its interval', 10, ['The belt.'], 'seen'],
  ] as const)('%s', (_, distanceKm, seen, standing) => {
    expect(whileApart(belt, { distanceKm, seen }, km).standing).toBe(standing);
  });
});

describe('lubricant by place', () => {
  const at = (
    plug: Partial<Record<FactId, unknown>>,
    rules: Partial<HouseRules> = {},
    place: Partial<Record<FactId, unknown>> = { 'coil.topology': 'on-plug' },
  ) => {
    const [position, part] = [sheetOf(place), sheetOf(plug)];
    const settled = settleRules(
      { defaults: { ...DEFAULT_HOUSE_RULES, ...rules }, conditional: [] },
      [],
      position,
      part,
    );
    return new Map(lubricants(position, part, settled).map((line) => [line.place, line]));
  };

  test('nothing goes on a plated thread, whatever the house does; a bare one takes a trace and less torque', () => {
    expect(at({ 'plug.plating': 'nickel' }, { threadCompound: 'always-reduced' }).get('Thread')!.says).toMatch(/^None/);
    expect(at({ 'plug.plating': 'none' }, { threadCompound: 'always-reduced' }).get('Thread')!.says).toMatch(
      /trace.*third/,
    );
    expect(at({}, { threadCompound: 'bare-threads' }).get('Thread')!.isQuestion).toBe(true);
  });
  test('nothing that conducts comes near a boot, under either school; an instruction of the maker names itself', () => {
    for (const grease of ['smear', 'dry'] as const)
      expect(at({}, { grease }).get('Boot, inside')!.says).toMatch(/Nothing that conducts/);
    const instructed = at(
      {},
      { grease: 'smear' },
      {
        'position.instructs': { rule: 'grease', school: 'dry', says: 'No grease in the boots' },
      },
    );
    expect(instructed.get('Boot, inside')).toMatchObject({ who: 'the maker instructs: No grease in the boots' });
  });
  test('a rotor is spoken of only where there is one, a connector not on a magneto', () => {
    expect(at({}).has('Rotor’s contact')).toBe(false);
    expect(at({}, {}, { 'coil.topology': 'canister' }).has('Rotor’s contact')).toBe(true);
    expect(at({}, {}, { 'coil.magnetoKv': 12 }).has('Connector')).toBe(false);
  });
});
