import type { FactId, FactSheet, Sourced } from '@brackenfell/core/facts/facts';
import type { TorqueCondition, TorqueStatement } from '@brackenfell/core/facts/torque-statements';
import { DEFAULT_HOUSE_RULES } from '@brackenfell/core/house-rules/house-rules';
import { systemOf, type UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { oneOf, readPlain, type PlainReading } from '@brackenfell/core/quantities/plain-figure';
import type { QuantityContext } from '@brackenfell/core/quantities/plausible-ranges';
import { printedPairAgrees, readQuantity, type QuantityReading } from '@brackenfell/core/quantities/read-quantity';
import type { Lubricant } from '@brackenfell/core/torque/compound';
import { torqueDesk, type TorqueDesk } from '@brackenfell/core/torque/torque-desk';
import { chosen } from './spark-inputs.ts';

export const THREADS = [
  { value: '14-gasket', says: 'M14, gasket' },
  { value: '12-gasket', says: 'M12, gasket' },
  { value: '10-gasket', says: 'M10, gasket' },
  { value: '14-taper', says: 'M14, cone' },
  { value: '18-gasket', says: 'M18, gasket' },
  { value: '18-taper', says: 'M18, cone' },
  { value: '8-gasket', says: 'M8, gasket' },
] as const;
export const METALS = [
  { value: 'unknown', says: 'not known' },
  { value: 'aluminium', says: 'aluminium' },
  { value: 'cast-iron', says: 'iron' },
] as const;
export const CONDITIONS = [
  { value: 'dry', says: 'dry' },
  { value: 'with-compound', says: 'with compound' },
  { value: 'not-stated', says: 'not said' },
] as const;
export const USED_ON = [
  { value: 'dry', says: 'dry' },
  { value: 'oil', says: 'oil' },
  { value: 'anti-seize', says: 'anti-seize' },
] as const satisfies readonly { readonly value: Lubricant; readonly says: string }[];

/**
 * The figures of a sum: who says it, and the name of its field and of what it is meant on. `engine` is the address's own word for
 * the engine in hand.
 */
export const SHEETS = [
  { name: 'sheet1', on: 'sheet1On', label: 'engine maker', fact: 'position.torque' },
  { name: 'sheet2', on: 'sheet2On', label: 'its other sheet', fact: 'position.torque' },
  { name: 'plug', on: 'plugOn', label: 'plug maker', fact: 'plug.torque' },
] as const;

/** A torque as it is typed: read, asked back, or two figures side by side that are not the same. */
export type TorqueTyped = QuantityReading | { readonly kind: 'pair'; readonly question: string };

/** Two figures a sheet prints side by side: `25 N·m / 18 lbf·ft`, `25 Nm (18 lbft)`. */
const PAIR = /^(.+?\p{L}[^=(]*?)\s*(?:\/|=|\()\s*(\d[^()=]*?)\)?$/u;

/** Reads one torque, or a pair of one torque in two units, for a thread. */
export function readTorque(text: string, units: UnitDisplay, context: QuantityContext): TorqueTyped | undefined {
  const typed = text.trim();
  if (typed === '') return undefined;
  const pair = PAIR.exec(typed);
  const agrees = pair
    ? printedPairAgrees(pair[1]!, pair[2]!, /\d\s*[-–]\s*\d/.test(typed) ? 'limits' : 'nominal')
    : undefined;
  if (pair && agrees === false)
    return {
      kind: 'pair',
      question: `${pair[1]!.trim()} and ${pair[2]!.trim()} are not the same torque: one of the two is wrong, or its unit is. Which does the sheet mean?`,
    };
  return readQuantity(pair && agrees ? pair[1]! : typed, 'plug-torque', {
    system: systemOf(units),
    context,
    as: 'specification',
  });
}

export interface TorqueSum {
  readonly readings: Readonly<Record<string, TorqueTyped | undefined>>;
  readonly desk: TorqueDesk;
  readonly context: QuantityContext;
}

/** Reads what an address says of a torque, and asks the desk about all that could be read. */
export function readTorqueSum(search: URLSearchParams, units: UnitDisplay): TorqueSum {
  const [thread, seat] = chosen(search, 'thread', THREADS).split('-') as [string, 'gasket' | 'taper'];
  const metal = chosen(search, 'metal', METALS);
  const context: QuantityContext = {
    threadMm: Number(thread),
    seat,
    ...(metal === 'unknown' ? {} : { headMetal: metal }),
  };
  const readings = Object.fromEntries(
    SHEETS.map(({ name }) => [name, readTorque(search.get(name) ?? '', units, context)]),
  );
  const stated = (fact: string): Sourced<TorqueStatement>[] =>
    SHEETS.filter((sheet) => sheet.fact === fact).flatMap(({ name, on, label }) => {
      const reading = readings[name];
      if (reading?.kind !== 'read') return [];
      const condition: TorqueCondition = chosen(search, on, CONDITIONS);
      const { low, high, nominal } = reading;
      const value = { lowNm: low, highNm: high, condition, ...(nominal === undefined ? {} : { nominalNm: nominal }) };
      return [{ value, source: { rank: 'engine-maker', name: label } }];
    });
  const sheet = (facts: Partial<Record<FactId, readonly Sourced<unknown>[]>>): FactSheet =>
    Object.fromEntries(Object.entries(facts).map(([fact, ruling]) => [fact, { ruling }]));
  const source = { rank: 'engine-maker', name: 'as typed' } as const;
  const position = sheet({
    'position.torque': stated('position.torque'),
    ...(metal === 'unknown' ? {} : { 'position.headMetal': [{ value: metal, source }] }),
  });
  const plug = sheet({
    'plug.torque': stated('plug.torque'),
    'plug.threadDiameterMm': [{ value: Number(thread), source }],
    'plug.seat': [{ value: seat === 'taper' ? 'taper' : 'gasket-fixed', source }],
    'plug.plating': [{ value: 'none', source }],
  });
  return { readings, context, desk: torqueDesk(position, plug, { rules: DEFAULT_HOUSE_RULES }) };
}

/** What makes a wrench read otherwise: what stands between it and the plug, and how. */
export const OFFSET = [
  { name: 'lever', label: 'Drive to grip mark, mm', why: 'A length in mm, such as 300.', least: 1 },
  { name: 'extension', label: 'Extension in line, mm', why: 'A length in mm, such as 60.', least: 0 },
  { name: 'angle', label: 'Its angle to the handle, °', why: 'Degrees from straight on, 0 to 180.', least: 0 },
] as const;
type OffsetName = (typeof OFFSET)[number]['name'];

/** An extension as it is typed: there once lever and length are; asked while one of the three cannot be read. */
export function readOffset(search: URLSearchParams) {
  const readings = Object.fromEntries(
    OFFSET.map(({ name, why, least }) => {
      const reading = readPlain(search.get(name) ?? '', why, least);
      return [name, name === 'angle' && (oneOf(reading) ?? 0) > 180 ? { kind: 'unreadable', why } : reading];
    }),
  ) as Readonly<Record<OffsetName, PlainReading | undefined>>;
  const [leverMm, extensionMm, angleDeg = 0] = OFFSET.map(({ name }) => oneOf(readings[name]));
  return {
    readings,
    isAsked: Object.values(readings).some((one) => one?.kind === 'unreadable'),
    extension: leverMm === undefined || extensionMm === undefined ? undefined : { leverMm, extensionMm, angleDeg },
  };
}
