import { describe, expect, test } from '@jest/globals';
import type { FactId } from '../facts/facts.ts';
import { sayIn } from '../fitment/say.ts';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../house-rules/house-rules.ts';
import { settleRules } from '../house-rules/settle-rules.ts';
import type { Fastener } from './fasteners.ts';
import { kitList } from './kit-list.ts';
import { SUNDRY_USE } from './sundries.ts';
import { sheetOf } from '../testing/sheet-of.ts';

const PLACE = {
  'position.hexMm': 16,
  'position.wellBoreMm': 24,
  'position.hasBattery': true,
  'position.wrenchReaches': true,
  'position.torque': { lowNm: 24, highNm: 30, nominalNm: 27, condition: 'dry' },
  'coil.topology': 'on-plug',
};
const PLUG = {
  'plug.hexMm': 16,
  'plug.hexPoints': 6,
  'plug.seat': 'gasket-fixed',
  'plug.threadDiameterMm': 14,
  'plug.centreMaterial': 'iridium',
  'plug.plating': 'nickel',
};
const kit = (
  place: Partial<Record<FactId, unknown>> = {},
  plug: Partial<Record<FactId, unknown>> = {},
  rules: Partial<HouseRules> = {},
  fasteners: readonly Fastener[] = [],
) =>
  kitList(
    {
      position: sheetOf({ ...PLACE, ...place }),
      plug: sheetOf({ ...PLUG, ...plug }),
      settled: settleRules({ defaults: { ...DEFAULT_HOUSE_RULES, ...rules }, conditional: [] }, [], {}),
      quantity: 4,
      fasteners,
    },
    sayIn('metric'),
  );
const whats = (...given: Parameters<typeof kit>) => kit(...given).map(({ what }) => what);

describe('the kit of a job', () => {
  test('names the socket in both systems, with the well it has to enter, and no magnet', () => {
    const socket = kit().find(({ what }) => what.startsWith('Socket'))!;
    expect(socket.what).toBe('Socket 16 mm or 5/8 in, thin wall, with rubber insert or hose');
    expect(socket.why).toMatch(/21\.5 mm outside, the well is 24\.0 mm\. No magnet/);
  });

  test('has two sockets where what comes out has another hex, and asks where the plug’s is not known', () => {
    expect(whats({}, { 'plug.hexMm': 14 }).filter((what) => what.startsWith('Socket'))).toHaveLength(2);
    const unknown = kit({}, { 'plug.hexMm': undefined }).filter(({ kind }) => kind === 'to-ask');
    expect(unknown.map(({ why }) => why)).toEqual(['The plug’s hex is not known: measure across its flats.']);
  });

  test('takes no battery tool where there is none, and asks where nobody knows', () => {
    const battery = /battery/i;
    expect(whats().some((what) => battery.test(what))).toBe(true);
    expect(whats({ 'position.hasBattery': false }).some((what) => battery.test(what))).toBe(false);
    expect(whats({ 'position.hasBattery': undefined })).toContain('Is there a battery?');
  });

  test('has a wrench that covers the aim, or a mark for the turn where none reaches', () => {
    expect(whats()).toContain('Torque wrench for 27.0 N·m');
    expect(whats({ 'position.wrenchReaches': false })).toContain('A mark on the socket');
  });

  test('has labels where leads come off, grease by count, and compound only where it goes on', () => {
    expect(whats()).not.toContain('Lead labels');
    expect(whats({ 'coil.topology': 'canister' })).toContain('Lead labels');
    expect(kit().find(({ what }) => what === 'Dielectric grease')!.why).toMatch(/4 boots/);
    expect(whats({}, {}, { grease: 'dry' })).not.toContain('Dielectric grease');
    const compound = (plating: string, rule: HouseRules['threadCompound']) =>
      whats({}, { 'plug.plating': plating }, { threadCompound: rule }).includes('Anti-seize compound');
    expect([
      compound('nickel', 'always-reduced'),
      compound('none', 'always-reduced'),
      compound('none', 'never'),
    ]).toEqual([false, true, false]);
  });

  test('has a driver for each fastener on the way, and finds on the shelf by use', () => {
    const items = kit({}, {}, {}, [{ says: 'Coil screw, M6', torque: '8.0–10.0 N·m' }]);
    expect(items.find(({ what }) => what === 'Driver for coil screw, M6')!.why).toBe('Back to 8.0–10.0 N·m.');
    expect(items.find(({ what }) => what.startsWith('Socket'))!.use).toBe('socket-16');
    for (const { use } of items) expect(use ?? 'none').toMatch(SUNDRY_USE);
  });

  test('every thing says why', () => {
    for (const { why } of kit()) expect(why).toMatch(/\.$/);
  });
});
